import { expect, test } from "vitest";
import { editContext } from "../../edits/context.ts";
import { findLanguage } from "../../languages/languages.ts";
import { labelInSwitch } from "./labelInSwitch.ts";

const inSwitch = (inside: string, behind = "") =>
  `int f(int z) {\n  switch (z) {\n  case 1:\n    return 4;\n  ${inside}\n    return 10;\n  }\n${behind}  return 0;\n}\n`;

test.each([
  ["a misspelt default", "c", inSwitch("defualt:"), ["defualt"]],
  ["default itself", "c", inSwitch("default:"), []],
  ["another case", "c", inSwitch("case 2:"), []],
  ["a place that is jumped to", "c", inSwitch("again:", "  if (z > 7) goto again;\n"), []],
  ["a choice between two values", "c", inSwitch("case 2: z = z > 3 ? z : 3;"), []],
  ["a word in capitals", "java", `class M { ${inSwitch("Default:")} }`, ["Default"]],
  ["a language without braces", "pascal", "begin\n  case z of\n    1: a := 1;\n  end;\nend.", []],
])("labels of a switch: %s", (_, id, text, found) => {
  const language = findLanguage(id);
  const context = language && editContext(language, text);
  expect(context && labelInSwitch.find(context).flatMap(({ names }) => names)).toEqual(found);
});
