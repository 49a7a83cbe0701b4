import { describe, expect, test } from "vitest";
import { findLanguage } from "../languages/languages.ts";
import { editContext } from "./context.ts";
import { applyEdit } from "./edit.ts";
import { proposeEdits } from "./families.ts";
import { misplacedByIndent } from "./indented.ts";

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
