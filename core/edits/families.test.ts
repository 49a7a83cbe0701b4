import { describe, expect, test } from "vitest";
import { findLanguage } from "../languages/languages.ts";
import { editContext } from "./context.ts";
import { applyEdit, type EditContext, type EditFamily } from "./edit.ts";
import { accumulation } from "./families/accumulation.ts";
import { byOneFamily } from "./families/byOne.ts";
import { equalTextsFamily } from "./families/equalTexts.ts";
import { formatLetter } from "./families/formatLetter.ts";
import { stepLeftOut } from "./families/stepLeftOut.ts";
import { editFamilies } from "./families.ts";

function contextOf(language: string, text: string): EditContext {
  const found = findLanguage(language);
  const context = found && editContext(found, text);
  if (!context) throw new Error(`no trees for ${language}`);
  return context;
}

describe.each(editFamilies)("$id", (family) => {
  test.each(family.examples)("$language: plants it and mends it", ({ language, right, faulty }) => {
    const mended = family.mends(contextOf(language, faulty)).map((edit) => applyEdit(faulty, edit));
    expect(mended).toContain(right);
    const planted = family.plants(contextOf(language, right)).map((edit) => applyEdit(right, edit));
    expect(planted).toContain(faulty);
  });
});

test("each family has an id of its own and an example in at least one language", () => {
  expect(new Set(editFamilies.map((family) => family.id)).size).toBe(editFamilies.length);
  for (const family of editFamilies) expect(family.examples.length).toBeGreaterThan(0);
});

const mended = (family: EditFamily, language: string, text: string) =>
  family.mends(contextOf(language, text)).map((edit) => applyEdit(text, edit));

test("what compares texts in C is asked for its zero, wherever it stands for a condition", () => {
  const text =
    'int f(char *a) { if (strcmp(a, "x")) return 1; while (a && strcmp(a, "y")) a++; return strcmp(a, "z"); }';
  expect(mended(equalTextsFamily, "c", text)).toEqual([
    text.replace('strcmp(a, "x")', 'strcmp(a, "x") == 0'),
    text.replace('strcmp(a, "y")', 'strcmp(a, "y") == 0'),
  ]);
});

test("a text is joined on its other side, a number is not", () => {
  const text = 'code = ""\nsum = 0\nfor x in "ab":\n    code += x\n    sum += 1\n';
  const all = mended(accumulation, "python", text);
  expect(all).toContain(text.replace("code += x", "code = x + code"));
  expect(all.some((each) => each.includes("sum = 1 + sum"))).toBe(false);
});

test("a read before a loop is put at its end, also where its name is declared there", () => {
  const text =
    'class P {\n  static void Main() {\n    string line = Console.ReadLine();\n    while (line != "end") {\n      Console.WriteLine(line);\n    }\n  }\n}\n';
  expect(mended(stepLeftOut, "csharp", text)).toContain(
    text.replace(
      "      Console.WriteLine(line);\n",
      "      Console.WriteLine(line);\n      line = Console.ReadLine();\n",
    ),
  );
});

test("a whole number's letter becomes a decimal number's, with the digits of what is meant", () => {
  const text = 'int main(void) { printf("%5d of %d", tide, n); return 0; }';
  const found = findLanguage("c");
  const context = found && editContext(found, text, ["3.125 of 4\n"]);
  expect(context && formatLetter.mends(context).map((edit) => applyEdit(text, edit))).toContain(
    text.replace("%5d", "%5.3f"),
  );
});

test("a piece of a text is asked for by one more or less", () => {
  expect(mended(byOneFamily, "pascal", "begin\n  s := copy(t, 1, at);\nend.\n")).toContain(
    "begin\n  s := copy(t, 1, at - 1);\nend.\n",
  );
});

test("a text that is joined to itself may have been meant to be turned, or to begin anew", () => {
  const text = 'code = ""\ncode = code + sign\n';
  const all = mended(accumulation, "python", text);
  expect(all).toContain(text.replace("code + sign", "sign + code"));
  expect(all).toContain(text.replace("code + sign", "sign"));
});
