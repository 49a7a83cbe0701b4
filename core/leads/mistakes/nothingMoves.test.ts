import { expect, test } from "vitest";
import { editContext } from "../../edits/context.ts";
import { findLanguage } from "../../languages/languages.ts";
import { nothingMoves } from "./nothingMoves.ts";

function linesOf(id: string, text: string): number[] {
  const language = findLanguage(id);
  const context = language && editContext(language, text);
  if (!context) throw new Error(id);
  return nothingMoves.find(context).map(({ line }) => line);
}
const inC = (head: string, body: string) =>
  linesOf("c", `void f(char *line, int n) {\n  while (${head}) {\n    ${body}\n  }\n}\n`);

test.each([
  ["a list is changed by a call of its own", 'while "dog" in names:\n    names.remove("dog")\n'],
  [
    "an own function gives the name another value",
    "def step():\n    global tide\n    tide = 0\n\nwhile tide > 3:\n    step()\n",
  ],
  ["the loop is left in its middle", "while tide > 3:\n    if late:\n        break\n"],
  ["the condition asks a call that may give something else", "while left() > 0:\n    sail()\n"],
])("nothing is said of a loop where %s", (_, text) => {
  expect(linesOf("python", text)).toEqual([]);
});

test("what only asks a value does not change it", () => {
  expect(linesOf("python", 'while line != "end":\n    print(line.strip())\n')).toEqual([1]);
  expect(
    linesOf("csharp", 'class P {\n  void F(string s) {\n    while (s != "") {\n      G(s.Trim());\n    }\n  }\n}\n'),
  ).toEqual([3]);
});

test("a text that a call fills is changed, one that is printed or compared is not", () => {
  expect(inC('strcmp(line, "end") != 0', "fgets(line, 20, stdin);")).toEqual([]);
  expect(inC('strcmp(line, "end") != 0', 'printf("%s", line);')).toEqual([2]);
  expect(inC("n > 0", 'scanf("%d", &n);')).toEqual([]);
  expect(inC("n > 0", 'printf("%d", n);')).toEqual([2]);
});
