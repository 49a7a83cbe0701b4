import { type Drawing, hasPlace, type Picture, pictureAt, type ShapeKind } from "./drawing.ts";

/** A text as XML has it: on one line, without the signs that XML does not know. */
const escaped = (text: string) =>
  text
    .replace(/\s/g, " ")
    .replace(/[\p{Cc}\p{Cs}\uFFFE\uFFFF]/gu, "\uFFFD")
    .replace(/[&<>"]/g, (sign) => ({ "&": "&amp;", "<": "&lt;", ">": "&gt;", '"': "&quot;" })[sign] ?? sign);

const short = (value: number) => String(Number(value.toFixed(2)));

/** A colour and how far it can be seen through, as attributes. */
function paint(name: "fill" | "stroke", colour: string | null): string {
  if (colour === null) return ` ${name}="none"`;
  const alpha = colour.length === 9 ? ` ${name}-opacity="${short(Number.parseInt(colour.slice(7), 16) / 255)}"` : "";
  return ` ${name}="${colour.slice(0, 7)}"${alpha}`;
}

function arcPath([x = 0, y = 0, wide = 0, high = 0, from = 0, to = 0, form = 0]: readonly number[]): string {
  const at = (angle: number) => `${short(x + (Math.cos(angle) * wide) / 2)} ${short(y + (Math.sin(angle) * high) / 2)}`;
  const radii = `${short(wide / 2)} ${short(high / 2)}`;
  // A whole turn is drawn as two halves: an arc of SVG cannot end where it began.
  const middle = from + (to - from) / 2;
  const whole = to - from > Math.PI * 1.999;
  const along = whole
    ? `A ${radii} 0 0 1 ${at(middle)} A ${radii} 0 0 1 ${at(to)}`
    : `A ${radii} 0 ${to - from > Math.PI ? 1 : 0} 1 ${at(to)}`;
  if (form === 3) return `M ${short(x)} ${short(y)} L ${at(from)} ${along} Z`;
  return `M ${at(from)} ${along}${form === 2 ? " Z" : ""}`;
}

const anchors = { left: "start", centre: "middle", right: "end" } as const;
const baselines = { baseline: 0, top: 0.76, centre: 0.35, bottom: -0.24 } as const;

type Shape = Picture["shapes"][number];

/** What a shape is drawn with, as attributes: its inside, its line, how it is turned. */
function drawnWith({ pen }: Shape): { inside: string; line: string; turned: string } {
  const [fill, stroke, weight] = pen;
  return {
    inside: paint("fill", fill),
    line: `${paint("stroke", stroke)}${stroke === null || weight === 1 ? "" : ` stroke-width="${short(weight)}"`}`,
    turned: pen.length === 12 ? ` transform="matrix(${pen.slice(6).join(" ")})"` : "",
  };
}

/** An element of one name with what the numbers of a shape say of it. */
const element =
  (name: string, places: (numbers: readonly number[]) => string) =>
  (shape: Shape): string => {
    const { inside, line, turned } = drawnWith(shape);
    const numbers = shape.values.flatMap((each) => (typeof each === "number" ? [each] : []));
    return `<${name} ${places(numbers)}${inside}${line}${turned}/>`;
  };

const corners = (numbers: readonly number[]) => `points="${numbers.join(" ")}"`;
const polygon = element("polygon", corners);

/** How each kind of shape is written. */
const writers: Readonly<Record<ShapeKind, (shape: Shape) => string>> = {
  point: (shape) => {
    const [, stroke, weight] = shape.pen;
    const [x = 0, y = 0] = shape.values;
    if (stroke === null) return "";
    return `<circle cx="${x}" cy="${y}" r="${short(Math.max(weight, 1) / 2)}"${paint("fill", stroke)}${drawnWith(shape).turned}/>`;
  },
  line: element("line", ([a = 0, b = 0, c = 0, d = 0]) => `x1="${a}" y1="${b}" x2="${c}" y2="${d}"`),
  rect: element("rect", ([a = 0, b = 0, c = 0, d = 0, round]) => {
    const place = `x="${short(Math.min(a, a + c))}" y="${short(Math.min(b, b + d))}"`;
    return `${place} width="${Math.abs(c)}" height="${Math.abs(d)}"${round === undefined ? "" : ` rx="${round}"`}`;
  }),
  ellipse: element(
    "ellipse",
    ([a = 0, b = 0, c = 0, d = 0]) =>
      `cx="${a}" cy="${b}" rx="${short(Math.abs(c) / 2)}" ry="${short(Math.abs(d) / 2)}"`,
  ),
  arc: element("path", (numbers) => `d="${arcPath(numbers)}"`),
  curve: element(
    "path",
    ([a = 0, b = 0, c = 0, d = 0, e = 0, f = 0, g = 0, h = 0]) => `d="M ${a} ${b} C ${c} ${d} ${e} ${f} ${g} ${h}"`,
  ),
  polyline: element("polyline", corners),
  ...{ triangle: polygon, quad: polygon, polygon },
  text: (shape) => {
    const [, , , size, across, down] = shape.pen;
    const [words = "", x = 0, y = 0] = shape.values;
    const place = `x="${Number(x)}" y="${short(Number(y) + size * baselines[down])}" font-size="${short(size)}" text-anchor="${anchors[across]}"`;
    const { inside, turned } = drawnWith(shape);
    return `<text ${place} font-family="sans-serif"${inside}${turned}>${escaped(String(words))}</text>`;
  },
};

/** What is seen of a picture: the area, what covers it, and its shapes. */
function insideOf({ width, height, background, shapes }: Picture): string {
  return [
    `<rect width="${width}" height="${height}" fill="#ffffff"/>`,
    ...(background === null ? [] : [`<rect width="${width}" height="${height}"${paint("fill", background)}/>`]),
    ...shapes.filter(hasPlace).map((shape) => writers[shape.kind](shape)),
  ].join("");
}

const opened = 'svg xmlns="http://www.w3.org/2000/svg"';

/** A picture as SVG (SVG 1.1), as large as its area; what lies outside of that is not seen. */
export function pictureSvg(picture: Picture): string {
  const { width, height } = picture;
  return `<${opened} width="${width}" height="${height}" viewBox="0 0 ${width} ${height}">${insideOf(picture)}</svg>`;
}

/** The frames that are worth a look beside each other: the first, the last, and others between at equal distances. `most` of them. */
export function framesToShow(drawing: Drawing, most: number): number[] {
  const first = Math.min(1, drawing.last);
  const count = Math.min(most, drawing.last - first + 1);
  if (count <= 1) return [drawing.last];
  const found = Array.from({ length: count }, (_, at) =>
    Math.round(first + ((drawing.last - first) * at) / (count - 1)),
  );
  return [...new Set(found)];
}

/** Width of a frame among others, its place for a number below, and the most frames of one film. */
const [frameWidth, numberRoom, mostFrames] = [160, 18, 600];

/** The pictures after every frame in rows, ten in each, each with its number; one SVG (SVG 1.1). */
export function filmSvg(drawing: Drawing): string {
  const first = Math.min(1, drawing.last);
  const pictures = Array.from({ length: Math.min(mostFrames, drawing.last - first + 1) }, (_, at) =>
    pictureAt(drawing, first + at),
  );
  const across = Math.min(10, pictures.length);
  const high = Math.ceil(Math.max(...pictures.map(({ width, height }) => (height / width) * frameWidth)));
  const step = { x: frameWidth + 8, y: high + numberRoom + 8 };
  const [width, height] = [across * step.x + 8, Math.ceil(pictures.length / across) * step.y + 8];
  const frames = pictures.map((picture, at) => {
    const [x, y] = [8 + (at % across) * step.x, 8 + Math.floor(at / across) * step.y];
    const box = `viewBox="0 0 ${picture.width} ${picture.height}" preserveAspectRatio="xMinYMin meet"`;
    return [
      `<svg x="${x}" y="${y}" width="${frameWidth}" height="${high}" ${box}>${insideOf(picture)}</svg>`,
      `<rect x="${x}" y="${y}" width="${frameWidth}" height="${high}" fill="none" stroke="#999999"/>`,
      `<text x="${x}" y="${y + high + 13}" font-size="12" font-family="sans-serif">${picture.frame}</text>`,
    ].join("");
  });
  return `<${opened} width="${width}" height="${height}" viewBox="0 0 ${width} ${height}">${frames.join("")}</svg>`;
}
