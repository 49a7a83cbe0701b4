import * as z from "zod";

/**
 * What a sketch drew, frame by frame. Numbers of shapes are in pixels from the left upper corner, angles in radians:
 * `point` x y · `line` x1 y1 x2 y2 · `triangle`, `quad`, `polygon`, `polyline` corners · `rect` left top width height [round] · `ellipse` middle width height ·
 * `arc` middle width height from to form (0 open, 2 with its chord, 3 as a slice) · `curve` four points · `text` words x y.
 */
export const shapeKinds = [
  ...(["point", "line", "triangle", "quad", "rect", "ellipse"] as const),
  ...(["arc", "curve", "polygon", "polyline", "text"] as const),
] as const;
export type ShapeKind = (typeof shapeKinds)[number];

/** Shapes without an inside. */
export const lineKinds: ReadonlySet<ShapeKind> = new Set(["line", "point", "polyline", "curve"]);

const colourSchema = z.string().regex(/^#(?:[\da-f]{6}|[\da-f]{8})$/);

/** Fill and line (null: none), width of lines, size and place of texts, and where it is turned or stretched the six numbers of that. */
const penSchema = z
  .tuple([
    ...([colourSchema.nullable(), colourSchema.nullable(), z.number(), z.number()] as const),
    ...([z.enum(["left", "centre", "right"]), z.enum(["baseline", "top", "centre", "bottom"])] as const),
  ])
  .rest(z.number());
export type Pen = z.infer<typeof penSchema>;

/** A kind, the place of its pen among the pens, and its numbers. */
const shapeSchema = z
  .tuple([z.enum(shapeKinds), z.number().int().nonnegative()])
  .rest(z.union([z.number(), z.string()]));
export type Shape = z.infer<typeof shapeSchema>;

const frameSchema = z.object({
  frame: z.number().int().nonnegative(),
  width: z.number().int().positive(),
  height: z.number().int().positive(),
  /** With it the frame covers everything that was drawn before. */
  background: colourSchema.optional(),
  shapes: z.array(shapeSchema),
  /** True for the last picture of a run whose frames are not all told. */
  whole: z.boolean().optional(),
  /** How many of its shapes are only counted. */
  left: z.number().int().positive().optional(),
});
export type DrawnFrame = z.infer<typeof frameSchema>;

/** The frames that changed the picture, in order; `last` is the number of the last one that was drawn. Frame 0 is what was drawn before the first. */
export const drawingSchema = z.object({
  pens: z.array(penSchema),
  frames: z.array(frameSchema),
  last: z.number().int(),
});
export type Drawing = z.infer<typeof drawingSchema>;

const recordSchema = z.union([
  z.object({ end: z.number().int().nonnegative() }),
  frameSchema.extend({ pens: z.array(z.tuple([z.number().int().nonnegative().max(100_000), penSchema])) }),
]);

/** What a sketch told (runners/sketch), one record after another; null where none is one. What does not fit is left out. */
export function readDrawing(records: readonly string[]): Drawing | null {
  const drawing: Drawing = { pens: [], frames: [], last: 0 };
  // A last picture tells only the pens that it is drawn with, so their numbers may have gaps.
  const places = new Map<number, number>();
  let found = false;
  for (const record of records) {
    const read = recordSchema.safeParse(parsed(record));
    if (!read.success) continue;
    found = true;
    if ("end" in read.data) {
      drawing.last = Math.max(drawing.last, read.data.end);
      continue;
    }
    const { pens, shapes, ...frame } = read.data;
    for (const [number, pen] of pens) {
      const place = places.get(number) ?? drawing.pens.length;
      places.set(number, place);
      drawing.pens[place] = pen;
    }
    drawing.last = Math.max(drawing.last, frame.frame);
    const placed = shapes.flatMap(([kind, number, ...numbers]): Shape[] => {
      const place = places.get(number);
      return place === undefined ? [] : [[kind, place, ...numbers]];
    });
    drawing.frames.push({ ...frame, shapes: placed });
  }
  return found ? drawing : null;
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return null;
  }
}

/** A picture as it stands after a frame: the size of the area, its colour (null: none was given) and the shapes, the undermost first. */
export type Picture = {
  frame: number;
  width: number;
  height: number;
  background: string | null;
  shapes: ReadonlyArray<{ kind: ShapeKind; pen: Pen; values: ReadonlyArray<number | string> }>;
  left: number;
};

/** The picture after a frame. What is drawn stays until a background covers it. */
export function pictureAt(drawing: Drawing, frame: number): Picture {
  const until = drawing.frames.filter((each) => each.frame <= frame);
  let from = until.length - 1;
  while (from > 0 && !until[from]?.background && !until[from]?.whole) from -= 1;
  const shown = until.slice(Math.max(0, from));
  const last = shown.at(-1);
  return {
    ...{ frame: Math.min(frame, drawing.last), width: last?.width ?? 100, height: last?.height ?? 100 },
    background: shown[0]?.background ?? null,
    shapes: shown.flatMap(({ shapes }) =>
      shapes.flatMap(([kind, at, ...values]) => {
        const pen = drawing.pens[at];
        return pen ? [{ kind, pen, values }] : [];
      }),
    ),
    left: last?.left ?? 0,
  };
}

/** True where all its numbers are some; one that is none is told as a text. */
export const hasPlace = ({ kind, values }: Pick<Picture["shapes"][number], "kind" | "values">): boolean =>
  values.every((each, at) => typeof each === "number" || (kind === "text" && at === 0));

type Box = { left: number; top: number; right: number; bottom: number };

const numbersOf = (values: ReadonlyArray<number | string>) =>
  values.flatMap((each) => (typeof each === "number" ? [each] : []));

/** The box around a shape in the area, without the width of its line. */
export function boxOf({ kind, pen, values }: Picture["shapes"][number]): Box {
  const given = numbersOf(values);
  const [x = 0, y = 0, wide = 0, high = 0] = given;
  const corners: Array<[number, number]> = [];
  if (kind === "rect") corners.push([x, y], [x + wide, y], [x, y + high], [x + wide, y + high]);
  else if (kind === "ellipse" || kind === "arc")
    for (const [across, down] of [
      [-1, -1],
      [1, -1],
      [-1, 1],
      [1, 1],
    ] as const)
      corners.push([x + (across * wide) / 2, y + (down * high) / 2]);
  else if (kind === "text") {
    const width = String(values[0] ?? "").length * pen[3] * 0.6;
    const left = pen[4] === "left" ? x : pen[4] === "right" ? x - width : x - width / 2;
    corners.push([left, y - pen[3]], [left + width, y + pen[3]]);
  } else for (let at = 0; at + 1 < given.length; at += 2) corners.push([given[at] ?? 0, given[at + 1] ?? 0]);
  const [a = 1, b = 0, c = 0, d = 1, e = 0, f = 0] = pen.slice(6) as number[];
  const placed = corners.map(([across, down]) => [a * across + c * down + e, b * across + d * down + f] as const);
  const xs = placed.map(([across]) => across);
  const ys = placed.map(([, down]) => down);
  return { left: Math.min(...xs), top: Math.min(...ys), right: Math.max(...xs), bottom: Math.max(...ys) };
}

/** Why nothing is seen of a shape: a number of it is none, it lies outside of the area, has no colour, has the background's, or has no size; null where it is seen. */
export function unseenBecause(
  shape: Picture["shapes"][number],
  picture: Picture,
): "number" | "outside" | "colour" | "ground" | "size" | null {
  if (!hasPlace(shape)) return "number";
  const [fill, stroke, weight] = shape.pen;
  const box = boxOf(shape);
  const around = stroke === null ? 0 : weight / 2;
  if (
    box.right + around < 0 ||
    box.bottom + around < 0 ||
    box.left - around > picture.width ||
    box.top - around > picture.height
  )
    return "outside";
  const isLine = lineKinds.has(shape.kind);
  const colours = [
    ...(isLine || fill === null ? [] : [fill]),
    ...(stroke === null || shape.kind === "text" ? [] : [stroke]),
  ];
  if (colours.length === 0) return "colour";
  const flat = box.right === box.left && box.bottom === box.top;
  if (flat && !isLine && shape.kind !== "text" && stroke === null) return "size";
  return colours.every((colour) => colour === (picture.background ?? "#ffffff")) ? "ground" : null;
}
