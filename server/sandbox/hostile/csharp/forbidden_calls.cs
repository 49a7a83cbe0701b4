using System; using System.Runtime.InteropServices;
class P {
    [DllImport("libc")] static extern long syscall(long number, long a, long b, long c, long d, long e);
    static void Main() {
        foreach (long number in new long[] {425, 323, 101, 321, 319, 298, 250, 161}) if (syscall(number, 0, 0, 0, 0, 0) != -1) Console.WriteLine(number + " was let through");
        if (syscall(272, 0x10000000, 0, 0, 0, 0) != -1 || syscall(56, 0x10000000 | 17, 0, 0, 0, 0) != -1) Console.WriteLine("a namespace was let through");
        Console.WriteLine("done");
    }
}
