import type { ExerciseCheck } from "../../core/exercises/exercise.ts";

/** An answer with the mark that was worked out by hand, and the rule of docs/marks.md by which. */
export type MarkedAnswer = {
  task: "mend" | "trace" | "predict" | "point" | "classify";
  says: string;
  answer: unknown;
  /** What is earned; for what waits for the teacher, what is suggested. */
  earned: number;
  rule: string;
  about?: "hides" | "unusual";
};

/** An exercise with answers to it; `marks` of its tasks. */
export type MarkedExercise = {
  name: string;
  language: string;
  fileName: string;
  program: string;
  mended: string;
  checks: ReadonlyArray<Pick<ExerciseCheck, "input" | "expected">>;
  marks: Readonly<Record<string, number>>;
  answers: readonly MarkedAnswer[];
};

/** A program with places replaced, one after another. */
export function put(program: string, ...changes: ReadonlyArray<readonly [string, string]>): { text: string } {
  return {
    text: changes.reduce((text, [from, to]) => {
      if (!text.includes(from)) throw new Error(`“${from}” is not in the program`);
      return text.replace(from, to);
    }, program),
  };
}

export const mend = (
  says: string,
  answer: { text: string },
  earned: number,
  rule: string,
  about?: MarkedAnswer["about"],
): MarkedAnswer => ({ task: "mend", says, answer, earned, rule, ...(about ? { about } : {}) });
export const table = (
  says: string,
  rows: ReadonlyArray<Record<string, string>>,
  earned: number,
  rule: string,
  about?: MarkedAnswer["about"],
): MarkedAnswer => ({
  ...{ task: "trace", says, earned, rule },
  answer: { rows: rows.map((cells) => ({ cells })) },
  ...(about ? { about } : {}),
});
export const predict = (
  says: string,
  output: string,
  earned: number,
  rule: string,
  about?: MarkedAnswer["about"],
): MarkedAnswer => ({
  ...{ task: "predict", says, earned, rule },
  answer: { output, ending: "ends by itself" },
  ...(about ? { about } : {}),
});
export const reason = (faultClass: string, text: string, earned: number, rule: string): MarkedAnswer => ({
  ...{ task: "classify", says: text, earned, rule },
  answer: { class: faultClass, reason: text },
});
export const point = (says: string, lines: number[], earned: number, rule: string): MarkedAnswer => ({
  ...{ task: "point", says, earned, rule },
  answer: { lines },
});

const billFaulty = `fares = [4, 6, 9]
bill = 0
for fare in fares:
    bill = bill - fare
print("Bill", bill)
print("Largest", max(fares))
`;
const billRight = billFaulty.replace("bill - fare", "bill + fare");

/** A wrong sign in a sum, in a program that reads nothing. */
const bill: MarkedExercise = {
  ...{ name: "bill", language: "python", fileName: "bill.py", program: billFaulty, mended: billRight },
  checks: [{ input: "", expected: "Bill 19\nLargest 9\n" }],
  marks: { mend: 2, trace: 6, predict: 3, point: 1, classify: 2 },
  answers: [
    mend("the key", { text: billRight }, 2, "M1"),
    mend("nothing", { text: billFaulty }, 0, "M1"),
    mend("two printed constants", { text: 'print("Bill", 19)\nprint("Largest", 9)\n' }, 0, "M2", "hides"),
    mend("the sum as a constant", put(billFaulty, ['print("Bill", bill)', 'print("Bill", 19)']), 0, "M2", "hides"),
    mend(
      "the sum put in before it is printed",
      put(billFaulty, ['print("Bill", bill)', 'bill = 19\nprint("Bill", bill)']),
      0,
      "M2",
      "hides",
    ),
    mend("a first value that fits", put(billFaulty, ["bill = 0", "bill = 38"]), 0, "M2", "hides"),
    mend("data that fits", put(billFaulty, ["[4, 6, 9]", "[-4, -6, -9]"]), 0, "M2", "hides"),
    mend("a text that fits", put(billFaulty, ['print("Bill", bill)', 'print("Bill 19")']), 0, "M2", "hides"),
    mend("all in one text", { text: 'print("""Bill 19\nLargest 9""")\n' }, 0, "M2", "hides"),
    mend(
      "decided by the wrong result",
      put(billFaulty, ['print("Bill", bill)', 'if bill == -19:\n    bill = 19\nprint("Bill", bill)']),
      0,
      "M2",
      "hides",
    ),
    mend(
      "the wrong part left behind",
      { text: 'fares = [4, 6, 9]\nbill = 19\nprint("Bill", bill)\nprint("Largest", max(fares))\n' },
      0,
      "M2",
      "hides",
    ),
    mend(
      "an offset of the wrong result",
      put(billFaulty, ['print("Bill", bill)', 'print("Bill", bill + 38)']),
      0,
      "M2",
      "hides",
    ),
    mend("with the sides swapped", put(billFaulty, ["bill - fare", "fare + bill"]), 2, "M3", "unusual"),
    mend("with a sign of its own", put(billFaulty, ["bill = bill - fare", "bill += fare"]), 2, "M3", "unusual"),
    mend("minus minus", put(billFaulty, ["bill - fare", "bill - (-fare)"]), 2, "M3", "unusual"),
    mend("in brackets", put(billFaulty, ["bill - fare", "(bill + fare)"]), 2, "M3", "unusual"),
    mend(
      "the sign turned where it is printed",
      put(billFaulty, ['print("Bill", bill)', 'print("Bill", -bill)']),
      2,
      "M3",
      "unusual",
    ),
    mend("the sum of the language", put(billFaulty, ["bill = bill - fare", "bill = sum(fares)"]), 2, "M3", "unusual"),
    mend(
      "turned behind the loop",
      put(billFaulty, ['print("Bill"', 'bill = abs(bill)\nprint("Bill"']),
      2,
      "M3",
      "unusual",
    ),
    mend(
      "with blanks, blank lines and a comment",
      put(billRight, ["bill = 0\n", "bill  =  0  # begins\n\n"], ['print("Bill"', '\nprint("Bill"']),
      2,
      "M4",
      "unusual",
    ),
    mend("indented by two", put(billRight, ["    bill", "  bill"]), 2, "M4", "unusual"),
    mend("with line ends of another system", { text: billRight.replaceAll("\n", "\r\n") }, 2, "M4", "unusual"),
    mend("one line more", put(billRight, ['print("Bill"', "print('here')\nprint(\"Bill\""]), 2, "M5", "unusual"),
    mend("three lines more", put(billRight, ['print("Bill"', 'print(1)\nprint(2)\nprint(3)\nprint("Bill"']), 1, "M5"),
    mend(
      "written anew",
      { text: 'costs = [4, 6, 9]\nprint("Bill", sum(costs))\nprint("Largest", sorted(costs)[-1])\n' },
      1,
      "M5",
    ),
    mend("a program of something else", { text: 'print("Hello")\n' }, 0, "M1"),
    table(
      "the key",
      [
        { fares: "[4, 6, 9]" },
        { bill: "0" },
        { fare: "4" },
        { bill: "-4" },
        { fare: "6" },
        { bill: "-10" },
        { fare: "9" },
        { bill: "-19" },
        { output: "Bill -19" },
        { output: "Largest 9" },
      ],
      6,
      "T1",
    ),
    table(
      "a row for each pass",
      [
        { fares: "[4, 6, 9]", bill: "0" },
        { fare: "4", bill: "-4" },
        { fare: "6", bill: "-10" },
        { fare: "9", bill: "-19" },
        { output: "Bill -19" },
        { output: "Largest 9" },
      ],
      6,
      "T3",
      "unusual",
    ),
    table(
      "a list without brackets",
      [
        { fares: "4, 6, 9" },
        { bill: "0" },
        { fare: "4" },
        { bill: "-4" },
        { fare: "6" },
        { bill: "-10" },
        { fare: "9" },
        { bill: "-19" },
        { output: "Bill -19" },
        { output: "Largest 9" },
      ],
      6,
      "T5",
      "unusual",
    ),
    table(
      "everything repeated",
      [
        { fares: "[4,6,9]" },
        { fares: "[4,6,9]", bill: "0" },
        { fares: "[4,6,9]", bill: "0", fare: "4" },
        { fares: "[4,6,9]", bill: "-4", fare: "4" },
        { fares: "[4,6,9]", bill: "-4", fare: "6" },
        { fares: "[4,6,9]", bill: "-10", fare: "6" },
        { bill: "-10", fare: "9" },
        { bill: "-19", fare: "9" },
        { bill: "-19", fare: "9", output: "Bill -19" },
        { output: "Largest 9" },
      ],
      6,
      "T4",
      "unusual",
    ),
    table(
      "dashes where nothing changes",
      [
        { fares: "[4, 6, 9]", bill: "-", fare: "?", output: "-" },
        { bill: "0", fare: "-" },
        { fare: "4", bill: "-" },
        { bill: "-4" },
        { fare: "6" },
        { bill: "-10" },
        { fare: "9" },
        { bill: "-19" },
        { output: "Bill -19" },
        { output: "Largest 9" },
      ],
      6,
      "T4",
      "unusual",
    ),
    table(
      "values alone in the output",
      [
        { fares: "[4, 6, 9]" },
        { bill: "0" },
        { fare: "4" },
        { bill: "-4" },
        { fare: "6" },
        { bill: "-10" },
        { fare: "9" },
        { bill: "-19" },
        { output: "-19" },
        { output: "9" },
      ],
      6,
      "T7",
      "unusual",
    ),
    table(
      "added where it takes away",
      [
        { fares: "[4, 6, 9]" },
        { bill: "0" },
        { fare: "4" },
        { bill: "4" },
        { fare: "6" },
        { bill: "-2" },
        { fare: "9" },
        { bill: "-11" },
        { output: "Bill -11" },
        { output: "Largest 9" },
      ],
      5,
      "T2",
    ),
    table(
      "two slips",
      [
        { fares: "[4, 6, 9]" },
        { bill: "0" },
        { fare: "4" },
        { bill: "4" },
        { fare: "6" },
        { bill: "10" },
        { fare: "9" },
        { bill: "1" },
        { output: "Bill 1" },
        { output: "Largest 9" },
      ],
      4.5,
      "T2",
    ),
    table(
      "the loop is left early",
      [
        { fares: "[4, 6, 9]" },
        { bill: "0" },
        { fare: "4" },
        { bill: "-4" },
        { fare: "6" },
        { bill: "-10" },
        { output: "Bill -10" },
        { output: "Largest 9" },
      ],
      5,
      "T6",
    ),
    table("nothing but the first value", [{ fares: "[4, 6, 9]" }], 1, "T6"),
    table("nothing", [], 0, "T1"),
    table(
      "any numbers",
      [
        { bill: "1", fare: "2" },
        { bill: "3", fare: "5" },
        { bill: "8", fare: "7" },
      ],
      0,
      "T1",
    ),
    predict("the output", "Bill -19\nLargest 9", 3, "P1"),
    predict("values alone", "-19\n9", 2.5, "P3"),
    predict("on one line", "Bill -19 Largest 9", 3, "P1", "unusual"),
    predict("one value wrong", "Bill 19\nLargest 9", 2, "P1"),
    predict("in another order", "Largest 9\nBill -19", 2, "P2"),
    predict("the whole listing", billFaulty, 1, "P4", "hides"),
    predict("every number", Array.from({ length: 60 }, (_, at) => String(at - 30)).join(" "), 1, "P4", "hides"),
    point("the line", [4], 1, "Z1"),
    point("another line", [3], 0, "Z1"),
    point("every line", [1, 2, 3, 4, 5, 6], 0, "Z2"),
    reason("logic", "valid program, no crash, output is not the expected one", 1.5, "R1"),
    reason("logic", "it runs, and bill should be 19 and is -19", 2, "R2"),
    reason("runtime", "it stops while it is running", 0, "R3"),
    reason("logic", "it stops with an exception when line 4 is reached", 1, "R3"),
    reason("logic", "", 1, "R3"),
    reason("logic", "wrong output wrong result wrong value bill", 1.5, "R4"),
  ],
};

const crossingRight = `fare = int(input("Fare? "))
cars = int(input("Cars? "))
bill = fare * cars
if cars >= 10:
    bill = bill - 5
print("Bill", bill)
`;
const crossingFaulty = crossingRight.replace("fare * cars", "fare + cars").replace("cars >= 10", "cars > 10");

/** Two logic faults in a program that reads. */
const crossing: MarkedExercise = {
  ...{ name: "crossing", language: "python", fileName: "crossing.py", program: crossingFaulty, mended: crossingRight },
  checks: [
    { input: "4\n3\n", expected: "Fare? Cars? Bill 12\n" },
    { input: "2\n10\n", expected: "Fare? Cars? Bill 15\n" },
  ],
  marks: { mend: 4, predict: 3 },
  answers: [
    mend("the key", { text: crossingRight }, 4, "M1"),
    mend("the first alone", put(crossingFaulty, ["fare + cars", "fare * cars"]), 2, "M1"),
    mend("the second alone", put(crossingFaulty, ["> 10", ">= 10"]), 2, "M1"),
    mend(
      "the first, and three lines more",
      { text: `${crossingFaulty.replace("fare + cars", "fare * cars")}print(1)\nprint(2)\nprint(3)\n` },
      1,
      "M5",
    ),
    mend(
      "answers by a table of the checks",
      put(crossingFaulty, ["fare + cars", "{3: 12, 10: 20}[cars]"]),
      0,
      "M2",
      "hides",
    ),
    mend(
      "answers by decisions",
      {
        text: 'fare = int(input("Fare? "))\ncars = int(input("Cars? "))\nif cars == 3:\n    print("Bill", 12)\nelse:\n    print("Bill", 15)\n',
      },
      0,
      "M2",
      "hides",
    ),
    mend("one check's answer", put(crossingFaulty, ['print("Bill", bill)', 'print("Bill", 12)']), 0, "M2", "hides"),
    mend(
      "everything caught",
      { text: `try:\n${crossingFaulty.replace(/^/gm, "    ").trimEnd()}\nexcept:\n    print(1)\n` },
      0,
      "M2",
      "hides",
    ),
    mend("an offset that fits one check", put(crossingFaulty, ["fare + cars", "fare + cars + 5"]), 0, "M2", "hides"),
    mend("nothing read", { text: 'print("Bill", 12)\n' }, 0, "M2", "hides"),
    mend(
      "sides swapped, another limit",
      put(crossingFaulty, ["fare + cars", "cars * fare"], ["> 10", "> 9"]),
      4,
      "M3",
      "unusual",
    ),
    mend(
      "turned round",
      put(crossingFaulty, ["fare + cars", "fare * cars"], ["cars > 10", "10 <= cars"]),
      4,
      "M3",
      "unusual",
    ),
    mend(
      "not less",
      put(crossingFaulty, ["fare + cars", "fare * cars"], ["cars > 10", "not cars < 10"]),
      4,
      "M3",
      "unusual",
    ),
    mend(
      "or equal",
      put(crossingFaulty, ["fare + cars", "fare * cars"], ["cars > 10", "cars > 10 or cars == 10"]),
      4,
      "M3",
      "unusual",
    ),
    mend(
      "both on lines put in",
      put(crossingFaulty, ["bill = fare + cars\n", "bill = fare + cars\nbill = fare * cars\n"], ["> 10", ">= 10"]),
      4,
      "M3",
      "unusual",
    ),
    predict("with prompts and what is typed in", "Fare? 4\nCars? 3\nBill 7", 3, "P5", "unusual"),
    predict("without prompts", "Bill 7", 3, "P5", "unusual"),
    predict("prompts on lines of their own", "Fare?\nCars?\nBill 7", 3, "P5", "unusual"),
    predict("only the prompts", "Fare? Cars?", 1, "P5", "hides"),
    predict("what is meant", "Bill 12", 1, "P1"),
  ],
};

const placesFaulty = `loads = [3, 5, 8]
total = 0
for place in range(4):
    total = total + loads[place]
    print("After", place, total)
print("Total", total)
`;
const placesRight = placesFaulty.replace("range(4)", "range(3)");

/** A place past the end of a list. */
const places: MarkedExercise = {
  ...{ name: "places", language: "python", fileName: "places.py", program: placesFaulty, mended: placesRight },
  checks: [{ input: "", expected: "After 0 3\nAfter 1 8\nAfter 2 16\nTotal 16\n" }],
  marks: { mend: 2, trace: 6, predict: 3, classify: 2, point: 1 },
  answers: [
    mend("the key", { text: placesRight }, 2, "M1"),
    mend(
      "an exception that is passed over",
      put(placesFaulty, [
        '    total = total + loads[place]\n    print("After", place, total)',
        '    try:\n        total = total + loads[place]\n        print("After", place, total)\n    except:\n        pass',
      ]),
      0,
      "M2",
      "hides",
    ),
    mend(
      "one that is named and passed over",
      put(placesFaulty, [
        '    total = total + loads[place]\n    print("After", place, total)',
        '    try:\n        total = total + loads[place]\n        print("After", place, total)\n    except IndexError:\n        pass',
      ]),
      0,
      "M2",
      "hides",
    ),
    mend("a value more in the data", put(placesFaulty, ["[3, 5, 8]", "[3, 5, 8, 0]"]), 0, "M2", "hides"),
    mend(
      "all printed",
      { text: 'print("After 0 3")\nprint("After 1 8")\nprint("After 2 16")\nprint("Total 16")\n' },
      0,
      "M2",
      "hides",
    ),
    mend(
      "ended before",
      put(placesFaulty, ["    total =", '    if place == 3:\n        print("Total 16")\n        exit()\n    total =']),
      0,
      "M2",
      "hides",
    ),
    mend(
      "the loop taken out",
      { text: 'loads = [3, 5, 8]\ntotal = 16\nprint("After 0 3\\nAfter 1 8\\nAfter 2 16")\nprint("Total", total)\n' },
      0,
      "M2",
      "hides",
    ),
    mend("an endless program", put(placesFaulty, ['print("Total", total)', "while True:\n    pass"]), 0, "M1", "hides"),
    mend("as many as there are", put(placesFaulty, ["range(4)", "range(len(loads))"]), 2, "M3", "unusual"),
    mend("from nought to three", put(placesFaulty, ["range(4)", "range(0, 3)"]), 2, "M3", "unusual"),
    mend("with a step", put(placesFaulty, ["range(4)", "range(0, 3, 1)"]), 2, "M3", "unusual"),
    mend("one less", put(placesFaulty, ["range(4)", "range(4 - 1)"]), 2, "M3", "unusual"),
    mend(
      "left in the loop",
      put(placesFaulty, ["    total =", "    if place == len(loads):\n        break\n    total ="]),
      2,
      "M3",
      "unusual",
    ),
    mend("the places by themselves", put(placesFaulty, ["range(4)", "[0, 1, 2]"]), 2, "M3", "unusual"),
    mend(
      "numbered by the language",
      put(placesFaulty, ["for place in range(4)", "for place, load in enumerate(loads)"]),
      2,
      "M3",
      "unusual",
    ),
    table(
      "up to where it stops",
      [
        { loads: "[3, 5, 8]" },
        { total: "0" },
        { place: "0" },
        { total: "3" },
        { output: "After 0 3" },
        { place: "1" },
        { total: "8" },
        { output: "After 1 8" },
        { place: "2" },
        { total: "16" },
        { output: "After 2 16" },
        { place: "3" },
      ],
      6,
      "T1",
    ),
    table(
      "a wrong first sum, followed",
      [
        { loads: "[3, 5, 8]" },
        { total: "0" },
        { place: "0" },
        { total: "5" },
        { output: "After 0 5" },
        { place: "1" },
        { total: "10" },
        { output: "After 1 10" },
        { place: "2" },
        { total: "18" },
        { output: "After 2 18" },
        { place: "3" },
      ],
      5.5,
      "T2",
    ),
    table(
      "places counted from one",
      [
        { loads: "[3, 5, 8]" },
        { total: "0" },
        { place: "1" },
        { total: "3" },
        { output: "After 1 3" },
        { place: "2" },
        { total: "8" },
        { output: "After 2 8" },
        { place: "3" },
        { total: "16" },
        { output: "After 3 16" },
        { place: "4" },
      ],
      5.5,
      "T8",
    ),
    {
      ...predict("up to where it stops", "After 0 3\nAfter 1 8\nAfter 2 16", 3, "P1"),
      answer: { output: "After 0 3\nAfter 1 8\nAfter 2 16", ending: "stops with an error message" },
    },
    {
      ...predict(
        "with the message",
        "After 0 3\nAfter 1 8\nAfter 2 16\nIndexError: list index out of range",
        3,
        "P6",
        "unusual",
      ),
      answer: {
        output: "After 0 3\nAfter 1 8\nAfter 2 16\nIndexError: list index out of range",
        ending: "stops with an error message",
      },
    },
    predict("as if it were right", "After 0 3\nAfter 1 8\nAfter 2 16\nTotal 16", 1.5, "P4"),
    reason("runtime", "it stops in the middle because there is no place 3 in loads", 2, "R2"),
    reason("runtime", "the places before were printed, then it crashes on line 4", 2, "R2"),
    reason("runtime", "an exception", 1.5, "R4"),
    reason("syntax", "it stops on line 4 while running", 1, "R3"),
    point("the limit", [3], 1, "Z1"),
  ],
};

const tidesFaulty = `public class Tides {
    public static void main(String[] args) {
        int[] tides = {2, 5, 3};
        int highest = 0;
        for (int i = 0; i <= tides.length; i++) {
            if (tides[i] > highest) {
                highest = tides[i];
            }
        }
        System.out.println("Highest " + highest);
    }
}
`;
const tidesRight = tidesFaulty.replace("i <= tides.length", "i < tides.length");

/** The same kind of fault in Java. */
const tides: MarkedExercise = {
  ...{ name: "tides", language: "java", fileName: "Tides.java", program: tidesFaulty, mended: tidesRight },
  checks: [{ input: "", expected: "Highest 5\n" }],
  marks: { mend: 2, classify: 2, trace: 6 },
  answers: [
    mend("the key", { text: tidesRight }, 2, "M1"),
    mend(
      "an empty catch",
      put(tidesFaulty, [
        "            if (tides[i] > highest) {\n                highest = tides[i];\n            }\n",
        "            try {\n                if (tides[i] > highest) {\n                    highest = tides[i];\n                }\n            } catch (Exception e) {\n            }\n",
      ]),
      0,
      "M2",
      "hides",
    ),
    mend(
      "printed",
      put(tidesFaulty, ['"Highest " + highest', '"Highest 5"'], ["i <= tides.length", "i < 0"]),
      0,
      "M2",
      "hides",
    ),
    mend("a value more", put(tidesFaulty, ["{2, 5, 3}", "{2, 5, 3, 0}"]), 0, "M2", "hides"),
    mend("not equal", put(tidesFaulty, ["i <= tides.length", "i != tides.length"]), 2, "M3", "unusual"),
    mend("one less", put(tidesFaulty, ["i <= tides.length", "i <= tides.length - 1"]), 2, "M3", "unusual"),
    mend("three", put(tidesFaulty, ["i <= tides.length", "i < 3"]), 2, "M3", "unusual"),
    mend("braces laid out otherwise", { text: tidesRight.replaceAll(" {\n", "\n{\n") }, 2, "M4", "unusual"),
    mend(
      "for each",
      put(tidesFaulty, [
        "for (int i = 0; i <= tides.length; i++) {\n            if (tides[i] > highest) {\n                highest = tides[i];",
        "for (int tide : tides) {\n            if (tide > highest) {\n                highest = tide;",
      ]),
      2,
      "M5",
      "unusual",
    ),
    reason("runtime", "tides has no element 3, so it stops there", 2, "R2"),
  ],
};

export const markedExercises: readonly MarkedExercise[] = [bill, crossing, places, tides];
