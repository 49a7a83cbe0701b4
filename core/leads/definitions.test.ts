import { expect, test } from "vitest";
import { csharp } from "../languages/csharp/csharp.ts";
import type { Outcome } from "../outcome/outcome.ts";
import type { Step, Trace, Value } from "../trace/trace.ts";
import { judge } from "../verdict/judge.ts";

const program = (size: string) =>
  `using System;\nclass Program {\n    static void Main() {\n        string[] parts = Console.ReadLine().Split(',');\n        int[] loads = new int[${size}];\n        for (int i = 0; i < parts.Length; i++) {\n            loads[i] = int.Parse(parts[i]);\n        }\n    }\n}\n`;

const message = "Index was outside the bounds of the array.";
const error = { severity: "error", stage: "run", primary: true, line: 7, message } as const;
const outcome: Outcome = {
  ...{ started: true, finished: false, stoppedBy: "fault", exit: { code: 1, signal: 0 } },
  diagnostics: [{ ...error, errorName: "System.IndexOutOfRangeException" }],
  ...{ console: [], effects: [], inputRanOut: false, milliseconds: 1, translator: "" },
};

/** The first lead of a run that stops at its seventh line, where the array has so many elements. */
function firstLead(elements: number, size: string) {
  const zeros = Array.from({ length: elements }, () => ({ value: { type: "int", text: "0" } }));
  const array: Value = { type: "int[]", shape: "list", id: 2, items: zeros };
  const step = (line: number, name: string, value: Value): Omit<Step, "index"> => ({
    ...{ line, file: 0, frame: 1, depth: 0 },
    writes: [{ scope: "frame", owner: 1, path: [name], value }],
  });
  const steps = [
    step(4, "parts", { type: "string[]", shape: "list", id: 1, items: [] }),
    step(5, "loads", array),
    step(6, "i", { type: "int", text: String(elements) }),
    { ...step(7, "i", { type: "int", text: String(elements) }), writes: [] },
  ].map((each, index) => ({ ...each, index }));
  const trace: Trace = { outcome, files: ["Program.cs"], steps };
  const text = program(size);
  const judged = judge({
    ...{ language: csharp, mainName: "Program.cs", files: { "Program.cs": text } },
    ...{ outcome, trace },
  });
  return judged.leads[0];
}

test("an array that was made without room for any element is the first place to look at", () => {
  expect(firstLead(0, "0")).toMatchObject({ line: 5 });
  expect(firstLead(0, "0")?.why).toContain("room for no element");
});

test("an array that has elements is asked behind its end, which its loop does", () => {
  expect(firstLead(3, "parts.Length - 1")?.line).not.toBe(5);
});

/** The leads of a run that stops at its sixth line for a reference that is empty, where these names hold these texts. */
function leadsOfEmpty(held: Readonly<Record<string, string>>): number[] {
  const text =
    "class Program {\n    static void Main() {\n        string[] parts = R();\n        Boat boat = F();\n        int n = 2;\n        boat.Name = parts[n];\n    }\n}\n";
  const told = { ...error, line: 6, message: "Object reference not set to an instance of an object." };
  const stopped: Outcome = { ...outcome, diagnostics: [{ ...told, errorName: "System.NullReferenceException" }] };
  const lines: Readonly<Record<string, number>> = { parts: 3, boat: 4, n: 5 };
  const steps = Object.entries(held).map(
    ([name, value]): Omit<Step, "index"> => ({
      ...{ line: lines[name] ?? 0, file: 0, frame: 1, depth: 0 },
      writes: [{ scope: "frame", owner: 1, path: [name], value: { type: "", text: value } }],
    }),
  );
  const last = { line: 6, file: 0, frame: 1, depth: 0, writes: [] };
  const trace: Trace = {
    ...{ outcome: stopped, files: ["Program.cs"] },
    steps: [...steps, last].map((each, index) => ({ ...each, index })),
  };
  const judged = judge({
    ...{ language: csharp, mainName: "Program.cs", files: { "Program.cs": text }, outcome: stopped, trace },
  });
  return judged.leads.map(({ line }) => line);
}

test("of the names of a line the one that holds nothing leads to where it got it", () => {
  expect(leadsOfEmpty({ parts: "Tern", boat: "null", n: "2" })[0]).toBe(4);
  expect(leadsOfEmpty({ parts: "null", boat: "Boat", n: "2" })[0]).toBe(3);
});

test("two names of a line that hold nothing are both asked where they got it", () => {
  const lines = leadsOfEmpty({ parts: "null", boat: "null", n: "2" });
  expect(lines.slice(0, 2).sort()).toEqual([3, 4]);
});

/** A step of a run: a line, in the program's own part or in what it calls, with what a name gets there. */
type Told = { line: number; name?: string; value?: string; called?: string };

/** The lines that a stop of a C# program leads to, by what was recorded before it. */
function leadsOfStop(
  text: string,
  told: {
    line: number;
    errorName: string;
    message: string;
    frames?: Array<{ file: string; name: string; line: number; own: boolean }>;
  },
  before: readonly Told[],
): number[] {
  const stopped: Outcome = { ...outcome, diagnostics: [{ ...error, ...told }] };
  let depth = 0;
  const steps = [...before, { line: told.line }].map(({ line, name, value = "", called }: Told, index): Step => {
    if (called) depth = 1;
    return {
      ...{ index, line, file: 0, frame: depth + 1, depth, ...(called ? { call: called } : {}) },
      writes: name ? [{ scope: "frame", owner: depth + 1, path: [name], value: { type: "", text: value } }] : [],
    };
  });
  const trace: Trace = { outcome: stopped, files: ["Program.cs"], steps };
  const judged = judge({
    ...{ language: csharp, mainName: "Program.cs", files: { "Program.cs": text } },
    ...{ outcome: stopped, trace },
  });
  return judged.leads.map(({ line }) => line);
}

test("a place that begins before the first element is where a stop for an index comes from", () => {
  const text = (best: string) =>
    `class Program {\n    static void Main() {\n        int best = ${best};\n        int d = 1;\n        if (winds[d] < winds[best])\n            best = d;\n    }\n}\n`;
  const told = { line: 5, errorName: "System.IndexOutOfRangeException", message };
  const held = (best: string) => [
    { line: 3, name: "best", value: best },
    { line: 4, name: "d", value: "1" },
  ];
  expect(leadsOfStop(text("-1"), told, held("-1"))[0]).toBe(3);
  expect(leadsOfStop(text("9"), told, held("9")).indexOf(3)).toBeGreaterThan(-1);
});

test("who hands on what was typed in made no slip in it; who hands over a text of its own did", () => {
  const text = (given: string) =>
    `class Program {\n    static int Knots(string text) {\n        return int.Parse(text);\n    }\n    static void Main() {\n        string typed = R();\n        int wind = Knots(${given});\n    }\n}\n`;
  const frames = [
    { file: "Program.cs", name: "Knots", line: 3, own: true },
    { file: "Program.cs", name: "Main", line: 7, own: true },
  ];
  const told = (value: string) => ({
    ...{ line: 3, errorName: "System.FormatException", frames },
    message: `Input string '${value}' was not in a correct format.`,
  });
  const held = (value: string) => [
    { line: 6, name: "typed", value },
    { line: 7 },
    { line: 2, name: "text", value, called: "Knots" },
  ];
  expect(leadsOfStop(text("typed"), told("x"), held("x"))[0]).toBe(3);
  expect(leadsOfStop(text('"x"'), told("x"), held("x")).slice(0, 2)).toContain(7);
});
