import type { Chart } from "./chart.ts";

/**
 * A chart in words, one box or arrow a line:
 *
 *     1: INPUT cars
 *     2? cars > 4
 *     begin -> 1
 *     1 -> 2
 *     2 yes -> end
 *
 * `begin` and `end` need no line of their own. `→` is read as `->`; `#` begins a comment. See docs/pseudocode.md.
 */
export type StepsAndArrows = {
  boxes: Array<{ id: string; text: string; asks: boolean; line: number }>;
  arrows: Array<{ from: string; to: string; label: "" | "yes" | "no"; line: number }>;
};

/** What is wrong with a chart in words: the line (from 1) and what, in words for a learner. */
export type ChartProblem = { line: number; says: string };

const arrowLine = /^\s*([\p{L}\p{Nd}_]+)(?:\s+(yes|no))?\s*(?:->|→)\s*([\p{L}\p{Nd}_]*)\s*$/iu;
const boxLine = /^\s*([\p{L}\p{Nd}_]+)\s*([:?])\s*(.*?)\s*$/u;
const comment = /(^|\s)#.*$/;

/** True if a text is meant as a chart in words: it says where an arrow from `begin` leads. */
export const isChartText = (text: string): boolean => /^\s*begin\s*(?:->|→)/im.test(text);

/** Reads a chart in words, line by line; what cannot be read is said. */
export function readChartText(text: string): { chart: StepsAndArrows; problems: ChartProblem[] } {
  const chart: StepsAndArrows = { boxes: [], arrows: [] };
  const problems: ChartProblem[] = [];
  for (const [at, whole] of text.split(/\r\n|\n|\r/).entries()) {
    const line = at + 1;
    const isArrow = arrowLine.exec(whole.replace(comment, ""));
    if (isArrow) {
      const [, from = "", label = "", to = ""] = isArrow;
      if (to === "") problems.push({ line, says: `The arrow from ${from} leads to nothing: name a box, or end.` });
      else
        chart.arrows.push({
          ...{ from: folded(from), to: folded(to), line },
          label: label.toLowerCase() as "" | "yes" | "no",
        });
      continue;
    }
    const isBox = boxLine.exec(whole);
    if (isBox) {
      const [, name = "", sign = "", inside = ""] = isBox;
      const id = folded(name);
      if (id === "begin" || id === "end")
        problems.push({ line, says: `${name} is there by itself: it needs no line of its own.` });
      else if (chart.boxes.some((box) => box.id === id))
        problems.push({ line, says: `There is a box ${name} already.` });
      else if (inside === "") problems.push({ line, says: `The box ${name} is empty.` });
      else chart.boxes.push({ id, text: inside, asks: sign === "?", line });
      continue;
    }
    if (whole.replace(comment, "").trim() !== "")
      problems.push({
        line,
        says: "A line is a box (1: OUTPUT fare), a question (2? fare > 9) or an arrow (1 -> 2, 2 yes -> end).",
      });
  }
  return { chart, problems: [...problems, ...looseEnds(chart)].sort((one, other) => one.line - other.line) };
}

const folded = (name: string): string => name.toLowerCase();

/** Arrows that lead nowhere or come from nowhere, questions without both answers, boxes that nothing leads to. */
function looseEnds({ boxes, arrows }: StepsAndArrows): ChartProblem[] {
  const problems: ChartProblem[] = [];
  const known = new Set(["begin", "end", ...boxes.map(({ id }) => id)]);
  for (const { from, to, line, label } of arrows) {
    for (const id of [from, to]) if (!known.has(id)) problems.push({ line, says: `There is no box ${id}.` });
    if (from === "end") problems.push({ line, says: "No arrow leads away from end." });
    if (to === "begin") problems.push({ line, says: "No arrow leads back to begin: lead it to the box behind it." });
    const asks = boxes.find(({ id }) => id === from)?.asks === true;
    if (label === "" && asks)
      problems.push({ line, says: `An arrow from the question ${from} says yes or no: ${from} yes -> ${to}.` });
    if (label !== "" && !asks) problems.push({ line, says: `${from} asks nothing, so its arrow cannot say ${label}.` });
  }
  const from = (id: string, label: "" | "yes" | "no") =>
    arrows.filter((arrow) => arrow.from === id && arrow.label === label);
  const begins = from("begin", "");
  if (begins.length === 0) problems.push({ line: 1, says: "No arrow leads away from begin." });
  for (const again of begins.slice(1))
    problems.push({ line: again.line, says: "Only one arrow leads away from begin." });
  for (const { id, asks, line } of boxes) {
    const labels: ReadonlyArray<"" | "yes" | "no"> = asks ? ["yes", "no"] : [""];
    for (const label of labels) {
      const [first, second] = from(id, label);
      if (!first)
        problems.push({
          line,
          says: asks ? `The question ${id} has no arrow for ${label}.` : `No arrow leads away from ${id}.`,
        });
      if (second)
        problems.push({ line: second.line, says: `Two arrows lead away from ${id}${asks ? ` for ${label}` : ""}.` });
    }
  }
  if (problems.length > 0) return problems;
  const reached = new Set(["begin"]);
  for (const id of reached) for (const arrow of arrows) if (arrow.from === id) reached.add(arrow.to);
  for (const { id, line } of boxes)
    if (!reached.has(id)) problems.push({ line, says: `No arrow leads to ${id}, so it is never reached.` });
  if (!reached.has("end")) problems.push({ line: 1, says: "No way leads to end: the chart goes round for ever." });
  return problems;
}

/** A chart in words, as `readChartText` reads it. */
export function writeChartText({ boxes, arrows }: Chart): string {
  const numbers = new Map<string, string>();
  let number = 0;
  for (const { id, shape } of boxes) {
    const fixed = shape === "begin" || shape === "end";
    if (!fixed) number += 1;
    numbers.set(id, fixed ? shape : String(number));
  }
  const named = (id: string) => numbers.get(id) ?? id;
  const texts = boxes
    .filter(({ shape }) => shape !== "begin" && shape !== "end")
    .map(({ id, shape, text }) => `${named(id)}${shape === "decision" ? "?" : ":"} ${text.replaceAll("\n", "; ")}`);
  const ways = arrows.map(({ from, to, label }) => `${named(from)}${label === "" ? "" : ` ${label}`} -> ${named(to)}`);
  return `${[...texts, "", ...ways].join("\n")}\n`;
}
