import fc from "fast-check";
import { expect, test } from "vitest";
import type { Step, Trace } from "../../trace/trace.ts";
import type { MakeContext } from "../taskKind.ts";
import { testExercise } from "../testExercise.ts";
import { condition } from "./condition.ts";

/*
 * Conditions by chance, worked out here piece by piece on numbers of JavaScript: what each piece comes to, and which of them
 * are not looked at.
 */

type Asked =
  | { is: "comparison"; left: string; sign: "<" | ">" | "<=" | "==" | "!="; right: number }
  | { is: "and" | "or"; left: Asked; right: Asked }
  | { is: "not"; of: Asked };

/** Names of which one ends as another does, so that the words of one piece stand in another. */
const names = ["load", "deckload", "fare"] as const;
const comparisons = fc.record({
  is: fc.constant("comparison" as const),
  left: fc.constantFrom<string[]>(...names),
  sign: fc.constantFrom("<" as const, ">" as const, "<=" as const, "==" as const, "!=" as const),
  right: fc.integer({ min: 1, max: 3 }),
});
const conditions = fc.letrec<{ one: Asked; all: Asked }>((tie) => ({
  one: comparisons,
  all: fc.oneof(
    { depthSize: "small", maxDepth: 2 },
    tie("one"),
    fc.record({ is: fc.constantFrom("and" as const, "or" as const), left: tie("all"), right: tie("all") }),
    fc.record({ is: fc.constant("not" as const), of: tie("all") }),
  ),
})).all;
const values = fc.record({ load: fc.nat({ max: 4 }), deckload: fc.nat({ max: 4 }), fare: fc.nat({ max: 4 }) });
type Values = Readonly<Record<string, number>>;

type Spelling = {
  language: string;
  and: string;
  or: string;
  not: string;
  unequal: string;
  program: (of: string) => string;
};
const spellings: Spelling[] = [
  {
    ...{ language: "python", and: "and", or: "or", not: "not ", unequal: "!=" },
    program: (of) => `load = 1\ndeckload = 2\nfare = 3\nif ${of}:\n    print(1)\n`,
  },
  {
    ...{ language: "java", and: "&&", or: "||", not: "!", unequal: "!=" },
    program: (of) =>
      `class Main { void f(int load, int deckload, int fare) {\n\n\nif (${of}) {\n    f(1, 2, 3); } } }\n`,
  },
];

function textOf(asked: Asked, as: Spelling): string {
  const inner = (of: Asked) => (of.is === "comparison" ? textOf(of, as) : `(${textOf(of, as)})`);
  if (asked.is === "comparison") return `${asked.left} ${asked.sign === "!=" ? as.unequal : asked.sign} ${asked.right}`;
  if (asked.is === "not") return `${as.not}(${textOf(asked.of, as)})`;
  return `${inner(asked.left)} ${as[asked.is]} ${inner(asked.right)}`;
}

/** What each piece comes to, by its text, from the inside: the first place counts for the order, any that is looked at for the value. */
function pieces(asked: Asked, as: Spelling, own: Values): Map<string, boolean | null> {
  const found = new Map<string, boolean | null>();
  const come = (of: Asked, isLookedAt: boolean): boolean => {
    const worth = (): boolean => {
      if (of.is === "not") return !come(of.of, isLookedAt);
      if (of.is !== "comparison") {
        const left = come(of.left, isLookedAt);
        const right = come(of.right, isLookedAt && left === (of.is === "and"));
        return of.is === "and" ? left && right : left || right;
      }
      const left = own[of.left] ?? 0;
      return (
        { "<": left < of.right, ">": left > of.right, "<=": left <= of.right, "==": left === of.right }[
          of.sign as string
        ] ?? left !== of.right
      );
    };
    const value = worth();
    const text = textOf(of, as);
    if (isLookedAt || !found.has(text)) found.set(text, isLookedAt ? value : null);
    return value;
  };
  come(asked, true);
  return found;
}

const write = (name: string, value: number): Step["writes"][number] => ({
  ...{ scope: "global", owner: 0, path: [name] },
  value: { type: "int", text: String(value) },
});
/** A recording in which the names have their values before line 4 asks. */
const recorded = (own: Values): Trace => ({
  outcome: {} as Trace["outcome"],
  files: ["main"],
  steps: [
    { index: 0, line: 3, file: 0, frame: 0, depth: 0, writes: names.map((name) => write(name, own[name] ?? 0)) },
    { index: 1, line: 4, file: 0, frame: 0, depth: 0, writes: [] },
  ],
});

test.each(spellings)(
  "in $language every piece of a condition is asked with what it comes to, if it is looked at",
  async (as) => {
    await fc.assert(
      fc.asyncProperty(conditions, values, async (asked, own) => {
        const wanted = pieces(asked, as, own);
        const exercise = testExercise({ language: as.language, program: as.program(textOf(asked, as)) });
        const context = { exercise, record: async () => ({ trace: recorded(own) }) } as unknown as MakeContext;
        const made = await condition.make(context, { key: "a", marks: 4 });
        if (wanted.size > 8) return expect(typeof made).toBe("string");
        if (typeof made === "string") throw new Error(`${textOf(asked, as)}: ${made}`);
        expect(made).toMatchObject({
          text: textOf(asked, as),
          steps: [...wanted].map(([text, value]) => ({ text, comes: value === null ? "" : String(value) })),
        });
      }),
      { numRuns: process.env.BENT_NAIL_LONG ? 5_000 : 300 },
    );
  },
);
