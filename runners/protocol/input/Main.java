import java.util.Scanner;

public class Main {
  public static void main(String[] args) {
    Scanner keys = new Scanner(System.in);
    System.out.print("Cars? ");
    int cars = keys.nextInt();
    int weight = cars * 2;
    System.out.println("Load " + weight);
  }
}
