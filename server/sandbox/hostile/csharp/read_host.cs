using System; using System.IO;
class P { static void Main() { foreach (var p in new[] { "/etc/passwd", "/etc/shadow", "/proc/1/environ" }) try { File.ReadAllText(p); Console.WriteLine("read " + p); } catch (Exception) { } Console.WriteLine("done"); } }
