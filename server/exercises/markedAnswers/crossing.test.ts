import { type MarkedExercise, mend, predict, put } from "./marked.ts";
import { testMarked } from "./testMarked.ts";

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

testMarked(crossing);
