using System;
class P { static int Deeper(int level) { return Deeper(level + 1) + 1; } static void Main() { Console.WriteLine("begins"); Deeper(0); } }
