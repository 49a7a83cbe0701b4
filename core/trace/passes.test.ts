import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { findLanguage } from "../languages/languages.ts";
import { loopsIn, passesOf, passText } from "./passes.ts";
import type { Step } from "./trace.ts";

/*
 * Nested loops by chance with as many passes as chance says at each time that they are reached, and in which pass each of their
 * lines ran, counted here as they are gone through.
 */

type Part = { is: "line" } | { is: "loop"; asksLast: boolean; body: Part[] } | { is: "if"; body: Part[] };
const parts = fc.letrec<{ part: Part; body: Part[] }>((tie) => ({
  part: fc.oneof(
    { depthSize: "small", maxDepth: 3 },
    fc.constant<Part>({ is: "line" }),
    fc.record({ is: fc.constant("loop" as const), asksLast: fc.boolean(), body: tie("body") }),
    fc.record({ is: fc.constant("if" as const), body: tie("body") }),
  ),
  body: fc.array(tie("part"), { minLength: 1, maxLength: 3 }),
})).body;

/** A part at its place in the text: the line of its head (of a loop that asks last: of its end). */
type Placed = { part: Part; head: number; body: Placed[] };
type Spelling = {
  language: string;
  line: string;
  loop: string;
  decision: string;
  end: string[];
  /** A loop that asks behind its body, where the language has one. */
  last: { begin: string; end: string } | null;
  around: [string[], string[]];
};
const spellings: Spelling[] = [
  {
    ...{ language: "python", line: "f()", loop: "while a():", decision: "if b():", end: [] },
    last: null,
    around: [[], []],
  },
  {
    ...{ language: "c", line: "f();", loop: "while (a()) {", decision: "if (b()) {", end: ["}"] },
    ...{ last: { begin: "do {", end: "} while (a());" }, around: [["int main(void) {"], ["}"]] },
  },
  {
    ...{ language: "pascal", line: "f;", loop: "while a do begin", decision: "if b then begin", end: ["end;"] },
    ...{ last: { begin: "repeat", end: "until a;" }, around: [["begin"], ["end."]] },
  },
  {
    ...{ language: "octave", line: "f();", loop: "while a()", decision: "if b()", end: ["end"] },
    ...{ last: { begin: "do", end: "until a()" }, around: [[], []] },
  },
];

function laidOut(body: readonly Part[], as: Spelling): { text: string; placed: Placed[] } {
  const lines = [...as.around[0]];
  const put = (text: string, depth: number) => lines.push("    ".repeat(depth) + text);
  const place = (part: Part, depth: number): Placed => {
    if (part.is === "line") return { part, head: put(as.line, depth), body: [] };
    const asksLast = part.is === "loop" && part.asksLast ? as.last : null;
    const begin = put(asksLast?.begin ?? (part.is === "loop" ? as.loop : as.decision), depth);
    const inside = part.body.map((each) => place(each, depth + 1));
    if (asksLast) return { part, head: put(asksLast.end, depth), body: inside };
    for (const end of as.end) put(end, depth);
    return { part: part.is === "loop" ? { ...part, asksLast: false } : part, head: begin, body: inside };
  };
  const placed = body.map((part) => place(part, as.around[0].length));
  return { text: `${[...lines, ...as.around[1]].join("\n")}\n`, placed };
}

/** Lines in the order in which they run, each with its passes as they are written, outer ones first; a header's is the pass before it. */
function run(placed: readonly Placed[], chances: readonly number[]): Array<{ line: number; pass: string }> {
  const ran: Array<{ line: number; pass: string }> = [];
  let drawn = 0;
  const chance = () => chances[drawn++ % chances.length] ?? 0;
  const step = (line: number, passes: readonly number[]) =>
    ran.push({ line, pass: passes.filter((pass) => pass > 0).join(".") });
  const go = ({ part, head, body }: Placed, passes: readonly number[]): void => {
    if (ran.length > 200) return;
    if (part.is === "line") step(head, passes);
    if (part.is === "if") {
      step(head, passes);
      if (chance() % 2 === 1) for (const each of body) go(each, passes);
    }
    if (part.is !== "loop") return;
    const times = part.asksLast ? Math.max(1, chance()) : chance();
    for (let pass = 1; pass <= times; pass++) {
      if (!part.asksLast) step(head, [...passes, pass - 1]);
      for (const each of body) go(each, [...passes, pass]);
      if (part.asksLast) step(head, [...passes, pass]);
    }
    if (!part.asksLast) step(head, [...passes, times]);
  };
  for (const each of placed) go(each, []);
  return ran;
}

const stepsOf = (lines: readonly number[]): Step[] =>
  lines.map((line, index) => ({ index, line, file: 0, frame: 0, depth: 0, writes: [] }));

describe.each(spellings)("in $language", (as) => {
  const language = findLanguage(as.language);
  if (!language) throw new Error(as.language);

  test("each step of nested loops is in its passes", () => {
    fc.assert(
      fc.property(parts, fc.array(fc.nat({ max: 3 }), { minLength: 1, maxLength: 12 }), (body, chances) => {
        const { text, placed } = laidOut(body, as);
        const ran = run(placed, chances).slice(0, 200);
        const found = passesOf(language, text, { steps: stepsOf(ran.map(({ line }) => line)) });
        const shown = ran.map(({ line }, at) => ({ line, pass: passText(found.get(at)) }));
        expect(shown, text).toEqual(ran);
      }),
      { numRuns: process.env.BENT_NAIL_LONG ? 3_000 : 200 },
    );
  });

  test("every loop is found with its depth", () => {
    fc.assert(
      fc.property(parts, (body) => {
        const depths = (all: readonly Part[], within: number): number[] =>
          all.flatMap((part) =>
            part.is === "line"
              ? []
              : part.is === "loop"
                ? [within, ...depths(part.body, within + 1)]
                : depths(part.body, within),
          );
        const found = loopsIn(language, laidOut(body, as).text).map(({ within }) => within);
        expect(found.toSorted()).toEqual(depths(body, 0).toSorted());
      }),
    );
  });
});
