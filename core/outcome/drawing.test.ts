import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { compareOutput } from "../assignments/compareOutput.ts";
import { boxOf, type Drawing, pictureAt, readDrawing, shapeKinds, unseenBecause } from "./drawing.ts";
import { pictureFacts, pieceOfPicture } from "./pictureFacts.ts";
import { filmSvg, framesToShow, pictureSvg } from "./pictureSvg.ts";

const plainPen: Drawing["pens"][number] = ["#1e90ff", "#000000", 1, 12, "left", "baseline"];
const area = { width: 100, height: 80 };

const drawing = (frames: ReadonlyArray<Partial<Drawing["frames"][number]>>, last?: number): Drawing => ({
  pens: [plainPen, ["#ffffff", null, 1, 12, "left", "baseline"]],
  frames: frames.map((frame, at) => ({ frame: at, ...area, shapes: [], ...frame })),
  last: last ?? frames.length - 1,
});

describe("what a sketch told", () => {
  const frame = {
    ...{ frame: 1, ...area, background: "#ffffff" },
    pens: [[0, plainPen]],
    shapes: [["rect", 0, 1, 2, 3, 4]],
  };

  test("frames, pens and the end come together", () => {
    const read = readDrawing([JSON.stringify(frame), JSON.stringify({ end: 60 })]);
    expect(read).toMatchObject({
      last: 60,
      pens: [plainPen],
      frames: [{ frame: 1, shapes: [["rect", 0, 1, 2, 3, 4]] }],
    });
  });

  test("what no sketch of ours tells is left out: other words, colours that are none, pens that were never told", () => {
    expect(readDrawing(["none", "{}", '{"frame":-1}'])).toBeNull();
    const odd = { ...frame, background: 'red" onload="x' };
    expect(readDrawing([JSON.stringify(odd)])).toBeNull();
    const lost = readDrawing([JSON.stringify({ ...frame, shapes: [["rect", 7, 1, 2, 3, 4]] })]);
    expect(lost?.frames[0]?.shapes).toEqual([]);
  });

  test("a last picture tells the pens that it is drawn with alone, whatever their numbers", () => {
    const red: Drawing["pens"][number] = ["#ff0000", null, 1, 12, "left", "baseline"];
    const last = {
      ...frame,
      frame: 9,
      pens: [[4000, red]],
      shapes: [
        ["point", 4000, 5, 6],
        ["point", 0, 7, 8],
      ],
      whole: true,
    };
    const read = readDrawing([JSON.stringify(frame), JSON.stringify(last)]);
    expect(read?.pens).toEqual([plainPen, red]);
    expect(read?.frames[1]?.shapes).toEqual([
      ["point", 1, 5, 6],
      ["point", 0, 7, 8],
    ]);
    fc.assert(
      fc.property(fc.uniqueArray(fc.integer({ min: 0, max: 100_000 }), { minLength: 1, maxLength: 30 }), (numbers) => {
        const many = {
          ...last,
          pens: numbers.map((at) => [at, red]),
          shapes: numbers.map((at) => ["point", at, at, 1]),
        };
        const told = readDrawing([JSON.stringify(many)]);
        expect(told?.pens).toHaveLength(numbers.length);
        expect(told?.frames[0]?.shapes.map(([, place, x]) => [numbers[place], x])).toEqual(
          numbers.map((at) => [at, at]),
        );
      }),
    );
  });

  test("whatever is told, reading it never fails", () => {
    fc.assert(
      fc.property(fc.array(fc.oneof(fc.string(), fc.json())), (records) => {
        const read = readDrawing(records);
        if (read) pictureSvg(pictureAt(read, read.last));
      }),
    );
  });
});

test("what is drawn stays until a background covers it", () => {
  const film = drawing([
    { shapes: [["line", 0, 0, 0, 9, 9]] },
    { shapes: [["point", 0, 5, 5]] },
    { background: "#102030", shapes: [["rect", 0, 1, 1, 2, 2]] },
    { shapes: [["ellipse", 0, 9, 9, 4, 4]] },
  ]);
  const kinds = (frame: number) => pictureAt(film, frame).shapes.map(({ kind }) => kind);
  expect([kinds(0), kinds(1), kinds(2), kinds(3)]).toEqual([
    ["line"],
    ["line", "point"],
    ["rect"],
    ["rect", "ellipse"],
  ]);
  expect([pictureAt(film, 1).background, pictureAt(film, 3).background]).toEqual([null, "#102030"]);
  // A frame that was not told looks as the one before.
  expect(pictureAt({ ...film, last: 9 }, 9).shapes).toHaveLength(2);
});

test("a shape is unseen outside of the area, without a colour, in the background's colour, without a size", () => {
  const because = (pen: Drawing["pens"][number], values: number[], background = "#ffffff") => {
    const film: Drawing = {
      pens: [pen],
      last: 0,
      frames: [{ frame: 0, ...area, background, shapes: [["rect", 0, ...values]] }],
    };
    const picture = pictureAt(film, 0);
    return picture.shapes.map((shape) => unseenBecause(shape, picture))[0];
  };
  const filled = (fill: string | null, stroke: string | null): Drawing["pens"][number] => [
    fill,
    stroke,
    1,
    12,
    "left",
    "baseline",
  ];
  expect(because(filled("#000000", null), [200, 1, 5, 5])).toBe("outside");
  expect(because(filled(null, null), [2, 1, 5, 5])).toBe("colour");
  expect(because(filled("#102030", null), [2, 1, 5, 5], "#102030")).toBe("ground");
  expect(because(filled("#000000", null), [2, 1, 0, 0])).toBe("size");
  expect(because(filled("#ffffff", "#000000"), [2, 1, 5, 5])).toBeNull();
});

test("a box of what is turned goes around its corners as they come out", () => {
  const pen: Drawing["pens"][number] = [...plainPen, 0, 1, -1, 0, 50, 0];
  expect(boxOf({ kind: "rect", pen, values: [0, 0, 10, 20] })).toEqual({ left: 30, top: 0, right: 50, bottom: 10 });
});

describe("facts of a picture in a result", () => {
  const film = drawing([
    {
      background: "#ffffff",
      shapes: [
        ["ellipse", 0, 20, 30, 8, 8],
        ["ellipse", 1, 40, 30, 8, 8],
        ["line", 0, 0, 0, 9, 9],
      ],
    },
  ]);
  const piece = pieceOfPicture(film);

  test("counts, colours and shapes are told", () => {
    expect(piece.text.split("\n").slice(0, 6)).toEqual([
      "picture drawn = yes",
      "picture background = #ffffff",
      "picture lines = 1",
      "picture ellipses = 2",
      "picture colours = #000000 #1e90ff #ffffff",
      "picture ellipse 1 = 20 30 8 8 #1e90ff line #000000",
    ]);
  });

  test("a check asks for what it names, told or not, and for nothing else", () => {
    const same = (intended: string) => compareOutput([piece], intended).same;
    expect(same("picture drawn = yes\n")).toBe(true);
    expect(same("picture ellipses = 2\npicture rects = 0\n")).toBe(true);
    expect(same("picture #1e90ff = yes\npicture width = 100\n")).toBe(true);
    expect(same("picture ellipses = 3\n")).toBe(false);
    expect(same("picture #ff0000 = yes\n")).toBe(false);
    // Only what is printed is asked for.
    expect(compareOutput([{ kind: "out", text: "3 boats\n" }, piece], "3 boats\n").same).toBe(true);
  });

  test("a sketch that only prints tells nothing of a picture, and is asked for one all the same", () => {
    const silent = pieceOfPicture(drawing([{}]));
    expect(silent.text).toBe("");
    expect(compareOutput([silent], "picture drawn = yes\n").same).toBe(false);
    expect(compareOutput([silent], "picture drawn = no\n").same).toBe(true);
  });

  test("a shape that nobody can see is counted but nothing is drawn", () => {
    const { told } = pictureFacts(
      pictureAt(drawing([{ background: "#ffffff", shapes: [["rect", 1, 1, 1, 5, 5]] }]), 0),
    );
    expect(told).toEqual(
      expect.arrayContaining([
        ["drawn", "no"],
        ["rects", "1"],
      ]),
    );
  });
});

const finite = fc.double({ min: -1e6, max: 1e6, noNaN: true });
const shape = fc
  .tuple(fc.constantFrom(...shapeKinds), fc.array(finite, { maxLength: 10 }), fc.string())
  .map(([kind, numbers, words]): Drawing["frames"][number]["shapes"][number] =>
    kind === "text" ? [kind, 0, words, ...numbers.slice(0, 2)] : [kind, 0, ...numbers],
  );

test("every picture is well-formed, whatever the words and numbers", () => {
  fc.assert(
    fc.property(fc.array(shape, { maxLength: 12 }), (shapes) => {
      const svg = pictureSvg(pictureAt(drawing([{ shapes }]), 0));
      expect(svg).not.toMatch(/NaN|undefined|Infinity/);
      // Outside of tags there are no signs that would begin one.
      const opened = svg.match(/<[a-z]/g)?.length ?? 0;
      const closed = svg.match(/\/>|<\/[a-z]+>/g)?.length ?? 0;
      expect(opened).toBe(closed);
      expect(svg.replace(/<[^<>]*>/g, "")).not.toMatch(/[<>]/);
    }),
  );
});

test("words keep no sign that a picture cannot hold", () => {
  const words = `a\u0000b\ud800c\nd & <e>`;
  const svg = pictureSvg(pictureAt(drawing([{ shapes: [["text", 0, words, 1, 2]] }]), 0));
  expect(svg).toContain(">a\uFFFDb\uFFFDc d &amp; &lt;e&gt;</text>");
  expect(() => encodeURIComponent(svg)).not.toThrow();
});

test("a shape whose place is no number is not drawn", () => {
  const picture = pictureAt(drawing([{ shapes: [["rect", 0, "NaN", 1, 5, 5]] }]), 0);
  expect(pictureSvg(picture).match(/<rect/g)).toHaveLength(1);
  expect(picture.shapes.map((each) => unseenBecause(each, picture))).toEqual(["number"]);
});

test("a whole turn is drawn in two halves, a slice from its middle", () => {
  const arc = (...values: number[]) => pictureSvg(pictureAt(drawing([{ shapes: [["arc", 0, ...values]] }]), 0));
  expect(arc(50, 50, 20, 20, 0, Math.PI * 2, 0).match(/ A /g)).toHaveLength(2);
  expect(arc(50, 50, 20, 20, 0, 1, 3)).toContain("M 50 50 L 60 50");
});

test("frames to look at are spread over the film, with the first and the last; a film has each with its number", () => {
  const film = drawing([{ shapes: [] }], 60);
  expect(framesToShow(film, 6)).toEqual([1, 13, 25, 36, 48, 60]);
  expect(framesToShow(drawing([{}], 0), 6)).toEqual([0]);
  expect(framesToShow(drawing([{}], 2), 6)).toEqual([1, 2]);
  expect(filmSvg(film).match(/<text /g)).toHaveLength(60);
});
