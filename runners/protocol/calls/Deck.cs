using System;

class Deck {
  static int load(int cars) {
    int weight = cars * 2;
    return weight;
  }

  static int total(int first, int second) {
    int both = load(first) + load(second);
    return both;
  }

  static void Main() {
    int result = total(3, 4);
    Console.WriteLine(result);
  }
}
