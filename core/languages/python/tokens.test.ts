import fc from "fast-check";
import { expect, test } from "vitest";
import { splitLines } from "../../source/lines.ts";
import { python } from "./python.ts";
import { pythonTokens } from "./tokens.ts";

const shapes = (text: string) => pythonTokens(text).map((token) => `${token.kind} ${token.text}`);

test("words, numbers, texts, comments and brackets are told apart", () => {
  expect(shapes('if deck > 3: print(f"full {deck}")  # (not a bracket')).toEqual([
    "keyword if",
    "name deck",
    "operator >",
    "number 3",
    "operator :",
    "name print",
    "bracket (",
    'text f"full {deck}"',
    "bracket )",
    "comment # (not a bracket",
  ]);
});

test("a quote that is not closed ends at its line, a triple one at the end of the text", () => {
  const [, , open] = pythonTokens('name = "Tern\nprint(name)\n');
  expect(open).toMatchObject({ kind: "text", text: '"Tern', open: true, line: 1, endLine: 1 });
  expect(pythonTokens('"""one\ntwo')[0]).toMatchObject({ open: true, endLine: 2 });
  expect(pythonTokens("'a\\'b'")[0]?.open).toBeUndefined();
});

test("tokens stand where they say, in order, whatever the text", () => {
  const piece = fc.constantFrom(
    '"',
    "'",
    '"""',
    "\\",
    "\n",
    "\r\n",
    "#",
    "(",
    "]",
    "fare",
    "12.5",
    "é",
    "🚢",
    " ",
    "\t",
    "f",
    ":=",
    "**=",
  );
  fc.assert(
    fc.property(fc.array(piece, { maxLength: 60 }), (pieces) => {
      const text = pieces.join("");
      const lines = splitLines(text);
      let last = [0, 0];
      for (const token of pythonTokens(text)) {
        expect(token.text.length).toBeGreaterThan(0);
        if (token.line === token.endLine)
          expect(lines[token.line - 1]?.text.slice(token.offset, token.offset + token.text.length)).toBe(token.text);
        expect(token.line > (last[0] ?? 0) || token.offset >= (last[1] ?? 0)).toBe(true);
        last = [token.endLine, token.line === token.endLine ? token.offset + token.text.length : 0];
      }
    }),
  );
});

test("names that a line gives a value, and names that it uses", () => {
  const line = (text: string) => pythonTokens(text);
  expect(python.assignedNames(line("low, high = 3, tide"))).toEqual(["low", "high"]);
  expect(python.assignedNames(line("for boat in boats:"))).toEqual(["boat"]);
  expect(python.assignedNames(line("def fare(age, zone):"))).toEqual(["fare", "age", "zone"]);
  expect(python.assignedNames(line("loads[2] += 4"))).toEqual(["loads"]);
  expect(python.assignedNames(line("print(deck == 4)"))).toEqual([]);
  expect(python.usedNames(line("total = deck.load + car"))).toEqual(["total", "deck", "car"]);
});

test("the condition of a loop", () => {
  expect(python.loopCondition(pythonTokens("while boats > limit:"))).toEqual({
    names: ["boats", "limit"],
    calls: false,
    constant: false,
    comparison: { left: "boats", operator: ">", right: "limit" },
  });
  expect(python.loopCondition(pythonTokens("while boats + 1 > limit:"))?.comparison).toBeUndefined();
  expect(python.loopCondition(pythonTokens("while more():"))?.calls).toBe(true);
  expect(python.loopCondition(pythonTokens("while True:"))?.constant).toBe(true);
  expect(python.loopCondition(pythonTokens("for boat in boats:"))).toBeNull();
});
