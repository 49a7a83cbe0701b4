import java.io.RandomAccessFile;
import java.nio.channels.FileChannel;
public class Main {
    public static void main(String[] a) throws Exception {
        long taken = 0;
        try {
            for (int i = 0; i < 64; i++) {
                RandomAccessFile file = new RandomAccessFile("/dev/shm/f" + i, "rw");
                file.write(new byte[1 << 20]);
                file.getChannel().map(FileChannel.MapMode.READ_WRITE, 0, 1 << 20).load();
                taken += 1 << 20;
            }
        } catch (java.io.IOException full) {
        }
        System.out.println("bounded " + (taken <= 2 << 20));
    }
}
