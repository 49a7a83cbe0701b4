import { expect, test } from "vitest";
import { findLanguage } from "../languages/languages.ts";
import { tokensByLine } from "../languages/lexical.ts";
import type { Outcome } from "../outcome/outcome.ts";
import type { Step, Trace } from "../trace/trace.ts";
import { sliceBack } from "./slice.ts";

const outcome: Outcome = {
  ...{ started: true, finished: true, stoppedBy: "none", exit: { code: 0, signal: 0 }, diagnostics: [] },
  ...{ console: [], effects: [], inputRanOut: false, milliseconds: 1, translator: "" },
};
const value = (text: string, id?: number) => ({ type: "int", text, ...(id === undefined ? {} : { id }) });

/** A step of the recording: its line, the names that it gives a value, and what else is said of it. */
function step(line: number, names: readonly string[] = [], more: Partial<Step> = {}): Omit<Step, "index"> {
  const { frame = 0, depth = 0 } = more;
  const writes = names.map((name) => ({
    ...{ scope: "frame" as const, owner: frame, path: [name], value: value("1") },
  }));
  return { line, file: 0, frame, depth, writes, ...more };
}

/** The lines that the last step's values come from in a Python program, the nearest first, each with its way. */
function sources(program: string, steps: ReadonlyArray<Omit<Step, "index">>): string[] {
  const language = findLanguage("python");
  if (!language) throw new Error("python");
  const trace: Trace = { outcome, files: ["a.py"], steps: steps.map((each, index) => ({ ...each, index })) };
  const lines = tokensByLine(language.tokens(program));
  return sliceBack(trace, steps.length - 1, language, lines, (header) => language.blockLines(program, header))
    .sort((one, other) => one.distance - other.distance || one.line - other.line)
    .map(({ line, by, distance }) => `${line} ${by} ${distance}`);
}

test("values lead back to where their names were last given one, and on from there", () => {
  const program = "deck = 4\nhold = 7\nload = deck + 1\nprint(load)\n";
  const steps = [step(1, ["deck"]), step(2, ["hold"]), step(3, ["load"]), step(4)];
  // What goes into nothing that was printed is no source.
  expect(sources(program, steps)).toEqual(["3 value 1", "1 value 2"]);
});

test("of several places that gave a name its value the last one before counts", () => {
  const program = "load = 1\nload = 2\nprint(load)\nload = 3\n";
  expect(sources(program, [step(1, ["load"]), step(2, ["load"]), step(3)])).toEqual(["2 value 1"]);
});

test("a decision that let a line run is a source of what the line did, and so is what it asked for", () => {
  const program = "age = 9\nfare = 12\nif age < 15:\n    fare = 6\nprint(fare)\n";
  const steps = [step(1, ["age"]), step(2, ["fare"]), step(3), step(4, ["fare"]), step(5)];
  expect(sources(program, steps)).toEqual(["4 value 1", "3 decision 2", "1 value 3"]);
});

test("a function's result comes from what it gives back, and its parameters from the line that called it", () => {
  const program = "def half(load):\n    return load / 2\n\n\ndeck = 8\nprint(half(deck))\n";
  const inside = { frame: 1, depth: 1 };
  const steps = [
    ...[step(1), step(5, ["deck"]), step(6, [], { calls: true })],
    ...[step(1, ["load"], { ...inside, call: "half" }), step(2, [], { ...inside, returned: value("4") })],
    step(6, [], { resumes: true }),
  ];
  const found = sources(program, steps);
  expect(found).toContain("2 returned 1");
  expect(found).toContain("5 value 1");
  // Back over the call: the parameter is what the calling line handed over.
  expect(found.some((each) => each.startsWith("1 value 2"))).toBe(true);
});

test("a name of another call by the same letters is another one", () => {
  const program = "def other():\n    load = 3\n\n\nload = 8\nother()\nprint(load)\n";
  const inside = { frame: 1, depth: 1 };
  const steps = [
    ...[step(1), step(5, ["load"]), step(6, [], { calls: true })],
    ...[step(1, [], { ...inside, call: "other" }), step(2, ["load"], { ...inside, returned: value("None") })],
    ...[step(6, [], { resumes: true }), step(7)],
  ];
  expect(sources(program, steps)).toEqual(["5 value 1"]);
});

test("what changed in an object is a source of whatever the name of the object gives", () => {
  const program = "loads = [4]\nloads.append(7)\nprint(loads)\n";
  const list = { scope: "frame" as const, owner: 0, path: ["loads"], value: value("[4]", 5) };
  const put = { scope: "object" as const, owner: 5, path: ["1"], value: value("7") };
  const steps = [step(1, [], { writes: [list] }), step(2, [], { writes: [put] }), step(3)];
  expect(sources(program, steps)).toEqual(["1 value 1", "2 value 1"]);
});

test("a long way back comes to an end, whatever it goes through", () => {
  const count = 2000;
  const program = `n = 0\n${"n = n + 1\n".repeat(count)}print(n)\n`;
  const steps = Array.from({ length: count + 1 }, (_, at) => step(at + 1, ["n"]));
  const found = sources(program, [...steps, step(count + 2)]);
  expect(found[0]).toBe(`${count + 1} value 1`);
  expect(found.length).toBeLessThan(20);
});

test("earlier passes of a line that gathers are no farther away than the last one", () => {
  const program =
    "total = 0\nextra = 5\nfor n in loads:\n    if n > 3:\n        total = total + n\n    else:\n        total = total + extra\nprint(total)\n";
  const pass = (line: number) => [step(3, ["n"]), step(4), step(line, ["total"])];
  const steps = [
    step(1, ["total"]),
    step(2, ["extra"]),
    ...pass(7),
    ...pass(5),
    ...pass(5),
    ...pass(5),
    step(3),
    step(8),
  ];
  const found = sources(program, steps);
  expect(found).toContain("5 value 1");
  expect(found).toContain("7 value 2");
  expect(found).toContain("2 value 3");
});
