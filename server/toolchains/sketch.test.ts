import { afterAll, expect, test } from "vitest";
import { pictureAt } from "../../core/outcome/drawing.ts";
import { consoleText, limitsSchema, type Outcome } from "../../core/outcome/outcome.ts";
import { judgeProgram, languageOf } from "../judge/judge.ts";
import { sharedToolchains } from "../testToolchains.ts";
import { takeDrawing } from "./drawings.ts";

const toolchains = sharedToolchains();
const language = languageOf({ language: "sketch" });
afterAll(() => toolchains.close());

const limits = limitsSchema.parse({ wallSeconds: 60 });
function request(program: string, input = "", others: Readonly<Record<string, string>> = {}) {
  const files = Object.entries({ "tide.sketch": program, ...others });
  return { files: files.map(([name, text]) => ({ name, bytes: Buffer.from(text) })), input, limits };
}
function toolchain() {
  const found = toolchains.find("sketch");
  if (!found) throw new Error("no toolchain");
  return found;
}
const run = (program: string, input?: string, others?: Readonly<Record<string, string>>) =>
  toolchain().run(request(program, input, others));
const primary = (outcome: Outcome) => outcome.diagnostics.find((each) => each.primary);
const printed = (outcome: Outcome) => consoleText(outcome.console, ["out"]).replace(/^picture .*\n/gm, "");

test("frames are told, each as it came out, and the last one's facts are part of the result", async () => {
  const outcome = await run(
    "int x = 5;\nvoid setup() {\n  size(80, 40);\n}\nvoid draw() {\n  background(0);\n  x += 2;\n  rect(x, 10, 4, 4);\n}\n",
    "frame 3\n",
  );
  expect(outcome).toMatchObject({ finished: true, stoppedBy: "none", effects: [], inputRanOut: false });
  const at = (frame: number) =>
    outcome.drawing && pictureAt(outcome.drawing, frame).shapes.map(({ values }) => values[0]);
  expect([at(1), at(2), at(3)]).toEqual([[7], [9], [11]]);
  expect(consoleText(outcome.console, ["out"])).toContain("picture rects = 1\n");
});

test("what the user does comes at its frame, in the order of the console", async () => {
  const program = `void draw() {
  if (mousePressed) println("held in " + frameCount);
}
void mousePressed() {
  println((mouseButton == RIGHT ? "right" : "other") + " at " + mouseX);
}
void mouseDragged() {
  println("dragged from " + pmouseX);
}
void keyTyped() {
  println("typed " + key);
}
`;
  const input = "frame 2\nclick 30 5 right\nframe 4\npress\nframe 5\nmouse 9 9\nrelease\nkey b\nframe 6\n";
  const outcome = await run(program, input);
  expect(printed(outcome)).toBe("right at 30\nheld in 2\nother at 30\nheld in 4\ndragged from 30\ntyped b\n");
  expect(outcome.console.map(({ kind, text }) => `${kind} ${text}`).slice(0, 3)).toEqual([
    ...["in frame 2\nclick 30 5 right\n", "out right at 30\n", "in frame 4\n"],
  ]);
});

test("a line that no user can do is said, and the others are done", async () => {
  const outcome = await run(
    "void draw() {\n}\nvoid mousePressed() {\n  println(mouseX);\n}\n",
    "prss 4 5\nclick 7 8\nframe 1\n",
  );
  expect(printed(outcome)).toBe("7\n");
  expect(consoleText(outcome.console, ["err"])).toContain('Not understood of what the user does: "prss 4 5"');
});

test("without looping there is one frame; a press asks for the next", async () => {
  const program = `void setup() {
  noLoop();
}
void draw() {
  println("frame " + frameCount);
}
void mousePressed() {
  redraw();
}
`;
  expect(printed(await run(program))).toBe("frame 1\n");
  expect(printed(await run(program, "frame 5\nclick 1 1\nframe 9\n"))).toBe("frame 1\nframe 5\n");
});

test("messages name the student's own text: line, column and words, whatever was put into the line", async () => {
  const wide = await run('float a = 0.5; float b = 1.25; int c = "x";\nvoid setup() {\n}\n');
  expect(primary(wide)).toMatchObject({ line: 1, column: 40, stage: "translation" });
  expect(consoleText(wide.console, ["err"])).toContain('float a = 0.5; float b = 1.25; int c = "x";\n');
  const first = await run("size(200, 100)\nrect(1, 2, 3, 4);\n");
  expect(primary(first)).toMatchObject({ line: 1, column: 15, message: "';' expected" });
  const open = await run("void setup() {\n  size(200, 100);\n  if (width > 5) {\n    rect(1, 2, 3, 4);\n}\n");
  expect(primary(open)).toMatchObject({ line: 5, message: "reached end of file while parsing" });
  const lossy = await run("void setup() {\n  int x = 2.5;\n}\n");
  expect(primary(lossy)).toMatchObject({ line: 2, column: 11 });
  expect(primary(lossy)?.message).toContain("possible lossy conversion from float to int");
});

test("a stop while a frame is drawn names the line and the calls, and the frames before are there", async () => {
  const outcome = await run(
    "int[] xs = { 3, 4 };\nvoid draw() {\n  mast(frameCount);\n}\nvoid mast(int at) {\n  line(xs[at], 0, xs[at], 9);\n}\n",
  );
  expect(outcome).toMatchObject({ stoppedBy: "fault", drawing: { last: 1 } });
  expect(primary(outcome)).toMatchObject({ line: 6, errorName: "ArrayIndexOutOfBoundsException" });
  expect(primary(outcome)?.frames?.map(({ line, own }) => [line, own])).toEqual([
    [3, true],
    [6, true],
  ]);
});

test("what is drawn with is as the trade has it: boxes by their middle, corners, what is turned and taken back", async () => {
  const outcome = await run(`size(100, 100);
rectMode(CENTER);
rect(50, 50, 20, 10);
ellipseMode(CORNER);
ellipse(10, 10, 20, 30);
pushMatrix();
translate(5, 6);
line(0, 0, 1, 1);
popMatrix();
line(0, 0, 1, 1);
beginShape();
vertex(1, 2);
vertex(3, 4);
vertex(5, 6);
endShape(CLOSE);
colorMode(HSB, 360, 100, 100);
fill(0, 100, 100);
circle(5, 5, 2);
text(1 / 3.0, 3, 4);
`);
  const facts = consoleText(outcome.console, ["out"]);
  for (const fact of [
    "picture rect 1 = 40 45 20 10 #ffffff line #000000",
    "picture ellipse 1 = 20 25 20 30 #ffffff line #000000",
    "picture line 1 = 5 6 6 7 line #000000",
    "picture line 2 = 0 0 1 1 line #000000",
    "picture polygon 1 = 1 2 3 4 5 6 #ffffff line #000000",
    "picture ellipse 2 = 6 6 2 2 #ff0000 line #000000",
    'picture text 1 = "0.333" 3 4 #ff0000',
  ])
    expect(facts).toContain(`${fact}\n`);
});

test("two runs of a sketch without chance are alike, its clock among them", async () => {
  const program = "void draw() {\n  println(millis());\n  if (frameCount == 3) exit();\n}\n";
  expect(printed(await run(program))).toBe("16\n33\n50\n");
});

test("a file beside a sketch can be read; one that is missing is said", async () => {
  const program = 'String[] lines = loadStrings("fares.txt");\nprintln(lines.length + " " + lines[0]);\n';
  expect(printed(await run(program, "", { "fares.txt": "car 12\nbus 40\n" }))).toBe("2 car 12\n");
  const missing = await run(program);
  expect(primary(missing)).toMatchObject({ line: 2, errorName: "NullPointerException" });
  expect(consoleText(missing.console, ["err"])).toContain('The file "fares.txt" is missing');
});

test("a sketch in several files is one: they know each other, and every place is told in its own file", async () => {
  const main = "Boat tern = new Boat();\nvoid draw() {\n  tern.move(frameCount);\n  exit();\n}\n";
  const boat = "class Boat {\n  int x = 5;\n  void move(int by) {\n    x = x / (by - 1);\n  }\n}\n";
  const stopped = await run(main, "", { "boat.sketch": boat });
  expect(primary(stopped)).toMatchObject({ file: "boat.sketch", line: 4, errorName: "ArithmeticException" });
  expect(primary(stopped)?.frames?.map(({ file, line, own }) => [file, line, own])).toEqual([
    ["tide.sketch", 3, true],
    ["boat.sketch", 4, true],
  ]);
  const refused = await run(main, "", { "boat.sketch": boat.replace("int by)", "int by") });
  expect(primary(refused)).toMatchObject({ file: "boat.sketch", line: 3, stage: "translation" });
  const trace = await toolchain().trace(request(main, "", { "boat.sketch": boat.replace("- 1", "+ 1") }));
  expect(trace.steps.map(({ file, line }) => `${file}:${line}`)).toContain("1:4");
  expect(trace.files).toEqual(["tide.sketch", "boat.sketch"]);
  // A list of statements beside a file with a class.
  const plain = await run("Boat tern = new Boat();\nprintln(tern.x); // five", "", { "boat.sketch": boat });
  expect(printed(plain)).toBe("5\n");
});

test("many sketches in one machine give what each gives alone, frames and all", async () => {
  const texts = [2, 3, 5].map(
    (step) => `int x = 0;\nvoid draw() {\n  background(255);\n  x += ${step};\n  circle(x, 5, 3);\n}\n`,
  );
  const wrong = "void draw() {\n  circle(1, 2);\n}\n";
  const variants = [...texts, wrong].map((text) => ({ main: Buffer.from(text), input: "frame 4\n" }));
  const together = await toolchain().runMany?.(request(texts[0] ?? ""), variants, 60);
  const alone = await Promise.all([...texts, wrong].map((text) => run(text, "frame 4\n")));
  const told = (outcome: Outcome | null | undefined) => [outcome?.stoppedBy, outcome?.console, outcome?.drawing];
  expect(together?.map(told)).toEqual(alone.map(told));
});

test("of many more only the last picture is told, which is all that a result asks for", async () => {
  const text = "int x = 0;\nvoid draw() {\n  background(255);\n  x += 2;\n  circle(x, 5, 3);\n}\n";
  const variants = Array.from({ length: 30 }, () => ({ main: Buffer.from(text), input: "frame 4\n" }));
  const [first] = (await toolchain().runMany?.(request(text), variants, 60)) ?? [];
  expect(first?.drawing).toMatchObject({ last: 4, frames: [{ frame: 4, whole: true }] });
  expect(first?.console).toEqual((await run(text, "frame 4\n")).console);
});

test("judged: a flag that is never set is a logic error whose first lead is its declaration", async () => {
  const program =
    "boolean up;\nvoid setup() {\n  size(80, 40);\n}\nvoid draw() {\n  if (up) {\n    rect(1, 1, 9, 9);\n  }\n}\n";
  const { judgement } = await judgeProgram(toolchains, {
    ...{ ...request(program, "frame 3\n"), language, expected: "picture drawn = yes\n", closely: true },
    policies: { endlessClass: "logic" },
  });
  expect([judgement.class, judgement.symptom]).toEqual(["logic", "nothing is drawn"]);
  expect(judgement.leads[0]).toMatchObject({ line: 1 });
});

test("what was told of frames is taken out of what was printed, however it was cut into pieces", () => {
  const frame = '{"frame":1,"width":9,"height":9,"background":"#ffffff","pens":[],"shapes":[]}';
  const record = `\u001e${frame}\n\u001e{"end":2}\n`;
  for (let cut = 0; cut <= record.length; cut++) {
    const { console, drawing } = takeDrawing([
      { kind: "err", text: `first\n${record.slice(0, cut)}` },
      { kind: "out", text: "tide\n" },
      { kind: "err", text: `${record.slice(cut)}last\n` },
    ]);
    expect(drawing).toMatchObject({ last: 2, frames: [{ frame: 1 }] });
    expect(consoleText(console, ["err"])).toBe("first\nlast\n");
    expect(consoleText(console, ["out"])).toMatch(/^tide\npicture drawn = no\n/);
  }
});
