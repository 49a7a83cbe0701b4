import { expect, test } from "vitest";
import { expressionTree } from "../expressions/readExpression.ts";
import { findLanguage, languages } from "../languages/languages.ts";
import { inMain } from "../patterns/example.ts";
import { highest } from "./shallow.ts";
import { nodesOf, type SyntaxNode } from "./tree.ts";

/** What may be written over and over: openings, signs before a value, links of a chain, headers without an end. */
const pieces = [
  ...[
    "(",
    "[",
    "{",
    "f(",
    "a[",
    "x = (",
    "- ",
    "not ",
    "!",
    "1 + ",
    "1 ^ ",
    "a.",
    "x = ",
    "x := ",
    "a ? ",
    "x if y else ",
  ],
  ...["if (x) ", "if x then ", "while (x) ", "for (;;) ", "else ", "do ", "begin ", "repeat ", "try {", "class a {"],
  ...[
    "List<",
    "new ",
    "(int) ",
    "Sub a()\n",
    "If x Then\n",
    "IF x THEN\n",
    "if x\n",
    "for i = 1 to 2\n",
    "function f()\n",
  ],
  ...["record ", "array of ", "var a: record ", "case x of ", "switch (x) { case 1: ", "lambda: ", "x => ", "@(x) "],
];

const read = languages.flatMap(({ id, syntax }) => (syntax ? [[id, syntax] as const] : []));

/** How many pieces lie in one another. */
function heightOf(tree: SyntaxNode): number {
  let height = 0;
  for (let row = [tree]; row.length > 0; row = row.flatMap((node) => node.children)) height += 1;
  return height;
}

test.each(read)(
  "%s: a line that nobody writes overflows no stack, and what is read of it can be walked",
  (id, syntax) => {
    // What a published grammar cannot read it goes through again and again.
    const times = ["python", "java", "c", "sketch"].includes(id) ? 300 : 1200;
    for (const piece of pieces) {
      const text = `x ${piece.repeat(times)}1\n`;
      const tree = syntax(text);
      expect([tree.kind, tree.from, tree.to >= text.length], piece).toEqual(["program", 0, true]);
      expect(heightOf(tree), piece).toBeLessThanOrEqual(highest);
      expect(
        nodesOf(tree).every((node) => node.from <= node.to && node.to <= tree.to),
        piece,
      ).toBe(true);
    }
  },
);

test.each(read)("%s: a sum of more numbers than anybody writes is no tree, in a program or alone", (id, syntax) => {
  const sum = "1 + ".repeat(12000).concat("1");
  expect(heightOf(syntax(`x = ${sum}\n`))).toBeLessThanOrEqual(highest);
  const language = findLanguage(id);
  if (!language?.values) return;
  expect(expressionTree(language, sum)).toBe(null);
  expect(expressionTree(language, "1 + 1 + 1")).not.toBe(null);
});

/** How each language gives a name a value, where that is not as in Python. */
const assigned: Readonly<Record<string, string>> = {
  ...{ java: "int fare = VALUE;", c: "int fare = VALUE;", csharp: "int fare = VALUE;", sketch: "int fare = VALUE;" },
  ...{ pascal: "begin\n  fare := VALUE;\nend.", pseudocode: "fare ← VALUE", "basic-forms": "Dim fare = VALUE" },
};

test.each(read)("%s: what people write is read, deep as it may be for them", (id, syntax) => {
  const deep = `${"(".repeat(30)}cars${")".repeat(30)}`;
  const long = Array.from({ length: 60 }, (_, at) => `cars${at}`).join(" + ");
  for (const value of [deep, long, `${deep} + ${long}`]) {
    const program = inMain(id, `${(assigned[id] ?? "fare = VALUE").replace("VALUE", () => value)}\n`).right;
    const names = nodesOf(syntax(program)).filter((node) => node.kind === "name" && node.sign?.startsWith("cars"));
    expect(names.length, value).toBe(value.split("cars").length - 1);
  }
});
