using System;
class P { static void Main() { while (true) Console.WriteLine("and again"); } }
