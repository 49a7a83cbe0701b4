using System; using System.Net.Sockets;
class P { static void Main() { foreach (var h in new[] { "127.0.0.1", "10.0.0.1" }) try { new TcpClient(h, 22); Console.WriteLine("reached"); } catch (Exception) { Console.WriteLine("refused"); } } }
