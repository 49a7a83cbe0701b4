using System; using System.Runtime.InteropServices;
class P {
    [DllImport("libc")] static extern int mkdir(string path, int mode);
    [DllImport("libc")] static extern int chdir(string path);
    static void Main() { for (int i = 0; i < 3000; i++) if (mkdir("d", 448) != 0 || chdir("d") != 0) break; Console.WriteLine("left"); }
}
