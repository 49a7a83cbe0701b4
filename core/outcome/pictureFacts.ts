import {
  type Drawing,
  lineKinds,
  type Picture,
  pictureAt,
  type ShapeKind,
  shapeKinds,
  unseenBecause,
} from "./drawing.ts";
import type { ConsolePiece } from "./outcome.ts";

/** Shapes of which a result tells each, and those of which a check can ask. */
const [mostTold, mostAsked] = [30, 400];

const plural: Readonly<Record<ShapeKind, string>> = {
  ...{ point: "points", line: "lines", triangle: "triangles", quad: "quads", rect: "rects", ellipse: "ellipses" },
  ...{ arc: "arcs", curve: "curves", polygon: "polygons", polyline: "polylines", text: "texts" },
};

/** The colours in which a shape is seen: lines have no inside, words no line. */
export function coloursOf({ kind, pen: [fill, stroke] }: Picture["shapes"][number]): string[] {
  return [lineKinds.has(kind) ? null : fill, kind === "text" ? null : stroke].flatMap((each) =>
    each === null ? [] : [each],
  );
}

/** A shape in words: its numbers, what it is filled with, the colour of its line. */
export function shapeWords({ kind, pen, values }: Picture["shapes"][number]): string {
  const [fill, stroke] = pen;
  return [
    ...values.map((each) => (typeof each === "string" && kind === "text" ? JSON.stringify(each) : String(each))),
    ...(lineKinds.has(kind) ? [] : [fill ?? "no fill"]),
    ...(kind === "text" ? [] : [stroke === null ? "no line" : `line ${stroke}`]),
    ...(pen.length > 6
      ? [
          `turned ${pen
            .slice(6)
            .map((each) => Number(Number(each).toFixed(2)))
            .join(" ")}`,
        ]
      : []),
  ].join(" ");
}

/** Whether anything can be seen in a picture. */
export const isDrawn = (picture: Picture): boolean =>
  picture.left > 0 || picture.shapes.some((shape) => unseenBecause(shape, picture) === null);

/** Facts of a picture by their names; the first of the two are told with every result, the others where they are asked for. */
export function pictureFacts(picture: Picture): { told: Array<[string, string]>; others: Array<[string, string]> } {
  const counted = shapeKinds.map(
    (kind) => [kind, picture.shapes.filter((shape) => shape.kind === kind).length] as const,
  );
  const colours = [...new Set(picture.shapes.flatMap(coloursOf))];
  const places = new Map<ShapeKind, number>();
  const each = picture.shapes.slice(0, mostAsked).map((shape): [string, string] => {
    const place = (places.get(shape.kind) ?? 0) + 1;
    places.set(shape.kind, place);
    return [`${shape.kind} ${place}`, shapeWords(shape)];
  });
  return {
    told: [
      ["drawn", isDrawn(picture) ? "yes" : "no"],
      ...(picture.background === null ? [] : [["background", picture.background] as [string, string]]),
      ...counted.flatMap(
        ([kind, count]): Array<[string, string]> => (count > 0 ? [[plural[kind], String(count)]] : []),
      ),
      ...(colours.length > 0 ? [["colours", colours.toSorted().join(" ")] as [string, string]] : []),
      ...each.slice(0, mostTold),
    ],
    others: [
      ["shapes", String(picture.shapes.length + picture.left)],
      ["width", String(picture.width)],
      ["height", String(picture.height)],
      ["frame", String(picture.frame)],
      ...counted.flatMap(([kind, count]): Array<[string, string]> => (count === 0 ? [[plural[kind], "0"]] : [])),
      ...colours.map((colour): [string, string] => [colour, "yes"]),
      ...each.slice(mostTold),
    ],
  };
}

/**
 * The last picture of a sketch as lines that belong to its result: `picture ellipses = 3`. The piece keeps the other facts, since a check
 * may ask for any.
 */
export function pieceOfPicture(drawing: Drawing): ConsolePiece {
  const picture = pictureAt(drawing, drawing.last);
  const { told, others } = pictureFacts(picture);
  // Where nothing was ever drawn a result that was made by printing tells nothing of a picture.
  const isSilent = picture.shapes.length === 0 && picture.background === null && picture.left === 0;
  return {
    kind: "out",
    picture: true,
    text: isSilent ? "" : told.map(([name, shown]) => `picture ${name} = ${shown}\n`).join(""),
    cells: isSilent ? [...told, ...others] : others,
  };
}

/** A console without what it tells of a picture: what a person who watched it would say was printed. */
export const withoutPicture = (console: readonly ConsolePiece[]): ConsolePiece[] =>
  console.filter((piece) => !piece.picture);
