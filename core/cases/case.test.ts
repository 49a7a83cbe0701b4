import { expect, test } from "vitest";
import { largestProgram, type NewCase, problemsOfNewCase } from "./case.ts";

const given: NewCase = {
  language: "python",
  course: null,
  student: null,
  title: "",
  intent: "",
  changedLast: "",
  files: [{ name: "a.py", bytes: new Uint8Array([49]) }],
  input: "",
  symptom: null,
};

test("a case needs a program", () => {
  expect(problemsOfNewCase({ ...given, files: [], errorOutput: "x" })).toHaveProperty("program");
  expect(
    problemsOfNewCase({ ...given, files: [{ name: "a.py", bytes: new Uint8Array() }], errorOutput: "x" }),
  ).toHaveProperty("program");
});

test("with an error output nothing more is needed, not even a student", () => {
  expect(problemsOfNewCase({ ...given, errorOutput: "NameError: …" })).toEqual({});
});

test("without one it needs what should come out and what came out, or a word", () => {
  expect(problemsOfNewCase(given)).toHaveProperty("result");
  expect(problemsOfNewCase({ ...given, errorOutput: "  \n" })).toHaveProperty("result");
  expect(problemsOfNewCase({ ...given, expected: "3" })).toHaveProperty("result");
  expect(problemsOfNewCase({ ...given, actual: "3" })).toHaveProperty("result");
  expect(problemsOfNewCase({ ...given, expected: "3", actual: "4" })).toEqual({});
  expect(problemsOfNewCase({ ...given, expected: "", actual: "4" })).toEqual({});
  expect(problemsOfNewCase({ ...given, symptom: "never ends" })).toEqual({});
  expect(problemsOfNewCase({ ...given, symptom: "nothing appears" })).toEqual({});
});

test("a program that is too large is told before it is taken", () => {
  expect(
    problemsOfNewCase({
      ...given,
      errorOutput: "x",
      files: [{ name: "a.py", bytes: new Uint8Array(largestProgram + 1) }],
    }).program,
  ).toContain("larger than 2 MB");
});
