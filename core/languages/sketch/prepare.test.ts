import fc from "fast-check";
import { expect, test } from "vitest";
import { isPlain, ownMessages, ownOffset, prepareSketch } from "./prepare.ts";

/** The text between what was put before and behind. */
function made(text: string): string {
  const { text: whole } = prepareSketch(text);
  return whole
    .replace(/^.*? extends bentnail\.sketch\.Drawing \{ (?:\/\*\*\/public void setup\(\) \{ )?/, "")
    .replace(/\n\}+$/, "");
}

test("functions can be called from outside, whatever stands before their names", () => {
  expect(made("void setup() {\n}\nint twice(int n) { return n * 2; }\n")).toBe(
    "public void setup() {\n}\npublic int twice(int n) { return n * 2; }\n",
  );
  expect(made("private void draw() {}\nfinal int[] loads() { return null; }")).toBe(
    "private void draw() {}\npublic final int[] loads() { return null; }",
  );
  expect(made("class Boat {\n  Boat(int x) {}\n  void move() {}\n}\nvoid draw() {}")).toBe(
    "class Boat {\n  Boat(int x) {}\n  public void move() {}\n}\npublic void draw() {}",
  );
});

test("decimal numbers are floats; those that say otherwise stay", () => {
  expect(made("float a = 0.5, b = .25, c = 1e3, d = 2., e = 7;\nvoid draw() {}")).toContain(
    "float a = 0.5f, b = .25f, c = 1e3f, d = 2.f, e = 7;",
  );
  expect(made("double a = 0.5d; float b = 1.5f; int c = 0x1E; long d = 5L;\nvoid draw() {}")).toContain(
    "double a = 0.5d; float b = 1.5f; int c = 0x1E; long d = 5L;",
  );
});

test("conversions are calls and casts stay; colours are whole numbers; neither in texts and remarks", () => {
  expect(made('int n = int(x) + (int) y; // int(z)\nString s = "int(q) #ff0000 0.5";\nvoid draw() {}')).toContain(
    'int n = parseInt(x) + (int) y; // int(z)\nString s = "int(q) #ff0000 0.5";',
  );
  expect(made("color sea = #1e90ff;\ncolor[] all = { color(1, 2, 3), #801e90ff };\nvoid draw() {}")).toContain(
    "int   sea = 0xff1e90ff;\nint  [] all = { color(1, 2, 3), 0x801e90ff };",
  );
});

test("what is imported stands before the class, in the first line, and its own line is blank", () => {
  const { text } = prepareSketch("import java.util.*;\nvoid draw() {}\n");
  expect(text.split("\n")[0]).toMatch(/import java\.util\.\*; public class \w+ extends .* \{ +$/);
});

test("a list of statements is the setup; one function outside of everything makes it none", () => {
  expect(isPlain("size(100, 80);\nrect(1, 2, 3, 4);\n")).toBe(true);
  expect(isPlain("class Boat { void move() {} }\nnew Boat().move();\n")).toBe(true);
  expect(isPlain("int x;\nvoid setup() { size(100, 80); }\n")).toBe(false);
  // A missing semicolon does not make a call a definition.
  expect(isPlain("int x = y\nrect(1, 2, 3, 4);\nif (x > 2) { line(1, 2, 3, 4); }\n")).toBe(true);
});

/** Pieces of sketches, right and wrong, in any order. */
const piece = fc.constantFrom(
  ...[
    "void setup() {",
    "}",
    "{",
    "(",
    ")",
    ";",
    "float x = 0.5;",
    "color c = #102030;",
    "int(3.5)",
    "rect(1, 2, 3, 4);",
  ],
  ...[
    "\n",
    "\r\n",
    "\r",
    "  ",
    "\t",
    "// rest\n",
    "/* two\nlines */",
    '"text #ffffff"',
    "'",
    '"',
    "class Boat {",
    "import a.b;",
  ],
  ...[
    "void draw() {\n",
    "int twice(int n) { return n; }\n",
    "≤",
    "é",
    "😀",
    "0.",
    ".5",
    "1e3",
    "new int[3]",
    "@Override ",
  ],
);
const sketches = fc.array(piece, { maxLength: 40 }).map((pieces) => pieces.join(""));

test("whatever is written, every line keeps its number and every own sign is found again at its place", () => {
  fc.assert(
    fc.property(sketches, (own) => {
      const prepared = prepareSketch(own);
      const lines = (text: string) => text.split(/\r\n|\n|\r/).length;
      expect(lines(prepared.text)).toBe(lines(own) + 1);
      const places = new Map<number, number>();
      for (let at = 0; at < prepared.text.length; at++) {
        const place = ownOffset(prepared, at);
        expect(place).toBeGreaterThanOrEqual(places.get(at - 1) ?? 0);
        places.set(at, place);
      }
      const reached = new Set(places.values());
      const taken = prepared.changes.flatMap(({ at, length }) => Array.from({ length }, (_, by) => at + by));
      for (let at = 0; at < own.length; at++) if (!taken.includes(at)) expect(reached.has(at)).toBe(true);
    }),
    { numRuns: 300 },
  );
});

test("a message about any place quotes the student's own line, with the arrow under the sign that it is about", () => {
  fc.assert(
    fc.property(sketches, fc.nat(), (own, pick) => {
      const prepared = prepareSketch(own);
      const ownSigns = own.split("").flatMap((sign, at) => (/[;{}(=]/.test(sign) ? [at] : []));
      const wanted = ownSigns[pick % Math.max(1, ownSigns.length)];
      if (wanted === undefined) return;
      const changed = prepared.changes.some(({ at, length }) => wanted >= at && wanted < at + length);
      if (changed) return;
      let offset = 0;
      for (; offset < prepared.text.length; offset++)
        if (ownOffset(prepared, offset) === wanted && prepared.text[offset] === own[wanted]) break;
      const before = prepared.text.slice(0, offset).split(/\r\n|\n|\r/);
      const line = before.length;
      const quoted = prepared.text.split(/\r\n|\n|\r/)[line - 1] ?? "";
      const said = `a.sketch:${line}: error: words\n${quoted}\n${" ".repeat(before.at(-1)?.length ?? 0)}^\n1 error\n`;
      const [head, shown = "", arrow = "", count] = ownMessages(said, "a.sketch", own, prepared).split("\n");
      expect([head, count]).toEqual([`a.sketch:${line}: error: words`, "1 error"]);
      expect(shown).toBe(own.split(/\r\n|\n|\r/)[line - 1]);
      expect(shown[arrow.length - 1]).toBe(own[wanted]);
    }),
    { numRuns: 300 },
  );
});

test("a message about the end is about the last line with anything on it", () => {
  const own = "void setup() {\n  size(10, 10);\n\n\n";
  const prepared = prepareSketch(own);
  const said = "a.sketch:6: error: reached end of file while parsing\n}\n ^\n1 error\n";
  expect(ownMessages(said, "a.sketch", own, prepared)).toBe(
    "a.sketch:2: error: reached end of file while parsing\n  size(10, 10);\n              ^\n1 error\n",
  );
});
