using System; using System.Runtime.InteropServices;
class P {
    [DllImport("libc")] static extern IntPtr mmap(IntPtr at, ulong size, int rights, int flags, int file, long offset);
    [DllImport("libc")] static extern int shmget(int key, ulong size, int flags);
    static void Main() {
        Console.WriteLine("anonymous " + (mmap(IntPtr.Zero, 64 << 20, 3, 0x21, -1, 0) != new IntPtr(-1)));
        Console.WriteLine("system v " + (shmget(0, 64 << 20, 896) >= 0));
    }
}
