public class Main {
    public static void main(String[] args) {  //> -
        int tide = 2;  //> main.tide=2
        int height;
        switch (tide) {  //> -
            case 1:
                height = 10;
                break;
            case 2:
                height = 20;  //> main.height=20
                break;  //> -
            default:
                height = 0;
        }
        String word = switch (height) {  //> -
            case 20 -> "high";  //> main.word="high"
            default -> "low";
        };
    }
}
