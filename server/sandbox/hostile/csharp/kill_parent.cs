using System; using System.Runtime.InteropServices;
class P { [DllImport("libc")] static extern int kill(int pid, int signal); [DllImport("libc")] static extern int getppid(); static void Main() { kill(getppid(), 9); kill(1, 9); Console.WriteLine("still here"); } }
