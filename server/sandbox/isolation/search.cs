using System;
using System.IO;

static class Search
{
    static void Main()
    {
        string sign = "Kq7#Zw9-".Replace("#", "");
        byte[] data = new byte[1 << 20];
        int found = 0;
        using (var memory = new FileStream("/proc/self/mem", FileMode.Open, FileAccess.Read, FileShare.ReadWrite, 1))
            foreach (string line in File.ReadAllLines("/proc/self/maps"))
            {
                string[] fields = line.Split('-', ' ');
                if (!line.Contains(" r") || line.Contains("[v") || line.Contains("/usr/")) continue;
                long start = Convert.ToInt64(fields[0], 16), end = Convert.ToInt64(fields[1], 16);
                for (long at = start; at < end; at += data.Length)
                {
                    int size;
                    try
                    {
                        memory.Position = at;
                        size = memory.Read(data, 0, (int)Math.Min(data.Length, end - at));
                    }
                    catch (IOException) { break; }
                    for (int index = 0; index + sign.Length < size; index++)
                    {
                        if (data[index] != 'K') continue;
                        int same = 0;
                        while (same < sign.Length && data[index + same] == sign[same]) same++;
                        if (same == sign.Length && data[index + same] >= 'a' && data[index + same] <= 'z') found++;
                    }
                }
            }
        Console.WriteLine("found " + found);
    }
}
