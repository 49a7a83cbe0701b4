using System;

class Deck {
  static int share(int weight, int boats) {
    int part = weight / boats;
    return part;
  }

  static void Main() {
    int first = share(8, 2);
    Console.WriteLine(first);
    int second = share(8, 0);
    Console.WriteLine(second);
  }
}
