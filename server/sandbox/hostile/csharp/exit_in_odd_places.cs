using System;
class P { static void Main() { try { throw new Exception("x"); } catch { Console.WriteLine("caught"); Environment.Exit(7); } finally { Console.WriteLine("finally"); } } }
