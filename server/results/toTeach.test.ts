import { expect, test } from "vitest";
import type { ExerciseContent } from "../../core/exercises/exercise.ts";
import { testExercise } from "../../core/exercises/testExercise.ts";
import { findHunks } from "../../core/fixes/hunks.ts";
import { toTeachNext } from "./toTeach.ts";

const faultOf = (program: string, mended: string, rest: Partial<ExerciseContent["faults"][number]> = {}) => {
  const hunks = findHunks(program, mended);
  const faultyLines = hunks.map(({ start }) => start);
  return { class: "logic" as const, symptom: "", message: "", reportedLine: null, faultyLines, hunks, ...rest };
};
const exercise = (key: string, program: string, ...faults: ExerciseContent["faults"]) => ({
  ...{ key, title: `Exercise ${key}`, level: 1, section: "" },
  content: testExercise({ program, faults }),
});
const loop = "total = 0\nfor deck in range(1, 4):\n    total = total + deck\nprint(total)\n";
const offByOne = faultOf(loop, loop.replace("4)", "5)"));
const bracket = "print(4\n";
const notClosed = faultOf(bracket, "print(4)\n", {
  ...{ class: "syntax", message: "SyntaxError: '(' was never closed", reportedLine: 1 },
});

test("kinds that went badly come first, by the mean of their exercises; what went well is not taught again", () => {
  const exercises = [exercise("a", loop, offByOne), exercise("b", bracket, notClosed), exercise("c", loop, offByOne)];
  const result = (a: number | null, b: number | null, c: number | null) =>
    toTeachNext(exercises, [
      ...[
        { key: "a", share: a },
        { key: "b", share: b },
        { key: "c", share: c },
      ],
    ]).map(({ id, share, exercises: titles }) => [id, share, titles]);
  expect(result(0.2, 0.1, 0.6)).toEqual([
    ["bracket-not-closed", 0.1, ["Exercise b"]],
    ["limit-off-by-one", 0.4, ["Exercise a", "Exercise c"]],
  ]);
  expect(result(0.5, 0.9, 1)).toEqual([]);
  expect(result(null, null, 0.5)).toEqual([["limit-off-by-one", 0.5, ["Exercise c"]]]);
  expect(result(null, null, null)).toEqual([]);
});

test("an exercise of several faults counts for each kind once; what nothing tells the kind of is left out", () => {
  const both = "total = 0\nfor deck in range(1, 4):\n    total = total + deck\nprint(total\n";
  const faults = [
    faultOf(both, both.replace("print(total", "print(total)"), {
      ...{ class: "syntax" as const, message: "SyntaxError: '(' was never closed", reportedLine: 4 },
    }),
    faultOf(both, both.replace("4)", "5)")),
    faultOf(both, both.replace("4)", "5)")),
  ];
  const [first, ...rest] = toTeachNext([exercise("a", both, ...faults)], [{ key: "a", share: 0.3 }]);
  expect([first?.id, ...rest.map(({ id }) => id)].sort()).toContain("bracket-not-closed");
  expect(rest.every(({ exercises }) => exercises.length === 1)).toBe(true);
  const unknown = exercise("u", "x = 1\n", { ...faultOf("x = 1\n", "x = 1\n"), faultyLines: [] });
  expect(toTeachNext([unknown], [{ key: "u", share: 0 }])).toEqual([]);
});
