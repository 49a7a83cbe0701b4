import fc from "fast-check";
import { describe, expect, test } from "vitest";
import type { ConsolePiece } from "../outcome/outcome.ts";
import { compareOutput } from "./compareOutput.ts";
import type { Comparison } from "./comparison.ts";
import type { IntendedPiece } from "./intended.ts";

const out = (lines: readonly unknown[]): ConsolePiece => ({
  kind: "out",
  text: lines.map((line) => `${line}\n`).join(""),
});
/** No line of a result, so that its echo is none. */
const typed: ConsolePiece = { kind: "in", text: "tide\n" };
const isSame = (printed: readonly ConsolePiece[], wanted: string | readonly IntendedPiece[], rules: Comparison) =>
  compareOutput(printed, wanted, rules).same;

/** Whether every wanted number can have a printed one of its own that fits: every way is tried. */
function canBeGiven(
  wanted: readonly number[],
  printed: readonly number[],
  fits: (one: number, other: number) => boolean,
): boolean {
  const [first, ...rest] = wanted;
  if (first === undefined) return true;
  return printed.some(
    (each, at) => fits(each, first) && canBeGiven(rest, [...printed.slice(0, at), ...printed.slice(at + 1)], fits),
  );
}

const few = fc.array(fc.integer({ min: 0, max: 6 }), { maxLength: 5 });

describe("in any order", () => {
  test("every wanted line has one of its own, and none is left", () => {
    fc.assert(
      fc.property(few, few, (printed, wanted) => {
        const same = JSON.stringify([...printed].sort()) === JSON.stringify([...wanted].sort());
        expect(isSame([out(printed)], out(wanted).text, { order: "free" })).toBe(same);
      }),
    );
  });

  test("with numbers that may differ, whichever line is given to which", () => {
    fc.assert(
      fc.property(few, few, fc.integer({ min: 0, max: 3 }), (printed, wanted, most) => {
        const fits = (one: number, other: number) => Math.abs(one - other) <= most;
        const rules: Comparison = { order: "free", numbers: most };
        expect(isSame([out(printed)], out(wanted).text, rules)).toBe(
          printed.length === wanted.length && canBeGiven(wanted, printed, fits),
        );
        expect(isSame([out(printed)], out(wanted).text, { ...rules, otherLines: "ignored" })).toBe(
          canBeGiven(wanted, printed, fits),
        );
      }),
      { numRuns: 400 },
    );
    expect(isSame([out([12, 8])], "10\n14\n", { order: "free", numbers: 2 })).toBe(true);
  });

  test("what stands before a read may be left aside, and may be taken for a result where that helps", () => {
    const digits = fc.array(fc.integer({ min: 0, max: 3 }), { maxLength: 3 });
    fc.assert(
      fc.property(digits, digits, few, (prompts, results, wanted) => {
        const printed = [...prompts.flatMap((prompt) => [out([prompt]), typed]), out(results)];
        const left = [...wanted];
        for (const result of results) {
          const at = left.indexOf(result);
          if (at < 0) left.push(Number.NaN);
          else left.splice(at, 1);
        }
        const same = canBeGiven(left, prompts, (one, other) => one === other);
        expect(isSame(printed, out(wanted).text, { order: "free", prompts: "ignored" })).toBe(same);
      }),
      { numRuns: 400 },
    );
  });
});

describe("among other lines", () => {
  test("the wanted ones stand there in their order", () => {
    fc.assert(
      fc.property(few, few, (printed, wanted) => {
        let at = 0;
        for (const line of printed) if (at < wanted.length && line === wanted[at]) at += 1;
        expect(isSame([out(printed)], out(wanted).text, { otherLines: "ignored" })).toBe(at === wanted.length);
      }),
    );
  });

  test("a prompt of the model need not be there, also where a later line reads like it", () => {
    const model: IntendedPiece[] = [
      { kind: "prompt", text: "Deck 1\n" },
      { kind: "in", text: "tide\n" },
      { kind: "out", text: "full\nsail\n" },
    ];
    const rules: Comparison = { otherLines: "ignored", prompts: "ignored" };
    expect(isSame([typed, out(["full", "sail", "Deck 1"])], model, rules)).toBe(true);
    expect(isSame([typed, out(["sail", "full", "Deck 1"])], model, rules)).toBe(false);
    expect(isSame([out(["Deck 1"]), typed, out(["full", "and", "sail"])], model, rules)).toBe(true);
  });
});
