import { expect, test } from "vitest";
import { sketch } from "../languages/sketch/sketch.ts";
import type { Drawing } from "../outcome/drawing.ts";
import type { Outcome } from "../outcome/outcome.ts";
import { pieceOfPicture } from "../outcome/pictureFacts.ts";
import type { Step, Trace } from "../trace/trace.ts";
import { judge } from "../verdict/judge.ts";

const empty: Drawing = { pens: [], last: 2, frames: [{ frame: 0, width: 100, height: 80, shapes: [] }] };

function judged(program: string, ran: readonly number[], drawing: Drawing = empty) {
  const outcome: Outcome = {
    ...{ started: true, finished: true, stoppedBy: "none", exit: { code: 0, signal: 0 }, diagnostics: [] },
    ...{
      console: [pieceOfPicture(drawing)],
      effects: [],
      drawing,
      inputRanOut: false,
      milliseconds: 1,
      translator: "Java",
    },
  };
  const steps = ran.map((line, index): Step => ({ index, file: 0, line, frame: 1, depth: 0, writes: [], ended: [] }));
  const trace: Trace = { outcome, files: ["a.sketch"], steps };
  const files = { "a.sketch": program };
  return judge({ language: sketch, mainName: "a.sketch", files, expected: "picture drawn = yes\n", outcome, trace });
}

const gauge = `boolean rising;
void setup() {
  size(100, 80);
}
void draw() {
  background(255);
  if (rising) {
    rect(0, 40, 100, 40);
  }
}
`;

test("a flag that is never set: its declaration comes first, then the condition that it keeps false", () => {
  const { class: found, symptom, leads } = judged(gauge, [2, 3, 5, 6, 7]);
  expect([found, symptom]).toEqual(["logic", "nothing is drawn"]);
  expect(leads.slice(0, 2).map(({ line }) => line)).toEqual([1, 7]);
  expect(leads[0]?.why).toContain("“rising” keeps the value that it begins with");
});

test("a line that would set the flag and never runs is named, too", () => {
  const program = `${gauge}void mousePressed() {\n  rising = true;\n}\n`;
  const { leads } = judged(program, [2, 3, 5, 6, 7]);
  expect(leads.map(({ line }) => line)).toEqual(expect.arrayContaining([1, 7, 12]));
});

test("a start value that keeps a loop from running", () => {
  const program = "int pile = 10;\nsize(100, 80);\nwhile (pile < 8) {\n  line(pile, 0, pile, 80);\n  pile++;\n}\n";
  const { leads } = judged(program, [1, 2, 3]);
  expect(leads[0]).toMatchObject({ line: 1, why: expect.stringContaining("“pile”") });
  expect(leads.map(({ line }) => line)).toContain(3);
});

test("a function whose name is almost one that is called by itself", () => {
  const program = "void setup() {\n  size(100, 80);\n}\nvoid drew() {\n  rect(1, 1, 5, 5);\n}\n";
  const { leads } = judged(program, [1, 2]);
  expect(leads[0]).toMatchObject({ line: 4, why: expect.stringContaining("“draw” looks like it") });
});

test("a background behind the drawing covers it", () => {
  const program = "void draw() {\n  rect(1, 1, 5, 5);\n  background(255);\n}\n";
  const { leads } = judged(program, [1, 2, 3], {
    ...empty,
    frames: [...empty.frames, { frame: 1, width: 100, height: 80, background: "#ffffff", shapes: [] }],
  });
  expect(leads[0]).toMatchObject({ line: 3, why: expect.stringContaining("covered here") });
});

test("what is drawn outside of the area, or in the colour of the background, says so where it is drawn", () => {
  const program = "void draw() {\n  background(255);\n  rect(200, 1, 5, 5);\n}\n";
  const withShape = (pen: Drawing["pens"][number], x: number): Drawing => ({
    ...{ pens: [pen], last: 1 },
    frames: [{ frame: 1, width: 100, height: 80, background: "#ffffff", shapes: [["rect", 0, x, 1, 5, 5]] }],
  });
  const outside = judged(program, [1, 2, 3], withShape(["#000000", null, 1, 12, "left", "baseline"], 200));
  expect(outside.leads).toContainEqual(expect.objectContaining({ line: 3, why: expect.stringContaining("outside") }));
  const white = judged(program, [1, 2, 3], withShape(["#ffffff", null, 1, 12, "left", "baseline"], 20));
  expect(white.leads).toContainEqual(
    expect.objectContaining({ line: 3, why: expect.stringContaining("colour of the back") }),
  );
});

test("nothing is said where something is seen", () => {
  const seen: Drawing = {
    ...{ pens: [["#000000", null, 1, 12, "left", "baseline"]], last: 1 },
    frames: [{ frame: 1, width: 100, height: 80, background: "#ffffff", shapes: [["rect", 0, 2, 1, 5, 5]] }],
  };
  const { leads, symptom } = judged(gauge, [2, 3, 5, 6, 7], seen);
  expect(symptom).toBe("no fault shown");
  expect(leads.filter(({ why }) => why.includes("drawing area"))).toEqual([]);
});
