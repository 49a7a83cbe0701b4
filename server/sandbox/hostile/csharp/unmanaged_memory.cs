using System; using System.Runtime.InteropServices;
class P {
    static void Main() {
        Console.WriteLine("begins");
        var empty = new byte[1 << 20]; for (int i = 0; i < empty.Length; i++) empty[i] = 1;
        for (int i = 0; i < 2000; i++) { IntPtr taken = Marshal.AllocHGlobal(1 << 20); Marshal.Copy(empty, 0, taken, 1 << 20); }
        Console.WriteLine("all of it");
    }
}
