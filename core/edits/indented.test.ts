import { describe, expect, test } from "vitest";
import { neutralOf } from "../exercises/planting/neutral/neutralPrograms.ts";
import { findLanguage } from "../languages/languages.ts";
import { editContext } from "./context.ts";
import { applyEdit } from "./edit.ts";
import { proposeEdits } from "./families.ts";
import { misplacedByIndent } from "./indented.ts";
import { blocksOf, indentUnit, wholeLines } from "./places.ts";

function contextOf(language: string, text: string) {
  const found = findLanguage(language);
  const context = found && editContext(found, text);
  if (!context) throw new Error(`no trees for ${language}`);
  return context;
}
const lines = (language: string, text: string) => {
  const context = contextOf(language, text);
  return misplacedByIndent(context).map(({ statement, inside }) => [
    context.lineOf(statement.from),
    inside ? "in" : "out",
  ]);
};
const java = (body: string) =>
  `class Main {\n    void f(int[] a) {\n        int most = 0;\n${body}        g(most);\n    }\n}\n`;
const loop = "        for (int each : a) {\n            h(each);\n        }\n";

describe("a statement that is indented as though it stood in another block", () => {
  test("stands in the block above it, by its blanks", () => {
    expect(lines("java", java(`${loop}            most = most + 1;\n`))).toEqual([[7, "in"]]);
    const c = "int main(void) {\n  int n = 0;\n  while (n < 4) {\n    n++;\n  }\n    show(n);\n  return n;\n}\n";
    expect(lines("c", c)).toEqual([[6, "in"]]);
  });

  test("stands behind its block, by its blanks", () => {
    const pascal = "begin\n  for i := 1 to 9 do\n  begin\n    load := load + i;\n  writeln(load);\n  end;\nend.\n";
    expect(lines("pascal", pascal)).toEqual([[5, "out"]]);
  });

  test("is none where everything stands alike, where nothing does, or where blanks make the blocks", () => {
    expect(lines("java", java(`${loop}        most = most + 1;\n`))).toEqual([]);
    expect(
      lines("java", java(`${loop}     most = 1;\n           most = 2;\n        most = 3;\n      most = 4;\n`)),
    ).toEqual([]);
    expect(lines("java", java("            most = most + 1;\n"))).toEqual([]);
    expect(lines("python", "for each in a:\n    h(each)\ng(each)\n")).toEqual([]);
  });

  test("is put into that block, a decision with all that it holds", () => {
    const asked = "            if (most < 3) {\n                most = 3;\n            }\n";
    const text = java(`${loop}${asked}`);
    const context = contextOf("java", text);
    const right = java(`        for (int each : a) {\n            h(each);\n${asked}        }\n`);
    const edits = proposeEdits(context, "mend").filter((edit) => edit.family === "moved");
    const meant = edits.find((edit) => applyEdit(text, edit) === right);
    expect(meant).toBeDefined();
    expect(Math.max(...edits.map((edit) => edit.odds))).toBe(meant?.odds);
  });
});

/** A text with some lines (from 1) indented further. */
const indented = (text: string, from: number, to: number, unit: string) =>
  text
    .split("\n")
    .map((line, at) => (at + 1 >= from && at + 1 <= to ? unit + line : line))
    .join("\n");

test.each(["java", "c", "csharp", "pascal", "octave"])(
  "in right programs nothing is misplaced, and each last statement behind a loop that is indented as its body is (%s)",
  (language) => {
    let tried = 0;
    for (const { program } of neutralOf(language)) {
      const context = contextOf(language, program);
      expect(misplacedByIndent(context), program).toEqual([]);
      for (const { statements } of blocksOf(context)) {
        const [before, last] = statements.slice(-2);
        const body = before?.children.find((child) => child.role === "body" && child.kind === "block");
        const lines = last && wholeLines(context, last);
        const inside = body?.children.at(-1);
        const whole = inside && wholeLines(context, inside);
        if (!before || !last || before === last || statements.length < 2 || !lines || !whole) continue;
        const unit = indentUnit(context);
        if (whole.first.indent !== lines.first.indent + unit) continue;
        tried += 1;
        const text = indented(program, lines.first.number, lines.last.number, unit);
        const found = misplacedByIndent(contextOf(language, text)).map(({ statement }) => statement.from);
        const lineOf = contextOf(language, text).lineOf;
        expect(found.map(lineOf), text).toContain(lines.first.number);
      }
    }
    expect(tried).toBeGreaterThan(0);
  },
);
