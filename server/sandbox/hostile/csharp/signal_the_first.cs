using System; using System.Runtime.InteropServices; using System.Threading;
class P {
    [DllImport("libc")] static extern int kill(int pid, int signal);
    [DllImport("libc")] static extern int getppid();
    static void Main() { for (int number = 1; number < 65; number++) kill(1, number); Thread.Sleep(100); Console.WriteLine("still here " + getppid()); }
}
