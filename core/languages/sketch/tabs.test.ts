import fc from "fast-check";
import { expect, test } from "vitest";
import { joinTabs, withPlaces } from "./tabs.ts";

const tide = { name: "tide.sketch", text: "void setup() {\n  size(9, 9);\n}\n" };
const boat = { name: "boat.sketch", text: "class Boat {\n  int x;\n}" };
const notes = { name: "notes.txt", text: "no\npart\nof it\n" };

test("each file begins on a line of its own; what is no part of the sketch keeps its place among the files", () => {
  const { text, placeOf, mainEnd } = joinTabs([tide, notes, boat]);
  expect(text).toBe(`${tide.text}\n${boat.text}`);
  expect(mainEnd).toBe(tide.text.length);
  expect([1, 3, 4, 5, 7, 9].map(placeOf)).toEqual([
    ...[
      { file: 0, line: 1 },
      { file: 0, line: 3 },
      { file: 0, line: 4 },
    ],
    ...[
      { file: 2, line: 1 },
      { file: 2, line: 3 },
      { file: 2, line: 3 },
    ],
  ]);
});

test("places in messages and calls are those of the file that they are in", () => {
  const names = [tide.name, notes.name, boat.name];
  const said = [
    "tide.sketch:6: error: ';' expected",
    "  int x",
    "       ^",
    'Exception in thread "main" java.lang.ArithmeticException: / by zero',
    "\tat TheSketch$Boat.move(tide.sketch:7)",
    "\tat TheSketch.draw(tide.sketch:2)",
    "\tat java.base/java.util.ArrayList.get(ArrayList.java:427)",
  ].join("\n");
  expect(withPlaces(said, names, joinTabs([tide, notes, boat])).split("\n")).toEqual([
    ...["boat.sketch:2: error: ';' expected", "  int x", "       ^"],
    'Exception in thread "main" java.lang.ArithmeticException: / by zero',
    ...["\tat TheSketch$Boat.move(boat.sketch:3)", "\tat TheSketch.draw(tide.sketch:2)"],
    "\tat java.base/java.util.ArrayList.get(ArrayList.java:427)",
  ]);
});

test("every line of every file is found again, whatever line ends they have", () => {
  const lineEnd = fc.constantFrom("\n", "\r\n", "\r");
  const text = fc.array(fc.tuple(fc.constantFrom("", "int x;", "// é"), lineEnd), { maxLength: 5 });
  fc.assert(
    fc.property(fc.array(text, { minLength: 1, maxLength: 4 }), (parts) => {
      const files = parts.map((lines, at) => ({ name: `t${at}.sketch`, text: lines.flat().join("") }));
      const { text: whole, placeOf } = joinTabs(files);
      const split = (of: string) => of.split(/\r\n|\n|\r/);
      for (const [index, line] of split(whole).entries()) {
        const place = placeOf(index + 1);
        expect(split(files[place.file]?.text ?? "")[place.line - 1]).toBe(line);
      }
    }),
  );
});
