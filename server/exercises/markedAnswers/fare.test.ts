import { type MarkedExercise, mend, point, predict, put, reason } from "./marked.ts";
import { testMarked } from "./testMarked.ts";

const fareFaulty = `def fare_for(age, cars):
    if age < 15:
        return 3
    return 8 + cars * 2


print("Child", fare_for(14, 0))
print("Adult", fare_for(30, 1))
print("Family", fare_for(40, 2) + fare_for(12, 0)
`;
const fareRight = fareFaulty.replace("fare_for(12, 0)\n", "fare_for(12, 0))\n");

/** A bracket that is missing, in a program with a function. */
const fare: MarkedExercise = {
  ...{ name: "fare", language: "python", fileName: "fare.py", program: fareFaulty, mended: fareRight },
  checks: [{ input: "", expected: "Child 3\nAdult 10\nFamily 15\n" }],
  marks: { mend: 2, predict: 3, classify: 2, point: 1 },
  answers: [
    mend("the key", { text: fareRight }, 2, "M1"),
    mend("the line taken out", put(fareFaulty, ['print("Family", fare_for(40, 2) + fare_for(12, 0)\n', ""]), 0, "M1"),
    mend(
      "the result written down",
      put(fareFaulty, ["fare_for(40, 2) + fare_for(12, 0)\n", "15)\n"]),
      0,
      "M2",
      "hides",
    ),
    mend(
      "a handler around it",
      {
        text: `try:\n    print("Child", 3)\n    print("Adult", 10)\n    print("Family", 15)\nexcept Exception:\n    pass\n`,
      },
      0,
      "M2",
      "hides",
    ),
    mend("a text of all lines", { text: 'print("""Child 3\nAdult 10\nFamily 15""")\n' }, 0, "M2", "hides"),
    mend(
      "in brackets of its own",
      put(fareFaulty, ["fare_for(40, 2) + fare_for(12, 0)\n", "(fare_for(40, 2) + fare_for(12, 0)))\n"]),
      2,
      "M3",
      "unusual",
    ),
    mend(
      "by a name",
      put(fareFaulty, [
        'print("Family", fare_for(40, 2) + fare_for(12, 0)\n',
        'both = fare_for(40, 2) + fare_for(12, 0)\nprint("Family", both)\n',
      ]),
      2,
      "M3",
      "unusual",
    ),
    mend("closed on the next line", put(fareFaulty, ["fare_for(12, 0)\n", "fare_for(12, 0)\n)\n"]), 2, "M3", "unusual"),
    predict("the output of the mended one", "Child 3\nAdult 10\nFamily 15", 3, "P1"),
    predict("one value wrong", "Child 3\nAdult 8\nFamily 15", 2, "P1"),
    predict("values with a sign of money", "Child £3\nAdult £10\nFamily £15", 2.5, "P3"),
    point("the last line", [9], 1, "Z1"),
    point("three lines", [7, 8, 9], 0, "Z2"),
    reason("syntax", "the bracket that print opens on line 9 is not closed", 2, "R2"),
    reason("syntax", "it cannot be translated, so nothing runs", 1.5, "R1"),
    reason("syntax", "no bracket is missing", 1, "R4"),
    reason("logic", "the result is wrong", 0, "R3"),
  ],
};

testMarked(fare);
