/** Programs of the same thing in other hands: each right in its own way. */
const texts = {
  loop: 'import java.util.Scanner;\n\npublic class Fares {\n    public static void main(String[] args) {\n        Scanner in = new Scanner(System.in);\n        System.out.print("Passengers: ");\n        int count = in.nextInt();\n        int sum = 0;\n        for (int i = 0; i < count; i++) {\n            System.out.print("Age: ");\n            int age = in.nextInt();\n            if (age < 15) {\n                sum = sum + 6;\n            } else if (age > 64) {\n                sum = sum + 9;\n            } else {\n                sum = sum + 12;\n            }\n        }\n        System.out.println("Fare: " + sum);\n        if (count >= 6) {\n            System.out.println("Group ticket");\n        }\n    }\n}\n',
  list: 'import java.util.ArrayList;\nimport java.util.List;\nimport java.util.Scanner;\n\npublic class Fares {\n    static int fareOf(int age) {\n        if (age > 64) {\n            return 9;\n        }\n        return age < 15 ? 6 : 12;\n    }\n\n    public static void main(String[] args) {\n        Scanner in = new Scanner(System.in);\n        System.out.println("How many of you?");\n        int count = in.nextInt();\n        List<Integer> ages = new ArrayList<>();\n        while (ages.size() < count) {\n            System.out.println("How old is number " + (ages.size() + 1) + "?");\n            ages.add(in.nextInt());\n        }\n        int fare = 0;\n        for (int age : ages) {\n            fare += fareOf(age);\n        }\n        System.out.println("Fare: " + fare);\n        if (ages.size() >= 6) {\n            System.out.println("Group ticket");\n        }\n    }\n}\n',
} as const;

/** What a student handed in: one of these texts, with what stands otherwise in it. */
type HandedIn = { text: keyof typeof texts; changes: ReadonlyArray<readonly [string, string]> };

const handedIn: readonly HandedIn[] = [
  { text: "loop", changes: [] },
  { text: "list", changes: [] },
  { text: "loop", changes: [["age < 15", "age <= 15"]] },
  { text: "list", changes: [["age < 15 ? 6 : 12", "age <= 15 ? 6 : 12"]] },
  { text: "loop", changes: [["count >= 6", "count > 6"]] },
  { text: "list", changes: [["if (age > 64)", "if (age >= 64)"]] },
  { text: "loop", changes: [["int sum = 0;\n        for", "int sum;\n        for"]] },
  { text: "list", changes: [["fare += fareOf(age)", "fare += fareOf(ages.get(age))"]] },
  {
    text: "loop",
    changes: [
      ['"Passengers: "', '"passengers "'],
      ['"Age: "', '"age? "'],
    ],
  },
  { text: "list", changes: [["int fare = 0;\n", "int fare = 0\n"]] },
  { text: "loop", changes: [["i < count", "i <= count"]] },
  {
    text: "list",
    changes: [
      [
        "static int fareOf(int age) {\n        if (age > 64) {\n            return 9;\n        }\n",
        "static int fareOf(int age) {\n",
      ],
    ],
  },
];

/** The programs of a class, one a student in the order of their labels. */
export const farePrograms: readonly string[] = handedIn.map(({ text, changes }) =>
  changes.reduce((program: string, [from, to]) => program.replace(from, to), texts[text]),
);

/** A program that does what is asked. */
export const fareModel = texts.loop;
