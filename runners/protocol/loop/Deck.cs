using System;

class Deck {
  static void Main() {
    int cars = 0;
    int weight = 1;
    while (cars < 4) {
      cars = cars + 1;
      if (cars % 2 == 0) {
        weight = weight * cars;
      }
    }
    Console.WriteLine(cars + " " + weight);
  }
}
