using System; using System.IO;
class P { static void Main() { int found = 0; foreach (var p in new[] { "/tmp/left_behind", "/case/left_behind", "/dev/shm/left_behind" }) if (File.Exists(p)) found++; Console.WriteLine("found " + found); } }
