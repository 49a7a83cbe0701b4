using System; using System.IO;
class P { static void Main() { int n = 0; try { for (; n < 10000; n++) File.WriteAllBytes("file" + n, new byte[100000]); } catch (Exception) { Console.WriteLine("stopped in bounds: " + (n <= 167)); } foreach (var p in new[] { "/usr/x", "/x", "/etc/x" }) try { File.WriteAllText(p, "x"); Console.WriteLine("wrote " + p); } catch (Exception) { } } }
