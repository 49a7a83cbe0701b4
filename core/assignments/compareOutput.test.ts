import { expect, test } from "vitest";
import type { ConsolePiece } from "../outcome/outcome.ts";
import { compareOutput } from "./compareOutput.ts";

const out = (text: string): ConsolePiece => ({ kind: "out", text });
const typed = (text: string): ConsolePiece => ({ kind: "in", text });
const run = [out("Stops? "), typed("2\n"), out("Minutes: 45\n")];

test("line ends, blanks at line ends and blank lines at the end do not count", () => {
  expect(compareOutput([out("Fare: 6 \r\n\n\n")], "Fare: 6").same).toBe(true);
  expect(compareOutput([out("Fare:  6\n")], "Fare: 6").same).toBe(false);
});

test("an intended text may hold the typed values where they were echoed", () => {
  expect(compareOutput(run, "Stops? Minutes: 45\n").same).toBe(true);
  expect(compareOutput(run, "Stops? 2\nMinutes: 45\n").same).toBe(true);
});

test("if only the prompts differ, that is said, and prompts can be ignored", () => {
  expect(compareOutput(run, "Minutes: 45\n")).toMatchObject({ same: false, onlyPromptsDiffer: true });
  expect(compareOutput(run, "Minutes: 45\n", { prompts: "ignored" })).toEqual({ same: true, promptsIgnored: true });
  expect(compareOutput(run, "Minutes: 40\n", { prompts: "ignored" }).same).toBe(false);
});

test("the place of the first difference", () => {
  expect(compareOutput([out("a\nFare: 6\n")], "a\nFare: 12\n")).toMatchObject({
    line: 2,
    column: 7,
    actual: "Fare: 6",
    intended: "Fare: 12",
  });
  expect(compareOutput([out("a\n")], "a\nb\n")).toMatchObject({ line: 2, actual: null, intended: "b" });
});

test("nothing intended and nothing printed is as intended", () => {
  expect(compareOutput([], "").same).toBe(true);
});
