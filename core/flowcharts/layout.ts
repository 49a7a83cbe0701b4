import type { ELK, ElkExtendedEdge, ElkNode, ElkPort } from "elkjs/lib/elk-api.js";
import type { Chart, ChartArrow, ChartBox } from "./chart.ts";

export type Point = { x: number; y: number };
export type PlacedBox = ChartBox & { x: number; y: number; width: number; height: number };
export type PlacedArrow = ChartArrow & { points: Point[]; labelAt: Point | null };
/** A chart with places for everything, in pixels from the upper left corner. */
export type PlacedChart = { name: string; width: number; height: number; boxes: PlacedBox[]; arrows: PlacedArrow[] };

/** How wide a character is and how high a line, in the font in which boxes are written (13 px, all characters alike). */
const character = 7.9;
const lineHeight = 18;
/** Charts of more boxes than these are not laid out: nobody could read them. */
export const mostBoxes = 60;

/** How large a box must be for its text: whole pixels, so that its middle is one, too. */
export function sizeOf(box: ChartBox): { width: number; height: number } {
  const { width, height } = roomFor(box);
  return { width: 2 * Math.ceil(width / 2), height: 2 * Math.ceil(height / 2) };
}

function roomFor({ shape, text }: ChartBox): { width: number; height: number } {
  const lines = text.split("\n");
  const width = Math.max(...lines.map((line) => [...line].length)) * character;
  const height = lines.length * lineHeight;
  // The corners of a decision need room beside the text, slanted sides a little.
  if (shape === "decision") return { width: Math.max(90, width * 1.5 + 40), height: height + 38 };
  if (shape === "input or output") return { width: Math.max(80, width + 56), height: height + 16 };
  if (shape === "begin" || shape === "end") return { width: Math.max(80, width + 36), height: height + 12 };
  return { width: Math.max(80, width + (shape === "call" ? 44 : 28)), height: height + 16 };
}

const options: Readonly<Record<string, string>> = {
  "elk.algorithm": "layered",
  "elk.direction": "DOWN",
  "elk.edgeRouting": "ORTHOGONAL",
  "elk.spacing.nodeNode": "36",
  "elk.layered.spacing.nodeNodeBetweenLayers": "34",
  "elk.spacing.edgeLabel": "4",
  "elk.layered.feedbackEdges": "true",
  // What leads back is what leads to a box further up in the program.
  "elk.layered.cycleBreaking.strategy": "MODEL_ORDER",
  "elk.layered.nodePlacement.strategy": "BRANDES_KOEPF",
  "elk.layered.considerModelOrder.strategy": "NODES_AND_EDGES",
  "elk.padding": "[top=12,left=12,bottom=12,right=12]",
};

let engine: Promise<ELK> | null = null;
/** The package that lays out is loaded when the first chart is drawn. */
const elk = (): Promise<ELK> => {
  engine ??= import("elkjs/lib/elk.bundled.js").then(({ default: Elk }) => new Elk());
  return engine;
};

/** Where arrows come in and go out: at the top, at the bottom, and beside a decision that does not hold. */
function portsOf(box: ChartBox): ElkPort[] {
  const { width, height } = sizeOf(box);
  const port = (name: string, side: string, x: number, y: number): ElkPort => ({
    ...{ id: `${box.id} ${name}`, x, y, width: 0, height: 0 },
    layoutOptions: { "elk.port.side": side },
  });
  return [
    port("in", "NORTH", width / 2, 0),
    port("out", "SOUTH", width / 2, height),
    ...(box.shape === "decision" ? [port("aside", "EAST", width, height / 2)] : []),
  ];
}

/** Finds places for a chart's boxes and ways for its arrows. Null where it has too many boxes to be read. */
export async function layOut(chart: Chart): Promise<PlacedChart | null> {
  if (chart.boxes.length > mostBoxes) return null;
  const graph: ElkNode = {
    id: "chart",
    layoutOptions: options,
    children: chart.boxes.map((box) => ({
      id: box.id,
      ...sizeOf(box),
      layoutOptions: { "elk.portConstraints": "FIXED_POS" },
      ports: portsOf(box),
    })),
    edges: chart.arrows.map(
      ({ from, to, label }, at): ElkExtendedEdge => ({
        id: `arrow${at}`,
        sources: [`${from} ${label === "no" ? "aside" : "out"}`],
        targets: [`${to} in`],
        labels: label === "" ? [] : [{ text: label, width: label.length * character, height: 16 }],
      }),
    ),
  };
  const placed = await (await elk()).layout(graph);
  const places = new Map((placed.children ?? []).map((child) => [child.id, child]));
  return {
    name: chart.name,
    ...{ width: Math.ceil(placed.width ?? 0), height: Math.ceil(placed.height ?? 0) },
    boxes: chart.boxes.map((box) => {
      const { x = 0, y = 0 } = places.get(box.id) ?? {};
      return { ...box, x, y, ...sizeOf(box) };
    }),
    arrows: chart.arrows.map((arrow, at) => {
      const edge = placed.edges?.[at];
      const [section] = edge?.sections ?? [];
      const [label] = edge?.labels ?? [];
      return {
        ...arrow,
        points: section ? [section.startPoint, ...(section.bendPoints ?? []), section.endPoint] : [],
        labelAt: label ? { x: (label.x ?? 0) + (label.width ?? 0) / 2, y: (label.y ?? 0) + 13 } : null,
      };
    }),
  };
}
