import fc from "fast-check";
import { expect, test } from "vitest";
import { findLanguage } from "../languages/languages.ts";
import type { ConsolePiece } from "../outcome/outcome.ts";
import { markOutput, outputParts } from "./outputMarking.ts";

const python = findLanguage("python");
const fares = `fare = int(input("Fare? "))
cars = int(input("How many cars? "))
print("Bill:", fare * cars, "pounds")
print("Left:", 40 - cars)
if cars > 2:
    print("Nearly full")
print("Good crossing")
`;
const console: ConsolePiece[] = [
  ...[
    { kind: "out" as const, text: "Fare? ", line: 1 },
    { kind: "in" as const, text: "4\n", line: 1 },
  ],
  ...[
    { kind: "out" as const, text: "How many cars? ", line: 2 },
    { kind: "in" as const, text: "3\n", line: 2 },
  ],
  { kind: "out", text: "Bill: 12 pounds\nLeft: 37\nNearly full\nGood crossing\n" },
];
const parts = outputParts(python, fares, console);
const mark = (written: string) => {
  const { share, wordsDiffer } = markOutput(parts, written, "");
  return [Math.round(share * 100) / 100, wordsDiffer];
};

test("prompts are told from results, values from the words beside them, and words that only some runs write", () => {
  expect(parts.prompts).toEqual(["Fare?", "How many cars?"]);
  expect(parts.typed).toEqual(["4", "3"]);
  expect(parts.lines).toEqual([
    { text: "Bill: 12 pounds", values: ["12"], always: true },
    { text: "Left: 37", values: ["37"], always: true },
    { text: "Nearly full", values: [], always: false },
    { text: "Good crossing", values: [], always: true },
  ]);
});

test.each([
  ["the output as it is", "Fare? How many cars? Bill: 12 pounds\nLeft: 37\nNearly full\nGood crossing", [1, false]],
  ["prompts left out", "Bill: 12 pounds\nLeft: 37\nNearly full\nGood crossing", [1, false]],
  [
    "prompts on lines of their own",
    "Fare?\nHow many cars?\nBill: 12 pounds\nLeft: 37\nNearly full\nGood crossing",
    [1, false],
  ],
  [
    "with what is typed in",
    "Fare? 4\nHow many cars? 3\nBill: 12 pounds\nLeft: 37\nNearly full\nGood crossing",
    [1, false],
  ],
  ["typed values on lines of their own", "4\n3\nBill: 12 pounds\nLeft: 37\nNearly full\nGood crossing", [1, false]],
  ["only the prompts", "Fare? How many cars?", [0, false]],
  ["nothing", "", [0, false]],
  ["other words beside right values", "The bill is 12\nthere are 37 left\nNearly full\nGood crossing", [1, true]],
  ["a fixed line left out", "Bill: 12 pounds\nLeft: 37\nNearly full", [1, true]],
  ["one value wrong", "Bill: 13 pounds\nLeft: 37\nNearly full\nGood crossing", [0.67, false]],
  ["another way through the decision", "Bill: 12 pounds\nLeft: 37\nGood crossing", [0.67, false]],
  ["right values in another order", "Left: 37\nBill: 12 pounds\nNearly full\nGood crossing", [0.67, false]],
  ["every number there is", Array.from({ length: 50 }, (_, number) => number).join("\n"), [0, false]],
  ["the whole listing", fares, [0, false]],
  ["an error message put behind", "Bill: 12 pounds\nLeft: 37\nNearly full\nGood crossing\nValueError: no", [1, false]],
])("%s", (_, written, expected) => {
  expect(mark(written)).toEqual(expected);
});

test("one computed value: wrong earns nothing, in the wrong order half, and numbers in words are no values", () => {
  const one = outputParts(python, 'print("Deck 7 load:", deck)\n', [{ kind: "out", text: "Deck 7 load: 9\n" }]);
  expect(markOutput(one, "Deck 7 load: 8", "").share).toBe(0);
  expect(markOutput(one, "9", "")).toMatchObject({ share: 1, wordsDiffer: true });
  const two = outputParts(python, "print(deck)\nprint(tide)\n", [{ kind: "out", text: "3\n5\n" }]);
  expect(markOutput(two, "5\n3", "").share).toBe(0.5);
  expect(markOutput(two, "3 5", "")).toMatchObject({ share: 1, wordsDiffer: false });
});

test("a number behind the program's own words is a value, also where it looks like one of these going on", () => {
  const deck = outputParts(python, 'print("Deck 2", load)\n', [{ kind: "out", text: "Deck 2 5\n" }]);
  expect(markOutput(deck, "Deck 2 is 5", "")).toMatchObject({ share: 1 });
  expect(markOutput(deck, "Deck 25", "")).toMatchObject({ share: 0, right: 0 });
  expect(markOutput(deck, "Deck 2.5", "")).toMatchObject({ share: 0, right: 0 });
});

test("nothing printed before a stop, and none claimed, is right; something claimed is not", () => {
  const none = outputParts(python, "print(deck)\n", [{ kind: "err", text: "NameError: name 'deck' is not defined\n" }]);
  expect(markOutput(none, "", "")).toMatchObject({ share: 1, of: 0 });
  expect(markOutput(none, "NameError: name 'deck' is not defined", "").share).toBe(1);
  expect(markOutput(none, "4", "").share).toBe(0);
});

test("an output as it is earns all, whatever it is, and nothing that is written earns more", () => {
  const line = fc.stringMatching(/^[a-z]{1,6}: [0-9]{1,3}$/);
  fc.assert(
    fc.property(fc.array(line, { minLength: 1, maxLength: 8 }), fc.string(), (lines, other) => {
      const text = `${lines.join("\n")}\n`;
      const own = outputParts(python, "print(label, value)\n", [{ kind: "out", text }]);
      expect(markOutput(own, text, "")).toMatchObject({ share: 1, wordsDiffer: false });
      const { share } = markOutput(own, other, "");
      expect(share >= 0 && share <= 1).toBe(true);
    }),
  );
});
