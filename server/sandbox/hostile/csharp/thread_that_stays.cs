using System; using System.Threading;
class P { static void Main() { new Thread(() => { while (true) { } }).Start(); Console.WriteLine("begins"); AppDomain.CurrentDomain.ProcessExit += (s, e) => { while (true) { } }; } }
