import { expect, test } from "vitest";
import { findLanguage, languages } from "../languages/languages.ts";
import { editContext } from "./context.ts";
import { applyEdit } from "./edit.ts";
import { linesElsewhere } from "./forms/lines.ts";

function madeBy(id: string, text: string): string[] {
  const language = findLanguage(id);
  const context = language && editContext(language, text);
  if (!context) throw new Error(id);
  return linesElsewhere(context).map((edit) => applyEdit(text, edit));
}

test("each line that another language writes so for itself, and all of them at once", () => {
  const text = 'IF cars > 3:\n    OUTPUT "full"\nENDIF\nIF cars < 1:\n    OUTPUT "empty"\nENDIF\n';
  const [first, second] = [text.replace("> 3:", "> 3 THEN"), text.replace("< 1:", "< 1 THEN")];
  expect(madeBy("pseudocode", text)).toEqual([first, second, first.replace("< 1:", "< 1 THEN")]);
});

test("a comment behind a line stays, and a sign that begins one here may have been another's", () => {
  expect(madeBy("pseudocode", 'IF cars > 3: // deck\n    OUTPUT "full"\nENDIF\n')).toContain(
    'IF cars > 3 THEN // deck\n    OUTPUT "full"\nENDIF\n',
  );
  const quoted = "Module Deck\n    Sub Main()\n        Console.WriteLine('full')\n    End Sub\nEnd Module\n";
  expect(madeBy("basic-forms", quoted)).toContain(quoted.replace("'full'", '"full"'));
});

test("a line that says the same with other blanks, letters or signs is none of another language", () => {
  for (const line of ["for car ← 1 to 3", "FOR car = 1  TO 3", "FOR car<-1 TO 3"])
    expect(madeBy("pseudocode", `${line}\n    OUTPUT car\nNEXT car\n`), line).toEqual([]);
});

test.each(languages.map(({ id }) => id))(
  "%s: a line longer than any that is written by hand is not looked at",
  (id) => {
    const endless = ["for", "while", "if"].map((word) => `${word} ${"a , = to ".repeat(3000)}:`);
    const language = findLanguage(id);
    const context = language?.writing && editContext(language, endless.join("\n"));
    expect(context ? linesElsewhere(context) : []).toEqual([]);
  },
);
