using System; using System.Collections.Generic;
class P { static void Main() { Console.WriteLine("begins"); var held = new List<byte[]>(); while (true) { var b = new byte[1 << 20]; for (int i = 0; i < b.Length; i += 4096) b[i] = 1; held.Add(b); } } }
