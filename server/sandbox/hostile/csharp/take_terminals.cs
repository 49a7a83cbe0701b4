using System; using System.Runtime.InteropServices; using System.Threading;
class P {
    [DllImport("libc")] static extern int posix_openpt(int flags);
    static void Main() { int taken = 0; while (taken < 5000 && posix_openpt(2) >= 0) taken++; Thread.Sleep(300); Console.WriteLine("few " + (taken <= 8)); }
}
