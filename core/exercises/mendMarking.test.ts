import { expect, test } from "vitest";
import { findHunks } from "../fixes/hunks.ts";
import { changedLines, programForFault, sortChanges, withLineEndsOf } from "./mendMarking.ts";

const program = "hours = [\nfor hour in range(5)\n    hours.append(hours)\nprint(len(hour))\n";
const fix = (line: string, text: string) => findHunks(program, program.replace(line, text));
const faults = [
  fix("hours = [\n", "hours = []\n"),
  fix("range(5)\n", "range(5):\n"),
  fix("append(hours)", "append(hour)"),
].map((hunks) => ({
  class: "logic" as const,
  symptom: "",
  message: "",
  reportedLine: null,
  faultyLines: [],
  hunks,
}));

test("changes of neighbouring lines are told apart by fault, and what belongs to none is extra", () => {
  const answer = program
    .replace("hours = [\n", "hours = list()\n")
    .replace("range(5)\n", "range(6):\n")
    .replace("print(len(hour))", "print(hours)");
  const { byFault, extras } = sortChanges(program, answer, faults);
  expect(byFault.map((hunks) => hunks.length)).toEqual([1, 1, 0]);
  expect(extras).toHaveLength(1);
  expect(changedLines(extras)).toBe(1);
});

test("a fault is tried with the student's lines for it and the others mended by the key", () => {
  const answer = program.replace("range(5)\n", "range(6):\n");
  const { byFault } = sortChanges(program, answer, faults);
  expect(programForFault(program, faults, 1, byFault[1] ?? [])).toBe(
    "hours = []\nfor hour in range(6):\n    hours.append(hour)\nprint(len(hour))\n",
  );
});

test("an editor's line ends and a last line without an end are no change", () => {
  expect(withLineEndsOf("a\r\nb\r\n", "a\nb")).toBe("a\r\nb\r\n");
  expect(withLineEndsOf("a\nb", "a\nb")).toBe("a\nb");
});
