import type { RightProgram } from "./program.ts";

const main = (body: string, functions = "") => `import java.util.*;

public class Main {
${functions}    public static void main(String[] args) {
        Scanner in = new Scanner(System.in);
${body}    }
}
`;

/** Right programs in Java. */
export const javaPrograms: readonly RightProgram[] = [
  {
    name: "fares",
    language: "java",
    text: main(
      `        int people = in.nextInt();
        double total = 0;
        for (int i = 0; i < people; i++) {
            int age = in.nextInt();
            total += fare(age);
        }
        System.out.println("Total " + total);
        if (total > 20) {
            System.out.println("Group");
        } else {
            System.out.println("Single");
        }
`,
      `    static double fare(int age) {
        if (age < 6) {
            return 0;
        } else if (age < 16) {
            return 3.5;
        }
        return 7;
    }

`,
    ),
    inputs: ["2\n30\n12\n", "3\n5\n6\n16\n", "4\n20\n30\n15\n60\n"],
  },
  {
    name: "tides",
    language: "java",
    text: main(`        int n = in.nextInt();
        int[] tides = new int[n];
        for (int i = 0; i < n; i++) {
            tides[i] = in.nextInt();
        }
        int high = tides[0];
        int sum = 0;
        for (int i = 0; i < tides.length; i++) {
            if (tides[i] > high) {
                high = tides[i];
            }
            sum += tides[i];
        }
        int rising = 0;
        for (int i = 1; i < tides.length; i++) {
            if (tides[i] > tides[i - 1]) rising++;
        }
        System.out.println("High " + high);
        System.out.println("Mean " + (double) sum / n);
        System.out.println("Rising " + rising);
`),
    inputs: ["3\n2\n5\n4\n", "4\n-3\n-1\n-2\n-9\n", "1\n7\n"],
  },
  {
    name: "names",
    language: "java",
    text: main(`        int n = in.nextInt();
        in.nextLine();
        ArrayList<String> names = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            String name = in.nextLine();
            if (!names.contains(name)) {
                names.add(name);
            }
        }
        Collections.sort(names);
        int longest = 0;
        String best = "";
        for (String name : names) {
            if (name.length() > longest) {
                longest = name.length();
                best = name;
            }
        }
        System.out.println(names.size() + " names");
        System.out.println("Longest: " + best);
        if (best.equals("Razorbill")) {
            System.out.println("It is the flagship");
        }
`),
    inputs: ["3\nSkua\nGull\nSkua\n", "2\nRazorbill\nTern\n", "1\nAuk\n"],
  },
  {
    name: "clock",
    language: "java",
    text: main(`        int hours = in.nextInt();
        int minutes = in.nextInt();
        int later = in.nextInt();
        int all = hours * 60 + minutes + later;
        int newHours = all / 60 % 24;
        int newMinutes = all % 60;
        String text = newHours + ":";
        if (newMinutes < 10) {
            text = text + "0";
        }
        text = text + newMinutes;
        System.out.println(text);
        int count = 0;
        while (later > 0) {
            later = later - 15;
            count++;
        }
        System.out.println(count + " quarters");
        switch (newHours / 6) {
            case 0: System.out.println("night"); break;
            case 1: System.out.println("morning"); break;
            case 2: System.out.println("afternoon"); break;
            default: System.out.println("evening");
        }
`),
    inputs: ["8\n50\n20\n", "23\n30\n45\n", "0\n0\n60\n", "13\n5\n5\n"],
  },
  {
    name: "percent",
    language: "java",
    text: main(`        int right = in.nextInt();
        int all = in.nextInt();
        int percent = right * 100 / all;
        System.out.println(percent + " percent");
        String grade;
        if (percent >= 80) {
            grade = "A";
        } else if (percent >= 50) {
            grade = "B";
        } else {
            grade = "C";
        }
        System.out.println("Deck " + grade);
        for (int i = 0; i < percent / 10; i++) {
            System.out.print("*");
        }
        System.out.println();
`),
    inputs: ["7\n9\n", "8\n10\n", "1\n4\n", "5\n10\n"],
  },
];
