public class Main {
  static int load(int cars) {
    int weight = cars * 2;
    return weight;
  }

  static int total(int first, int second) {
    int both = load(first) + load(second);
    return both;
  }

  public static void main(String[] args) {
    int result = total(3, 4);
    System.out.println(result);
  }
}
