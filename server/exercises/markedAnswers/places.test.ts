import { type MarkedExercise, mend, point, predict, put, reason, table } from "./marked.ts";
import { testMarked } from "./testMarked.ts";

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

testMarked(places);
