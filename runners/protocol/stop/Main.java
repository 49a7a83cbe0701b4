public class Main {
  static int share(int weight, int boats) {
    int part = weight / boats;
    return part;
  }

  public static void main(String[] args) {
    int first = share(8, 2);
    System.out.println(first);
    int second = share(8, 0);
    System.out.println(second);
  }
}
