import type { PlacedBox, PlacedChart, Point } from "./layout.ts";

/** A piece of a drawing: an element of SVG with its attributes. */
export type DrawnPart = {
  tag: "path" | "text";
  attributes: Readonly<Record<string, string | number>>;
  text?: string;
};
/** What belongs together: a box with its text, or an arrow with its label. */
export type DrawnGroup = { is: "box" | "arrow"; id: string; parts: DrawnPart[] };

const path = (d: string, attributes: DrawnPart["attributes"] = {}): DrawnPart => ({
  tag: "path",
  attributes: { d, ...attributes },
});
const through = (points: readonly Point[]): string =>
  points.map(({ x, y }, at) => `${at === 0 ? "M" : "L"}${round(x)} ${round(y)}`).join(" ");
const round = (value: number): number => Math.round(value * 10) / 10;

/** The outline of a box. */
function outline({ shape, x, y, width, height }: PlacedBox): string {
  const [right, bottom] = [x + width, y + height];
  if (shape === "decision")
    return `${through([
      { x: x + width / 2, y },
      { x: right, y: y + height / 2 },
      { x: x + width / 2, y: bottom },
      { x, y: y + height / 2 },
    ])} Z`;
  if (shape === "input or output")
    return `${through([
      { x: x + 16, y },
      { x: right, y },
      { x: right - 16, y: bottom },
      { x, y: bottom },
    ])} Z`;
  if (shape === "begin" || shape === "end") {
    const radius = round(height / 2);
    return `M${round(x + radius)} ${round(y)} H${round(right - radius)} A${radius} ${radius} 0 0 1 ${round(right - radius)} ${round(bottom)} H${round(x + radius)} A${radius} ${radius} 0 0 1 ${round(x + radius)} ${round(y)} Z`;
  }
  return `M${round(x)} ${round(y)} H${round(right)} V${round(bottom)} H${round(x)} Z`;
}

function boxParts(box: PlacedBox): DrawnPart[] {
  const lines = box.text.split("\n");
  const middle = box.x + box.width / 2;
  const first = box.y + box.height / 2 - (lines.length - 1) * 9 + 4.5;
  const sides =
    box.shape === "call"
      ? [
          path(
            `M${round(box.x + 8)} ${round(box.y)} V${round(box.y + box.height)} M${round(box.x + box.width - 8)} ${round(box.y)} V${round(box.y + box.height)}`,
          ),
        ]
      : [];
  return [
    path(outline(box)),
    ...sides,
    ...lines.map(
      (text, at): DrawnPart => ({
        tag: "text",
        attributes: { x: round(middle), y: round(first + at * 18), "text-anchor": "middle" },
        text,
      }),
    ),
  ];
}

/** The head of an arrow: two short lines at its end, in the direction in which it comes. */
function head(points: readonly Point[]): string {
  const [before, end] = points.slice(-2);
  if (!before || !end) return "";
  const length = Math.hypot(end.x - before.x, end.y - before.y) || 1;
  const [dx, dy] = [((end.x - before.x) / length) * 8, ((end.y - before.y) / length) * 8];
  const side = (turn: 1 | -1): Point => ({ x: end.x - dx + turn * dy * 0.5, y: end.y - dy - turn * dx * 0.5 });
  return through([side(1), end, side(-1)]);
}

/** A chart as pieces of SVG, arrows first so that boxes lie on them. */
export function draw(chart: PlacedChart): DrawnGroup[] {
  const arrows = chart.arrows.map(({ from, to, label, points, labelAt }): DrawnGroup => {
    const parts = [path(through(points), { fill: "none" }), path(head(points), { fill: "none" })];
    if (labelAt)
      parts.push({
        tag: "text",
        attributes: { x: round(labelAt.x), y: round(labelAt.y), "text-anchor": "middle" },
        text: label,
      });
    return { is: "arrow", id: `${from} ${to} ${label}`, parts };
  });
  return [...arrows, ...chart.boxes.map((box): DrawnGroup => ({ is: "box", id: box.id, parts: boxParts(box) }))];
}

const escaped = (text: string): string =>
  text.replaceAll("&", "&amp;").replaceAll("<", "&lt;").replaceAll(">", "&gt;").replaceAll('"', "&quot;");

function written({ tag, attributes, text }: DrawnPart): string {
  const all = Object.entries(attributes).map(([name, value]) => ` ${name}="${escaped(String(value))}"`);
  return `<${tag}${all.join("")}>${text === undefined ? "" : escaped(text)}</${tag}>`;
}

/** What a chart says, for whoever cannot see it: each box with where its arrows lead. */
export function chartInWords(chart: Pick<PlacedChart, "boxes" | "arrows">): string[] {
  const textOf = (id: string) => chart.boxes.find((box) => box.id === id)?.text.replaceAll("\n", "; ") ?? "";
  return chart.boxes.map(({ id, text }) => {
    const out = chart.arrows
      .filter(({ from }) => from === id)
      .map(({ to, label }) => `${label === "" ? "then" : `${label}:`} ${textOf(to)}`);
    return `${text.replaceAll("\n", "; ")}${out.length > 0 ? ` – ${out.join(", ")}` : ""}`;
  });
}

/** A chart as an SVG document of its own (SVG 1.1), in black on white. */
export function svgText(chart: PlacedChart, title: string): string {
  const groups = draw(chart).map(
    ({ is, parts }) => `<g fill="${is === "box" ? "#fff" : "none"}" stroke="#222">${parts.map(inked).join("")}</g>`,
  );
  return `<?xml version="1.0" encoding="UTF-8"?>
<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${chart.width} ${chart.height}" width="${chart.width}" height="${chart.height}" role="img" font-family="monospace" font-size="13">
<title>${escaped(title)}</title>
<desc>${escaped(chartInWords(chart).join("; "))}</desc>
${groups.join("\n")}
</svg>
`;
}

/** Letters have no outline and are black. */
const inked = (part: DrawnPart): string =>
  written(part.tag === "text" ? { ...part, attributes: { ...part.attributes, fill: "#222", stroke: "none" } } : part);
