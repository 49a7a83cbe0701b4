/** A program of the class set before anybody spoilt it, by language: its file name and text. */
export const rightPrograms: Readonly<Record<string, { name: string; text: string }>> = {
  python: {
    name: "deck.py",
    text: '# deck load of the Kittiwake\nlimit = 20\nloads = [4, 9, 3]\n\n\ndef total(values):\n    result = 0\n    for value in values:\n        result = result + value\n    return result\n\n\nprint("Load:", total(loads))\nif total(loads) <= limit:\n    print("Fine, room for", limit - total(loads))\nelse:\n    print("Too heavy")\n',
  },
  java: {
    name: "Tides.java",
    text: 'public class Tides {\n    static double highest(double[] heights) {\n        double best = heights[0];\n        for (int i = 1; i < heights.length; i++) {\n            if (heights[i] > best) {\n                best = heights[i];\n            }\n        }\n        return best;\n    }\n\n    public static void main(String[] args) {\n        double[] heights = {2.8, 3.4, 3.1};\n        System.out.println("Highest: " + highest(heights));\n        int hour = 6;\n        System.out.println("Next tide at " + (hour + 12) + " h");\n    }\n}\n',
  },
  c: {
    name: "fares.c",
    text: '#include <stdio.h>\n\nint fare(int age)\n{\n    if (age < 15) {\n        return 6;\n    }\n    return 12;\n}\n\nint main(void)\n{\n    int ages[3] = {41, 14, 9};\n    int sum = 0;\n    for (int i = 0; i < 3; i++) {\n        sum = sum + fare(ages[i]);\n    }\n    printf("Fares: %d\\n", sum);\n    return 0;\n}\n',
  },
  pascal: {
    name: "crossing.pas",
    text: "program Crossing;\nvar\n  minutes: array[1..3] of integer;\n  index, sum: integer;\nbegin\n  minutes[1] := 35;\n  minutes[2] := 40;\n  minutes[3] := 55;\n  sum := 0;\n  for index := 1 to 3 do\n    sum := sum + minutes[index];\n  writeln('Minutes: ', sum);\n  writeln('A crossing takes about ', sum div 3);\nend.\n",
  },
};

/**
 * What a student did to a right program: the text that was there and what stands there now. `handsIn`: how the error
 * output came along.
 */
export type SpoiltProgram = {
  student: string;
  language: string;
  from: string;
  to: string;
  handsIn: "file" | "end" | "nothing";
};

/** One program a student, 24 in four languages. Outputs are made by running them when the set is built. */
export const spoiltPrograms: readonly SpoiltProgram[] = [
  {
    student: "S-01",
    language: "python",
    from: 'print("Load:", total(loads))',
    to: 'print("Load:", total(loads)',
    handsIn: "file",
  },
  {
    student: "S-02",
    language: "python",
    from: "result = result + value",
    to: "reslut = result + value",
    handsIn: "nothing",
  },
  { student: "S-03", language: "python", from: "for value in values:", to: "for value in values", handsIn: "file" },
  { student: "S-04", language: "python", from: "limit = 20", to: 'limit = "20"', handsIn: "end" },
  { student: "S-05", language: "python", from: "total(loads) <= limit", to: "totl(loads) <= limit", handsIn: "file" },
  { student: "S-06", language: "python", from: "    return result", to: "        return result", handsIn: "nothing" },
  { student: "S-07", language: "python", from: "total(loads) <= limit", to: "totl(loads) <= limit", handsIn: "file" },
  { student: "S-08", language: "python", from: "[4, 9, 3]", to: '[4, "9", 3]', handsIn: "file" },
  {
    student: "S-09",
    language: "java",
    from: "double best = heights[0];",
    to: "double best = heights[0]",
    handsIn: "file",
  },
  { student: "S-10", language: "java", from: "i < heights.length", to: "i <= heights.length", handsIn: "file" },
  {
    student: "S-11",
    language: "java",
    from: "if (heights[i] > best)",
    to: "if (heights[i] < best)",
    handsIn: "nothing",
  },
  { student: "S-12", language: "java", from: "return best;\n    }", to: "return best;", handsIn: "file" },
  { student: "S-13", language: "java", from: "int hour = 6;", to: 'int hour = "6";', handsIn: "file" },
  { student: "S-14", language: "java", from: "(hour + 12)", to: "hour + 12", handsIn: "nothing" },
  { student: "S-15", language: "c", from: "int sum = 0;", to: "int sum = 0", handsIn: "file" },
  { student: "S-16", language: "c", from: "age < 15", to: "age < 14", handsIn: "nothing" },
  {
    student: "S-17",
    language: "c",
    from: 'printf("Fares: %d\\n", sum);',
    to: 'printf("Fares: %d\\n", summ);',
    handsIn: "file",
  },
  {
    student: "S-18",
    language: "c",
    from: "    int sum = 0;",
    to: "    int *places = 0;\n    int sum = *places;",
    handsIn: "file",
  },
  {
    student: "S-19",
    language: "c",
    from: "    if (age < 15) {\n        return 6;\n    }",
    to: "    if (age < 15)\n        age = 14;\n        return 6;",
    handsIn: "nothing",
  },
  { student: "S-20", language: "pascal", from: "sum := 0;", to: "sum := 0", handsIn: "file" },
  { student: "S-21", language: "pascal", from: "index, sum: integer;", to: "index: integer;", handsIn: "file" },
  { student: "S-22", language: "pascal", from: "sum div 3", to: "sum div (sum - 130)", handsIn: "file" },
  { student: "S-23", language: "pascal", from: "minutes[2] := 40;", to: "minutes[1] := 40;", handsIn: "nothing" },
  {
    student: "S-24",
    language: "pascal",
    from: "for index := 1 to 3 do",
    to: "for index := 1 to 2 do",
    handsIn: "nothing",
  },
];
