import { expect, test } from "vitest";
import { askedOf } from "./asked.ts";
import { findLanguage, languages } from "./languages.ts";

const former = findLanguage("basic");
const likely = (text: string) => former && askedOf(former, text).find((each) => each.likely)?.id;

test("a case of before asks which of two languages it is in; its text speaks for one of them", () => {
  expect(former && askedOf(former, "").map(({ id, likely: is }) => [id, is])).toEqual([
    ["basic-macro", false],
    ["basic-forms", false],
  ]);
  expect(likely('Sub Fill\n  ActiveSheet.Range("A1").Value = 4\nEnd Sub\n')).toBe("basic-macro");
  expect(
    likely(
      "Public Class Form1\n  Private Sub Button1_Click(sender As Object) Handles Button1.Click\n  End Sub\nEnd Class\n",
    ),
  ).toBe("basic-forms");
});

test("no new case can be in it, and no other language asks", () => {
  expect(languages.some((language) => language.id === "basic")).toBe(false);
  for (const language of languages) expect(askedOf(language, "Sub Main\n")).toEqual([]);
});

test("what its tools say is still read, of either kind", () => {
  expect(former?.readMessages("Run-time error '9':\n")[0]?.code).toBe("9");
  expect(former?.readMessages("Module1.vb(4,9): error BC30451: 'totl' is not declared.\n")[0]?.code).toBe("BC30451");
});
