import { expect, test } from "vitest";
import { findLanguage } from "../../core/languages/languages.ts";
import type { Diagnostic, Outcome } from "../../core/outcome/outcome.ts";
import { judge } from "../../core/verdict/judge.ts";
import { cardView } from "./cardView.ts";

const whole: Outcome = {
  ...{ started: true, finished: true, stoppedBy: "none", exit: { code: 0, signal: 0 }, diagnostics: [] },
  ...{ console: [{ kind: "out", text: "12\n" }], effects: [], inputRanOut: false, milliseconds: 1, translator: "" },
};
const error = (line: number, errorName: string, message: string, stage: Diagnostic["stage"]): Diagnostic => ({
  ...{ severity: "error", stage, primary: true, line, message, errorName, frames: [] },
});

/** The card beside a program whose run came to something, and which was to print another thing. */
function cardOf(id: string, program: string, outcome: Outcome | null, expected = "12\n") {
  const language = findLanguage(id);
  if (!language) throw new Error(id);
  const files = { [language.mainName]: program };
  const judgement = judge({ language, mainName: language.mainName, files, expected, ...(outcome ? { outcome } : {}) });
  return cardView(language, program, judgement, outcome);
}
const passed = (card: ReturnType<typeof cardOf>) => card.stages.map((stage) => stage.passed);

test("a right run passed every stage, and its start rules out one kind of error alone", () => {
  const card = cardOf("python", "print(12)\n", whole);
  expect(passed(card)).toEqual([true, true, true, true]);
  expect(card.answers.map(({ asks }) => asks)).toEqual(["It starts. Can it still hold a syntax error?"]);
  expect(card.answers[0]?.answer).toContain("says nothing of runtime errors and logic errors");
});

test("a wrong result came to its end, and no message is no proof", () => {
  const card = cardOf("python", "print(12)\n", whole, "13\n");
  expect(passed(card)).toEqual([true, true, true, false]);
  expect(card.answers.map(({ asks }) => asks)).toContain("No message: is the program right?");
});

test("what is refused has run nothing, and hides what stands behind it", () => {
  const refused: Outcome = {
    ...whole,
    ...{ started: false, finished: false, stoppedBy: "refused", console: [] },
    diagnostics: [error(1, "SyntaxError", "'(' was never closed", "translation")],
  };
  const card = cardOf("python", "print(12\n", refused);
  expect(passed(card)).toEqual([false, false, null, null]);
  expect(card.answers[0]?.asks).toBe("It does not start. Is that all that is wrong?");
});

test("why a misspelt name is no syntax error is asked where names are looked up late, and only there", () => {
  const stopped = (name: string, message: string): Outcome => ({
    ...whole,
    ...{ finished: false, stoppedBy: "fault", exit: { code: 1, signal: 0 } },
    diagnostics: [error(1, name, message, "run")],
  });
  const asks = (card: ReturnType<typeof cardOf>) => card.answers.map((each) => each.asks);
  const late = cardOf("python", "print(lory)\n", stopped("NameError", "name 'lory' is not defined"));
  expect(passed(late)).toEqual([true, true, false, null]);
  expect(asks(late)).toContain("A name is misspelt. Why is that no syntax error?");
  const early = cardOf(
    "java",
    "class Main { public static void main(String[] a) { int n = 1 / 0; } }\n",
    stopped("java.lang.ArithmeticException", "/ by zero"),
  );
  expect(asks(early)).not.toContain("A name is misspelt. Why is that no syntax error?");
});

test("of a program that was never run nothing is said to have passed", () => {
  const card = cardOf("python", "print(12)\n", null);
  expect(card.stages[1]).toMatchObject({ passed: null, why: "nothing was run" });
});

test("routines that the program uses come first, each of them once, whatever their letter case", () => {
  const card = cardOf("python", "loads = [3, 4]\nprint(len(loads))\n", whole);
  const names = (routines: ReadonlyArray<{ name: string }>) => routines.map(({ name }) => name);
  expect(names(card.routines.used)).toEqual(expect.arrayContaining(["print", "len"]));
  expect(names(card.routines.others)).not.toEqual(expect.arrayContaining(["print"]));
  const pascal = cardOf("pascal", "begin\n  WRITELN(12);\nend.\n", whole);
  expect(names(pascal.routines.used).map((name) => name.toLowerCase())).toContain("writeln");
});

test("rows and advice name the kind of mistake that they link to", () => {
  const card = cardOf("c", "int main(void) { int n; if (n > 3) return 1; return 0; }\n", whole);
  const linked = card.rows.filter((row) => row.pattern);
  expect(linked.length).toBeGreaterThan(0);
  for (const row of linked) expect(row.patternName).not.toBe("");
  for (const each of card.advice) expect(each.patternName).not.toBe("");
});
