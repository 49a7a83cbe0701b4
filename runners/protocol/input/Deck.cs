using System;

class Deck {
  static void Main() {
    Console.Write("Cars? ");
    int cars = int.Parse(Console.ReadLine());
    int weight = cars * 2;
    Console.WriteLine("Load " + weight);
  }
}
