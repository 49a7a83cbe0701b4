import { afterAll, beforeAll, expect, test } from "vitest";
import { sharedToolchains } from "../testToolchains.ts";
import type { Toolchains } from "../toolchains/toolchains.ts";
import { differing, type SaidBefore } from "./saidBefore.ts";

let toolchains: Toolchains;
beforeAll(() => {
  toolchains = sharedToolchains();
});
afterAll(() => toolchains.close());

const setup = "void setup() {\n  size(90, 60);\n}\n";
const draw = (...lines: string[]) => `${setup}void draw() {\n${lines.map((line) => `  ${line}\n`).join("")}}\n`;
const three = "for (int i = 0; i < 3; i++) rect(i * 20, 5, 10, 10);";

/** Faulty sketches with what they are, said before they were run. All are to draw three boxes at last. */
const faulty: readonly SaidBefore[] = [
  { what: "a semicolon left out", class: "syntax", line: 5, program: draw("background(255)", three) },
  {
    what: "a brace left out",
    class: "syntax",
    line: 5,
    program: `void draw() {\n  background(255);\n  if (width > 3) {\n    ${three}\n}\n`,
  },
  { what: "a brace too many", class: "syntax", line: 8, program: `${draw("background(255);", three)}}\n` },
  { what: "a bracket left out", class: "syntax", line: 5, program: draw("background(255;", three) },
  { what: "a quote that is not closed", class: "syntax", line: 6, program: draw(three, 'println("three);') },
  { what: "a function that nothing defines", class: "syntax", line: 5, program: draw("backgruond(255);", three) },
  {
    what: "a name in other letters",
    class: "syntax",
    line: 6,
    program: `int boxes = 3;\n${draw("for (int i = 0; i < Boxes; i++)", "  rect(i * 20, 5, 10, 10);")}`,
  },
  { what: "a decimal for a whole number", class: "syntax", line: 5, program: draw("int gap = 20.5;", three) },
  { what: "a value too few", class: "syntax", line: 5, program: draw("rect(5, 5, 10);") },
  { what: "a local that has no value", class: "syntax", line: 6, program: draw("int gap;", "rect(gap, 5, 10, 10);") },
  {
    what: "a statement outside of everything beside functions",
    class: "syntax",
    line: 4,
    program: `${setup}background(255);\nvoid draw() {\n  ${three}\n}\n`,
  },
  {
    what: "a place past the end",
    class: "runtime",
    line: 7,
    program: `int[] xs = { 5, 25, 45 };\n${draw("for (int i = 0; i <= 3; i++) {", "  rect(xs[i], 5, 10, 10);", "}")}`,
  },
  {
    what: "an object that was never made",
    class: "runtime",
    line: 6,
    program: `Boat tern;\n${draw("rect(tern.x, 5, 10, 10);", three)}class Boat {\n  int x;\n}\n`,
  },
  {
    what: "a division by nothing in the third frame",
    class: "runtime",
    line: 5,
    program: draw("int part = 9 / (frameCount - 3);", three),
  },
  {
    what: "a function that calls itself for ever",
    class: "runtime",
    line: 2,
    program: `void box(int i) {\n  box(i + 1);\n}\n${draw("box(0);", three)}`,
  },
  {
    what: "a flag that is never set",
    class: "logic",
    line: null,
    program: `boolean open;\n${draw("background(255);", "if (open) {", `  ${three}`, "}")}`,
  },
  {
    what: "a start value that keeps the loop from beginning",
    class: "logic",
    line: null,
    program: draw("background(255);", "for (int i = 9; i < 3; i++) rect(i * 20, 5, 10, 10);"),
  },
  {
    what: "one too few",
    class: "logic",
    line: null,
    program: draw("background(255);", "for (int i = 1; i < 3; i++) rect(i * 20, 5, 10, 10);"),
  },
  { what: "a background behind the boxes", class: "logic", line: null, program: draw(three, "background(255);") },
  {
    what: "a loop that never ends",
    class: "logic",
    line: null,
    program: draw("int i = 0;", "while (i < 3) {", "  rect(i * 20, 5, 10, 10);", "}"),
  },
];

test("faulty sketches, each of the class and the line that was said of it before", async () => {
  expect(await differing(toolchains, "sketch", "picture rects = 3\n", faulty)).toEqual([]);
  expect(faulty).toHaveLength(20);
});
