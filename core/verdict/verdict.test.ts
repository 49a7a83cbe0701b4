import { expect, test } from "vitest";
import { python } from "../languages/python/python.ts";
import type { Outcome } from "../outcome/outcome.ts";
import { suggestVerdict } from "./verdict.ts";

const ended: Outcome = {
  started: true,
  finished: true,
  stoppedBy: "none",
  exit: { code: 0, signal: 0 },
  diagnostics: [],
  console: [],
  effects: [],
  inputRanOut: false,
  milliseconds: 3,
  translator: "CPython 3.11",
};
const stopped: Outcome = {
  ...ended,
  finished: false,
  stoppedBy: "fault",
  exit: { code: 1, signal: 0 },
  console: [{ kind: "out", text: "2\n", line: 3 }],
  diagnostics: [
    {
      severity: "error",
      errorName: "NameError",
      message: "name 'lory' is not defined",
      line: 7,
      stage: "run",
      primary: true,
    },
  ],
};
const refused: Outcome = {
  ...ended,
  started: false,
  finished: false,
  stoppedBy: "refused",
  diagnostics: [
    {
      severity: "error",
      errorName: "SyntaxError",
      message: "invalid syntax",
      line: 4,
      stage: "translation",
      primary: true,
    },
  ],
};

test("refused before any line ran: syntax, of form", () => {
  expect(suggestVerdict({ language: python, outcome: refused })).toMatchObject({
    class: "syntax",
    kind: "form",
    reportedLine: 4,
  });
});

test("output before the message shows that the program had started, whatever the message looks like", () => {
  const verdict = suggestVerdict({ language: python, outcome: stopped, expected: "2\n" });
  expect(verdict).toMatchObject({
    class: "runtime",
    reportedLine: 7,
    gates: [{ passes: true }, { passes: false }, { passes: null }],
  });
  expect(verdict.reasons[0]).toBe("Line 3 had printed “2” before it stopped, so the program had started.");
});

test("ends by itself with another result: logic; without an intended output nothing is decided", () => {
  const outcome: Outcome = { ...ended, console: [{ kind: "out", text: "6\n", line: 2 }] };
  expect(suggestVerdict({ language: python, outcome, expected: "12\n" })).toMatchObject({
    class: "logic",
    reportedLine: null,
  });
  expect(suggestVerdict({ language: python, outcome })).toMatchObject({ class: null, symptom: "not decided" });
  expect(suggestVerdict({ language: python, outcome, expected: "6\n" }).reasons.at(-1)).toContain("not proof");
});

test("a non-zero exit alone is no fault", () => {
  expect(
    suggestVerdict({ language: python, outcome: { ...ended, exit: { code: 3, signal: 0 } }, expected: "" }).class,
  ).toBeNull();
});

test("a time limit alone decides nothing; the word of the person or a finding does, by the course's policy", () => {
  const outcome: Outcome = { ...ended, finished: false, stoppedBy: "time" };
  expect(suggestVerdict({ language: python, outcome, expected: "x" })).toMatchObject({ class: null });
  expect(suggestVerdict({ language: python, outcome, symptom: "never ends" })).toMatchObject({
    class: "logic",
    symptom: "does not end",
  });
  expect(
    suggestVerdict({
      language: python,
      outcome,
      endless: { ground: "condition never changes", line: 3, text: "it does not end", proof: true },
      endlessClass: "runtime",
    }),
  ).toMatchObject({ class: "runtime", symptom: "does not end" });
});

test("a bare crash has no line, and none is invented", () => {
  expect(
    suggestVerdict({
      language: python,
      outcome: { ...ended, finished: false, stoppedBy: "fault", exit: { code: 139, signal: 11 } },
    }),
  ).toMatchObject({
    class: "runtime",
    reportedLine: null,
  });
});

test("a fresh run weighs more than pasted text, and the disagreement is said", () => {
  const pasted = [
    {
      severity: "error",
      errorName: "SyntaxError",
      message: "invalid syntax",
      line: 2,
      stage: "translation",
      primary: true,
    } as const,
  ];
  const verdict = suggestVerdict({ language: python, outcome: stopped, pasted, lineCount: 9 });
  expect(verdict.class).toBe("runtime");
  expect(verdict.reasons.join(" ")).toContain("do not agree");
});

test("pasted text alone decides where nothing runs; a line past the end belongs to another version", () => {
  const pasted = [
    {
      severity: "error",
      errorName: "IndexError",
      message: "list index out of range",
      line: 12,
      stage: "run",
      primary: true,
    } as const,
  ];
  expect(suggestVerdict({ language: python, pasted, pastedText: "…", lineCount: 20 })).toMatchObject({
    class: "runtime",
    reportedLine: 12,
  });
  const other = suggestVerdict({ language: python, pasted, pastedText: "…", lineCount: 5 });
  expect(other.class).toBeNull();
  expect(other.reasons.join(" ")).toContain("another version");
});

test("text that is not recognised is never guessed at", () => {
  expect(suggestVerdict({ language: python, pasted: [], pastedText: "it does not work" })).toMatchObject({
    class: null,
  });
});
