import fc from "fast-check";
import { expect, test } from "vitest";
import { python } from "../languages/python/python.ts";
import type { Step, Trace } from "../trace/trace.ts";
import { looksOf } from "./looks.ts";

const syntax = (reportedLine: number | null, faultyLines: number[], program: string) =>
  looksOf({ language: python, program, fault: { class: "syntax", reportedLine, faultyLines } });

test("what is refused is read upwards from the named line, blanks left out; far away it is gone to at once", () => {
  const program = "loads = [3,\n\n# more\nhigh = 4\nlow = 2\nprint(low)\nprint(high)\n";
  const lines = (looks: ReturnType<typeof looksOf>) => looks.map(({ line }) => line);
  expect(lines(syntax(4, [1], program))).toEqual([4, 1]);
  expect(lines(syntax(6, [4], program))).toEqual([6, 5, 4]);
  expect(lines(syntax(7, [1], program))).toEqual([7, 1]);
  expect(syntax(7, [1], program).at(-1)?.why).toBe("What it belongs to begins here. Here is the mistake.");
  expect(lines(syntax(5, [5], program))).toEqual([5]);
  expect(syntax(1, [3], program).at(-1)?.why).toContain("further down");
  expect(lines(syntax(null, [2], program))).toEqual([2]);
  expect(syntax(4, [], program)).toEqual([]);
});

const step = (line: number, name?: string, out?: string): Step =>
  ({
    ...{ line, file: 0, depth: 0, frame: 1, resumes: false, calls: false },
    writes:
      name === undefined ? [] : [{ scope: "frame", owner: 1, path: [name], before: null, value: { text: "1", id: 1 } }],
    ...(out === undefined ? {} : { out }),
  }) as unknown as Step;

const trace = (steps: Step[]) => ({ steps }) as unknown as Trace;

test("a stop is followed back along its values to where the wrong one was made", () => {
  const program = "cars = 0\nshare = cars\nload = 30\nprint(load / share)\n";
  const looks = looksOf({
    ...{ language: python, program, fault: { class: "runtime" as const, reportedLine: 4, faultyLines: [1] } },
    trace: trace([step(1, "cars"), step(2, "share"), step(3, "load"), step(4)]),
  });
  expect(looks).toEqual([
    { line: 4, why: "It stopped here: the message names this line." },
    { line: 2, why: "“share” got its value here." },
    { line: 1, why: "“cars” got its value here. Here is the mistake." },
  ]);
});

test("a wrong result begins at the line that printed it; what no value leads to is said to be found by reading", () => {
  const program = "load = 3\nload = load + 4\nprint(load)\n";
  const given = {
    ...{ language: python, program },
    outcome: { console: [{ kind: "out" as const, text: "7\n", line: 3 }], stoppedBy: "none" as const },
    differs: { line: 1, column: 1 },
    trace: trace([step(1, "load"), step(2, "load"), step(3, undefined, "7\n")]),
  };
  const lines = (faulty: number) =>
    looksOf({ ...given, fault: { class: "logic", reportedLine: null, faultyLines: [faulty] } });
  expect(lines(1).map(({ line }) => line)).toEqual([3, 2, 1]);
  expect(lines(3).map(({ line }) => line)).toEqual([3]);
  expect(lines(9).at(-1)?.why).toContain("found by reading");
  expect(looksOf({ ...given, differs: null, fault: { class: "logic", reportedLine: null, faultyLines: [2] } })).toEqual(
    [{ line: 2, why: "Here is the mistake." }],
  );
});

test("whatever the faulty line and the run: the way ends at a faulty line and looks at no line twice", () => {
  const names = ["deck", "load", "tide", "fare"];
  const statement = fc.record({ set: fc.constantFrom(...names), from: fc.constantFrom(...names) });
  fc.assert(
    fc.property(
      fc.array(statement, { minLength: 1, maxLength: 8 }),
      fc.array(fc.nat(9), { minLength: 1, maxLength: 30 }),
      fc.integer({ min: 1, max: 9 }),
      fc.constantFrom<"runtime" | "logic" | "syntax">("runtime", "logic", "syntax"),
      fc.option(fc.integer({ min: 1, max: 9 })),
      (statements, order, faulty, of, reportedLine) => {
        const program = statements.map(({ set, from }) => `${set} = ${from}\n`).join("");
        const steps = order.map((at) => {
          const line = (at % statements.length) + 1;
          return step(line, statements[line - 1]?.set, line === statements.length ? "1\n" : undefined);
        });
        const looks = looksOf({
          ...{ language: python, program, fault: { class: of, reportedLine, faultyLines: [faulty] } },
          outcome: { console: [{ kind: "out", text: "1\n", line: statements.length }], stoppedBy: "none" },
          differs: { line: 1, column: 1 },
          trace: trace(steps),
        });
        const lines = looks.map(({ line }) => line);
        expect(lines.at(-1)).toBe(faulty);
        expect(new Set(lines).size).toBe(lines.length);
        expect(looks.filter(({ why }) => why.includes("Here is the mistake."))).toHaveLength(1);
      },
    ),
  );
});
