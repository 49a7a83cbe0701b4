import fc from "fast-check";
import { expect, test } from "vitest";
import { findLanguage, languages } from "../languages/languages.ts";
import type { ConsolePiece } from "../outcome/outcome.ts";
import { compareOutput } from "./compareOutput.ts";
import { comparisonsIn } from "./comparisonsIn.ts";
import { guessShape } from "./guessShape.ts";
import { type InputShape, inputShapeSchema } from "./inputShape.ts";
import { intendedOf, textOfResults, textWithPrompts } from "./intended.ts";
import { proposeInputs } from "./proposeInputs.ts";

const running = languages.filter((language) => language.inputForms);

/** Pieces of programs in all languages, thrown together: no student's text keeps an assignment's page from being shown. */
const fragments = fc.array(
  fc.constantFrom(
    ...[
      "x = int(input(",
      "while x != -1:",
      "for i in range(n):",
      'scanf("%d %s", &a, b);',
      "in.nextInt()",
      "readln(a,",
    ],
    ...[
      "if (a <",
      "= 3",
      "<= -4.5",
      "'",
      '"',
      "\\",
      "//",
      "#",
      "%",
      "{",
      "}",
      "begin",
      "\n",
      "\n    ",
      "\t",
      "&&",
      "until",
    ],
    ...[
      "int.Parse(Console.ReadLine())",
      "input('",
      ", 's')",
      "0 <= x <= 20",
      "==",
      "<>",
      "~=",
      "é",
      "\u0000",
      "\ud800",
    ],
  ),
  { maxLength: 40 },
);

test("whatever stands in a program, its reads and comparisons are found or not, and a shape comes of it", () => {
  fc.assert(
    fc.property(fragments, fc.constantFrom(...running), (parts, language) => {
      const program = parts.join(" ");
      const shape = guessShape(language, program);
      expect(inputShapeSchema.safeParse(shape).success).toBe(true);
      for (const { number, line } of comparisonsIn(language, program)) {
        expect(number === null || Number.isFinite(number)).toBe(true);
        expect(line).toBeGreaterThan(0);
      }
    }),
  );
});

const limits = fc.tuple(fc.integer({ min: -50, max: 50 }), fc.integer({ min: 0, max: 60 }));
const shapes: fc.Arbitrary<InputShape> = fc
  .tuple(limits, limits, fc.constantFrom("1", "count", "3", "until end"), fc.constantFrom("whole", "decimal", "text"))
  .map(([[countFrom, countMore], [from, more], repeat, kind]) =>
    inputShapeSchema.parse([
      { name: "count", kind: "whole", from: Math.max(0, countFrom), to: Math.max(0, countFrom) + countMore },
      { name: "load", kind, from: kind === "text" ? null : from, to: kind === "text" ? null : from + more, repeat },
    ]),
  );

test("every proposed input has as many lines as its count says, each input once, each with its purpose", () => {
  fc.assert(
    fc.property(shapes, (shape) => {
      const proposals = proposeInputs(shape, new Map([["load", [7]]]));
      expect(new Set(proposals.map((each) => each.input)).size).toBe(proposals.length);
      for (const { input, purpose, name } of proposals) {
        expect(purpose).not.toBe("");
        expect(name.length).toBeLessThanOrEqual(120);
        const [count = "", ...rest] = input.replace(/\n$/, "").split("\n");
        if (shape[1]?.repeat === "count" && /^\d+$/.test(count))
          expect(rest).toHaveLength(Math.min(Number(count), 200));
        if (shape[1]?.repeat === "3") expect(rest).toHaveLength(3);
        if (shape[1]?.repeat === "until end") expect(rest.at(-1)).toBe("end");
      }
    }),
  );
});

test("of the values just inside and just outside of the limits none is left out, and none is of the wrong kind", () => {
  fc.assert(
    fc.property(limits, ([from, more]) => {
      const to = from + more;
      const shape = inputShapeSchema.parse([{ name: "load", kind: "whole", from, to }]);
      const kinds = new Map(proposeInputs(shape, new Map()).map((each) => [each.input.trim(), each.kind]));
      for (const value of [from - 1, from, from + 1, to - 1, to, to + 1]) {
        const kind = kinds.get(String(value));
        expect(kind).toBeDefined();
        expect(kind === "erroneous").toBe(value < from || value > to);
      }
    }),
  );
});

/** A console as a program writes it: prompts and results with the lines that write them, and what is typed in. */
const consoles = fc
  .tuple(
    fc.constantFrom("Load: ", "Next?\n", "", "*** Deck ***\nLoad: "),
    fc.array(
      fc.record({
        value: fc.integer({ min: 0, max: 99 }),
        result: fc.option(fc.integer({ min: 1000, max: 9999 })),
      }),
      { maxLength: 6 },
    ),
  )
  // A line that reads has one prompt: what is written before some reads only is no prompt.
  .map(([prompt, runs]) => runs.map((run) => ({ ...run, prompt })));
const source = 'print("*** Deck ***")\nx = input("Load: ")\ny = input("Next?")\n';
function written(runs: ReadonlyArray<{ prompt: string; value: number; result: number | null }>): ConsolePiece[] {
  return [
    ...runs.flatMap(({ prompt, value, result }): ConsolePiece[] => [
      ...(prompt === "" ? [] : [{ kind: "out" as const, text: prompt, line: 2 }]),
      { kind: "in", text: `${value}\n`, line: 2 },
      ...(result === null ? [] : [{ kind: "out" as const, text: `Sum ${result}\n`, line: 3 }]),
    ]),
    { kind: "out", text: "Done\n", line: 4 },
  ];
}

test("a model passes by its own intended output; its results are never prompts, and nothing of it is lost", () => {
  fc.assert(
    fc.property(consoles, (runs) => {
      const pieces = written(runs);
      const intended = intendedOf(pieces, source);
      expect(textWithPrompts(intended)).toBe(pieces.map((piece) => (piece.kind === "in" ? "" : piece.text)).join(""));
      for (const prompts of ["ignored", "compared"] as const)
        expect(compareOutput(pieces, intended, { prompts }).same).toBe(true);
      for (const { result } of runs) if (result !== null) expect(textOfResults(intended)).toContain(`Sum ${result}\n`);
    }),
  );
});

test("another wording of its prompts passes, another result does not", () => {
  fc.assert(
    fc.property(consoles, fc.stringMatching(/^[a-z ?\n]{0,10}$/), (runs, wording) => {
      const intended = intendedOf(written(runs), source);
      const other = written(runs.map((run) => ({ ...run, prompt: wording })));
      expect(compareOutput(other, intended, { prompts: "ignored" }).same).toBe(true);
      const at = runs.findIndex((run) => run.result !== null);
      if (at < 0) return;
      const wrong = runs.map((run, index) => (index === at ? { ...run, result: (run.result ?? 0) + 1 } : run));
      const compared = compareOutput(written(wrong), intended, { prompts: "ignored" });
      expect(compared.same).toBe(false);
      // Where a result comes twice, the wrong one may be read as a prompt and the later one as it: two places differ first.
      const results = runs.map((run) => run.result);
      const twice = results.lastIndexOf(results[at] ?? null) !== at;
      if (!twice) expect(compared).toMatchObject({ intended: `Sum ${runs[at]?.result}` });
    }),
  );
});

test("every language that runs says how its programs read", () => {
  expect(running.map((language) => language.id).sort()).toEqual(
    "basic-forms basic-macro c csharp java octave pascal pseudocode python".split(" "),
  );
  expect(findLanguage("steps")?.inputForms).toBeUndefined();
});
