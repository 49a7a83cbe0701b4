import java.io.File;
public class Main {
    public static void main(String[] a) throws Exception {
        StringBuilder path = new StringBuilder("d");
        for (int i = 0; i < 1500 && new File(path.toString()).mkdirs(); i++) path.append("/d");
        System.out.println("left");
    }
}
