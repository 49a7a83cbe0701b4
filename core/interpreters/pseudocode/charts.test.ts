import fc from "fast-check";
import { expect, test } from "vitest";
import type { Chart } from "../../flowcharts/chart.ts";
import { chartsOf } from "./charts.ts";
import { parseProgram } from "./parser.ts";
import { showExpression, showStatement } from "./print.ts";
import { programs } from "./testPrograms.ts";

const words = { statement: showStatement, expression: showExpression };
const chartsIn = (program: string): Chart[] => chartsOf(parseProgram(program).tree, words);
/** A chart as lines: each arrow with the texts of its boxes. */
const drawn = ({ boxes, arrows }: Chart): string[] => {
  const textOf = (id: string) => boxes.find((box) => box.id === id)?.text.replaceAll("\n", " / ") ?? "";
  return arrows.map(({ from, to, label }) => `${textOf(from)} ${label === "" ? "→" : `${label} →`} ${textOf(to)}`);
};

test("a decision has two ways that come together again", () => {
  const [chart] = chartsIn("INPUT cars\nlimit ← 4\nmost ← 9\nIF cars > limit THEN\nOUTPUT 1\nENDIF\nOUTPUT 2\n");
  expect(chart && drawn(chart)).toEqual([
    "Begin → INPUT cars",
    "INPUT cars → limit ← 4 / most ← 9",
    "limit ← 4 / most ← 9 → cars > limit",
    "cars > limit yes → OUTPUT 1",
    "OUTPUT 1 → OUTPUT 2",
    "cars > limit no → OUTPUT 2",
    "OUTPUT 2 → End",
  ]);
  expect(chart?.boxes.find(({ text }) => text.startsWith("limit"))?.lines).toEqual([2, 3]);
});

test("loops go back to where they are asked, or to their first box", () => {
  const [counted] = chartsIn("FOR i ← 1 TO 3\nOUTPUT i\nNEXT i\n");
  expect(counted && drawn(counted)).toEqual([
    "Begin → i ← 1",
    "i ← 1 → i ≤ 3",
    "i ≤ 3 yes → OUTPUT i",
    "OUTPUT i → i ← i + 1",
    "i ← i + 1 → i ≤ 3",
    "i ≤ 3 no → End",
  ]);
  const [repeated] = chartsIn("x ← 1\nREPEAT\nx ← x * 2\nUNTIL x > 9\n");
  expect(repeated && drawn(repeated)).toEqual([
    "Begin → x ← 1",
    "x ← 1 → x ← x * 2",
    "x ← x * 2 → x > 9",
    "x > 9 no → x ← x * 2",
    "x > 9 yes → End",
  ]);
});

test("a routine has a chart of its own, and what leaves it early goes to its end", () => {
  const charts = chartsIn(
    "FUNCTION half(n)\nIF n < 0 THEN\nRETURN 0\nENDIF\nRETURN n / 2\nENDFUNCTION\nOUTPUT half(4)\n",
  );
  expect(charts.map(({ name }) => name)).toEqual(["", "half"]);
  expect(charts[1] && drawn(charts[1])).toEqual([
    "half(n) → n < 0",
    "n < 0 yes → RETURN 0",
    "n < 0 no → RETURN n / 2",
    "RETURN 0 → Back",
    "RETURN n / 2 → Back",
  ]);
});

test("programs by chance: every box is reached, a decision has two ways, all else one, and every end is the end", () => {
  fc.assert(
    fc.property(programs, (program) => {
      for (const { boxes, arrows } of chartsIn(program)) {
        const reached = new Set(["box1"]);
        for (const id of reached) for (const { from, to } of arrows) if (from === id) reached.add(to);
        for (const { id, shape } of boxes) {
          const ways = arrows.filter(({ from }) => from === id).map(({ label }) => label);
          if (shape === "decision") expect(ways.sort()).toEqual(["no", "yes"]);
          else expect(ways).toEqual(shape === "end" ? [] : [""]);
          expect(reached.has(id), `${id} of ${program}`).toBe(true);
        }
      }
    }),
    { numRuns: 100 },
  );
});
