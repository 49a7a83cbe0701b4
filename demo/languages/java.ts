import type { DemoCase } from "../cases.ts";

const brace = `public class Boarding {
    static int left(int places, int booked) {
        if (booked > places) {
            return 0;
        return places - booked;
    }

    public static void main(String[] args) {
        System.out.println("Places left: " + left(6, 4));
    }
}
`;

const tides = `public class Tides {
    public static void main(String[] args) {
        double[] heights = {1.2, 2.4, 3.1};
        double total = 0;
        for (int i = 0; i <= heights.length; i++) {
            total = total + heights[i];
        }
        System.out.println("Total " + total);
    }
}
`;

const fare = `import java.util.Scanner;

public class Fare {
    static int fare(int age) {
        int full = 12;
        if (age < 15) {
            return full / 2;
        }
        return full;
    }

    public static void main(String[] args) {
        Scanner in = new Scanner(System.in);
        System.out.print("Age? ");
        int age = in.nextInt();
        System.out.println("Fare: " + fare(age));
    }
}
`;

const deck = `public class Deck {
    public static void main(String[] args) {
        int[] loads = {4, 12, 7};
        int total = 0
        for (int i = 0; i < loads.length; i++) {
            totl = total + loads[i];
        }
        System.out.println("Deck load: " + total / (loads.length - 3));
    }
}
`;
const deckSecond = deck.replace("int total = 0\n", "int total = 0;\n");
const deckThird = deckSecond.replace("totl =", "total =");

/**
 * Java: a brace above the reported line, a position past the end, a boundary, and three faults one behind the other.
 */
export const javaCases: readonly DemoCase[] = [
  {
    language: "java",
    name: "Boarding.java",
    title: "Boarding list in Java",
    intent: "Print how many places are left on the Kittiwake.",
    student: "T-01",
    program: brace,
    input: "",
    expected: "Places left: 2\n",
    mended: [],
  },
  {
    language: "java",
    name: "Tides.java",
    title: "Tide heights added up in Java",
    intent: "Add up the tide heights of the day.",
    student: "T-02",
    program: tides,
    input: "",
    expected: "Total 6.7\n",
    mended: [],
  },
  {
    language: "java",
    name: "Fare.java",
    title: "Fares for children in Java",
    intent: "Up to and including 15 years half price.",
    student: "T-03",
    program: fare,
    input: "15\n",
    expected: "Age? Fare: 6\n",
    checks: [{ input: "16\n", expected: "Age? Fare: 12\n", kind: "boundary" }],
    mended: [fare.replace("age < 15", "age <= 15")],
  },
  {
    language: "java",
    name: "Deck.java",
    title: "Mean load on the car deck in Java",
    intent: "Print the load of each place on the deck if all loads are spread evenly over three places.",
    student: "T-04",
    program: deck,
    input: "",
    expected: "Deck load: 7\n",
    mended: [deckSecond, deckThird, deckThird.replace("(loads.length - 3)", "loads.length")],
  },
];
