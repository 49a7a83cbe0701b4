using System; using System.IO; using System.Runtime.InteropServices;
class P {
    [DllImport("libc")] static extern int symlink(string target, string path);
    [DllImport("libc")] static extern int mkfifo(string path, int mode);
    static void Main() { symlink("loop", "loop"); symlink("/proc/1/mem", "link"); mkfifo("pipe", 384); File.WriteAllText("two\nlines", "x"); File.Delete("program.exe"); Console.WriteLine("left"); }
}
