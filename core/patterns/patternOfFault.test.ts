import { expect, test } from "vitest";
import type { ExerciseFault } from "../exercises/exercise.ts";
import { findHunks } from "../fixes/hunks.ts";
import { patternOfFault } from "./patternOfFault.ts";

const fault = (program: string, mended: string, rest: Partial<ExerciseFault>): ExerciseFault => {
  const hunks = findHunks(program, mended);
  const faultyLines = hunks.map(({ start }) => start);
  return { class: "logic", symptom: "", message: "", reportedLine: null, faultyLines, hunks, ...rest };
};

test("the kind of mistake of a fault is told by how it is mended, and by its message", () => {
  const kind = (program: string, mended: string, rest: Partial<ExerciseFault> = {}) =>
    patternOfFault({ language: "python", program }, fault(program, mended, rest))?.id ?? null;
  const loop = "total = 0\nfor deck in range(1, 4):\n    total = total + deck\nprint(total)\n";
  expect(kind(loop, loop.replace("4)", "5)"))).toBe("limit-off-by-one");
  expect(
    kind("print(4\n", "print(4)\n", { class: "syntax", message: "SyntaxError: '(' was never closed", reportedLine: 1 }),
  ).toBe("bracket-not-closed");
  expect(
    kind("cars = 3\nprint(crs)\n", "cars = 3\nprint(cars)\n", {
      ...{ class: "runtime", message: "NameError: name 'crs' is not defined", reportedLine: 2 },
    }),
  ).toBe("own-name-misspelt");
});

test("what nothing tells of is of no kind; a fault without its mending is told by the message alone", () => {
  const program = "deck = 4\nprint(deck[0])\n";
  const open = fault(program, program, { class: "runtime", message: "TypeError: 'int' object is not subscriptable" });
  expect(patternOfFault({ language: "none", program }, open)).toBeNull();
  expect(() => patternOfFault({ language: "python", program }, { ...open, faultyLines: [2] })).not.toThrow();
});
