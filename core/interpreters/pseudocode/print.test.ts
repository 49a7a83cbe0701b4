import fc from "fast-check";
import { expect, test } from "vitest";
import { parseProgram } from "./parser.ts";
import { printProgram } from "./print.ts";
import { runPseudocode } from "./run.ts";
import { pseudocodeStyles } from "./style.ts";
import type { ProgramTree } from "./syntaxTree.ts";
import { programs } from "./testPrograms.ts";

/** A tree without its places. */
const withoutPlaces = (tree: ProgramTree): unknown =>
  JSON.parse(
    JSON.stringify(tree, (key, value) =>
      ["line", "column", "endLine", "untilLine"].includes(key)
        ? undefined
        : typeof value === "bigint"
          ? `${value}`
          : value,
    ),
  );

test("printed in any style and read again it is the same program", () => {
  fc.assert(
    fc.property(programs, fc.constantFrom(...pseudocodeStyles), (program, style) => {
      const read = parseProgram(program);
      expect(read.problems).toEqual([]);
      const printed = printProgram(read.tree, style);
      const again = parseProgram(printed, { equalsAssigns: style.equalsAssigns });
      expect(again.problems, printed).toEqual([]);
      expect(withoutPlaces(again.tree)).toEqual(withoutPlaces(read.tree));
      expect(printProgram(again.tree, style)).toBe(printed);
    }),
    { numRuns: process.env.BENT_NAIL_LONG ? 1000 : 60 },
  );
});

test("programs by chance come to their end", () => {
  fc.assert(
    fc.property(programs, (program) => {
      const { outcome } = runPseudocode({ program, fileName: "ferry.pseudo", input: "" });
      expect(
        outcome.diagnostics.map(({ message }) => message),
        program,
      ).toEqual([]);
      expect(outcome.stoppedBy).toBe("none");
    }),
    { numRuns: process.env.BENT_NAIL_LONG ? 1000 : 60 },
  );
});
