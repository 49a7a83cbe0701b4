import fc from "fast-check";
import { expect, test } from "vitest";
import { pseudocodeCharts } from "../interpreters/pseudocode/charts.ts";
import { parseProgram } from "../interpreters/pseudocode/parser.ts";
import { programs } from "../interpreters/pseudocode/testPrograms.ts";
import { boxOfLine } from "./chart.ts";
import { chartInWords, draw, svgText } from "./drawing.ts";
import { layOut, mostBoxes, type PlacedChart } from "./layout.ts";

const chartOf = async (program: string): Promise<PlacedChart> => {
  const [main] = pseudocodeCharts(program);
  const placed = main && (await layOut(main));
  if (!placed) throw new Error("no chart");
  return placed;
};

test("boxes do not lie on one another, and every arrow goes from its box to its box", async () => {
  await fc.assert(
    fc.asyncProperty(programs, async (program) => {
      expect(parseProgram(program).problems).toEqual([]);
      if ((pseudocodeCharts(program)[0]?.boxes.length ?? 0) > mostBoxes) return;
      const { boxes, arrows, width, height } = await chartOf(program);
      for (const [at, one] of boxes.entries()) {
        expect(one.x + one.width).toBeLessThanOrEqual(width);
        expect(one.y + one.height).toBeLessThanOrEqual(height);
        for (const other of boxes.slice(at + 1)) {
          const beside = one.x + one.width <= other.x || other.x + other.width <= one.x;
          const above = one.y + one.height <= other.y || other.y + other.height <= one.y;
          expect(beside || above, `${one.text} on ${other.text}`).toBe(true);
        }
      }
      for (const { from, to, label, points } of arrows) {
        const [source, target] = [from, to].map((id) => boxes.find((box) => box.id === id));
        const [first, last] = [points[0], points.at(-1)];
        if (!source || !target || !first || !last) throw new Error("an arrow of no box");
        // A decision that does not hold is left at its side, all else at the bottom; arrows come in at the top.
        expect(first.x).toBeCloseTo(label === "no" ? source.x + source.width : source.x + source.width / 2, 1);
        expect(first.y).toBeCloseTo(label === "no" ? source.y + source.height / 2 : source.y + source.height, 1);
        expect(last.x).toBeCloseTo(target.x + target.width / 2, 1);
        expect(last.y).toBeCloseTo(target.y, 1);
      }
    }),
    { numRuns: process.env.BENT_NAIL_LONG ? 200 : 12 },
  );
});

test("what is done first stands above, the body of a loop below its question", async () => {
  const { boxes } = await chartOf("load ← 0\nWHILE load < 9 DO\nload ← load + 4\nENDWHILE\nOUTPUT load\n");
  const at = (text: string) => boxes.find((box) => box.text === text)?.y ?? Number.NaN;
  expect(at("Begin")).toBeLessThan(at("load ← 0"));
  expect(at("load ← 0")).toBeLessThan(at("load < 9"));
  expect(at("load < 9")).toBeLessThan(at("load ← load + 4"));
  expect(at("load < 9")).toBeLessThan(at("OUTPUT load"));
});

test("an SVG document of its own, in which signs of the program stay text, and in words for whoever cannot see it", async () => {
  const chart = await chartOf('name ← "<b>"\nIF name = "a & b" THEN\nOUTPUT name\nENDIF\n');
  const svg = svgText(chart, "Tides & boats");
  expect(svg).toContain("<title>Tides &amp; boats</title>");
  expect(svg).toContain("name = &quot;a &amp; b&quot;");
  expect(svg).not.toMatch(/<b>|NaN|undefined/);
  expect(svg.match(/<g /g)).toHaveLength(chart.boxes.length + chart.arrows.length);
  expect(draw(chart).at(-1)?.is).toBe("box");
  expect(chartInWords(chart)).toContain('name = "a & b" – yes: OUTPUT name, no: End');
});

test("a chart that nobody could read is not drawn", async () => {
  const many = Array.from({ length: mostBoxes + 1 }, (_, at) => `OUTPUT ${at}`).join("\n");
  const [main] = pseudocodeCharts(many);
  expect(main && (await layOut(main))).toBeNull();
});

test("a line that begins a counted loop is in two boxes: the first value, then the question", () => {
  const [chart] = pseudocodeCharts("FOR deck ← 1 TO 3\nOUTPUT deck\nNEXT deck\n");
  if (!chart) throw new Error("no chart");
  const text = (line: number, first: boolean) =>
    chart.boxes.find(({ id }) => id === boxOfLine(chart, line, first))?.text;
  expect([text(1, true), text(1, false), text(2, false), text(9, false)]).toEqual([
    "deck ← 1",
    "deck ≤ 3",
    "OUTPUT deck",
    undefined,
  ]);
});
