import fc from "fast-check";
import { expect, test } from "vitest";
import { findLanguage, languages } from "../languages/languages.ts";
import { preparedParts, switchLines } from "./preparedParts.ts";
import { structureOf } from "./structure.ts";

const of = (id: string) => {
  const language = findLanguage(id);
  if (!language) throw new Error(id);
  return language;
};

test("partners are found, depth is told at each line's end, signs in texts and comments do not count", () => {
  const { lines, signs } = structureOf(of("python"), 'print("(")  # (\nloads = [4,\n  (9)]\nprint(loads))\n');
  expect(lines.map((line) => [line.depth, line.unpaired, line.closes])).toEqual([
    [0, [], []],
    [1, [], []],
    [0, [], ["] closes line 2"]],
    [0, [")"], []],
  ]);
  expect(signs.find((sign) => sign.text === "[")?.partner).toEqual({ text: "]", line: 3, column: 6 });
});

test("words that open and close blocks are paired as well", () => {
  const { lines } = structureOf(of("pascal"), "program Deck;\nbegin\n  if a then\n  begin\n    x := 1;\n  end;\n");
  expect(lines.map((line) => line.depth)).toEqual([0, 1, 1, 2, 2, 1]);
  expect(lines[1]?.unpaired).toEqual(["begin"]);
});

test("one surplus brace does not upset the pairs that follow", () => {
  const { signs } = structureOf(of("java"), "class A {\n  void f() { } }\n}\nclass B { }\n");
  expect(signs.filter((sign) => !sign.partner).map((sign) => [sign.text, sign.line])).toEqual([["}", 3]]);
});

test("whatever the text, every sign is its partner's partner", () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...languages),
      fc.array(fc.constantFrom("(", ")", "[", "]", "{", "}", "begin", "end", "if", "x", '"', "\n", " ", ";"), {
        maxLength: 60,
      }),
      (language, parts) => {
        const { signs } = structureOf(language, parts.join(""));
        for (const sign of signs) {
          const partner = sign.partner;
          if (!partner) continue;
          expect(
            signs.find((each) => each.line === partner.line && each.column === partner.column)?.partner,
          ).toMatchObject({
            line: sign.line,
            column: sign.column,
          });
        }
      },
    ),
  );
});

test("parts that were prepared and commented out are told from remarks, and switched on and off", () => {
  const program =
    "# the deck of the ferry, first try\nloads = [4, 9]\n\n# for load in loads:\n#     print(load)\n\n# print(sum(loads))\n";
  const parts = preparedParts(of("python"), program);
  expect(parts.map(({ from, to }) => [from, to])).toEqual([
    [4, 5],
    [7, 7],
  ]);
  const on = switchLines(of("python"), program, 4, 5, true);
  expect(on).toContain("\nfor load in loads:\n    print(load)\n\n# print");
  expect(switchLines(of("python"), on, 4, 5, false)).toContain("\n# for load in loads:\n#     print(load)\n");
  expect(preparedParts(of("c"), "// int sum = 0;\n// counts the cars\nint x;\n").map((part) => part.from)).toEqual([1]);
  // Headings stay comments, and examples under them are switched on one by one.
  const examples =
    "# Example 1: a fare\n# fare = 4\n# print(fare)\n# ------\n# The tide of the day.\n# tide = 3\n# if tide > 2:\n#     print(tide)\n";
  expect(preparedParts(of("python"), examples).map(({ from, to }) => [from, to])).toEqual([
    [2, 3],
    [6, 8],
  ]);
  const java = "// Second try of the loads\n// int sum = 0;\n// for (int load : loads) {\n//     sum += load;\n// }\n";
  expect(preparedParts(of("java"), java).map(({ from, to }) => [from, to])).toEqual([[2, 5]]);
  expect(preparedParts(of("c"), "// Counts the cars on the deck.\nint x;\n")).toEqual([]);
});
