import java.io.IOException;
import java.io.RandomAccessFile;
import java.nio.file.Files;
import java.nio.file.Path;

public class Search {
    public static void main(String[] arguments) throws IOException {
        byte[] sign = "Kq7#Zw9-".replace("#", "").getBytes();
        byte[] data = new byte[1 << 20];
        int found = 0;
        try (RandomAccessFile memory = new RandomAccessFile("/proc/self/mem", "r")) {
            for (String line : Files.readAllLines(Path.of("/proc/self/maps"))) {
                String[] fields = line.split("[- ]");
                if (!line.contains(" r") || line.contains("[v") || line.contains(".jsa") || line.contains("modules")) continue;
                long start, end;
                try {
                    start = Long.parseLong(fields[0], 16);
                    end = Long.parseLong(fields[1], 16);
                } catch (NumberFormatException high) {
                    continue;
                }
                for (long at = start; at < end; at += data.length) {
                    int size;
                    try {
                        memory.seek(at);
                        size = memory.read(data, 0, (int) Math.min(data.length, end - at));
                    } catch (IOException gone) {
                        break;
                    }
                    for (int index = 0; index + sign.length < size; index++) {
                        if (data[index] != 'K') continue;
                        int same = 0;
                        while (same < sign.length && data[index + same] == sign[same]) same++;
                        if (same == sign.length && data[index + same] >= 'a' && data[index + same] <= 'z') found++;
                    }
                }
            }
        }
        System.out.println("found " + found);
    }
}
