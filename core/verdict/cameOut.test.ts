import fc from "fast-check";
import { expect, test } from "vitest";
import { findLanguage } from "../languages/languages.ts";
import type { Outcome } from "../outcome/outcome.ts";
import { isOutputOf, readCameOut } from "./cameOut.ts";
import { judge } from "./judge.ts";

const run = (text: string, rest: Partial<Outcome> = {}): Outcome => ({
  ...{ started: true, finished: true, stoppedBy: "none", exit: { code: 0, signal: 0 }, diagnostics: [], effects: [] },
  ...{ inputRanOut: false, milliseconds: 1, translator: "CPython", console: [{ kind: "out", text }] },
  ...rest,
});
const python = findLanguage("python");
if (!python) throw new Error("no Python");
const files = { mainName: "deck.py", files: { "deck.py": "print(4)\nprint(9)\n" } };

test("without a run, what came out decides against what should come out", () => {
  const judged = judge({ language: python, ...files, expected: "13\n", cameOut: { text: "4\n9\n" } });
  expect([judged.class, judged.symptom]).toEqual(["logic", "wrong result"]);
  expect(judged.gates[2]?.evidence).toEqual([
    {
      ...{ gate: 3, source: "pasted output", speaks: "fails" },
      text: "Line 1 of what came out, by the word of who handed it in, is “4”; intended is “13”.",
    },
  ]);
  expect(judge({ language: python, ...files, expected: "4\n9", cameOut: { text: "4\n9\n" } })).toMatchObject({
    ...{ class: null, symptom: "no fault shown" },
  });
  expect(judge({ language: python, ...files, cameOut: { text: "4\n" } }).class).toBeNull();
});

test("beside a run it says whether the same came out, and the run decides", () => {
  const known = { language: python, ...files, expected: "13\n", outcome: run("4\n9\n") };
  const same = judge({ ...known, cameOut: { text: "4\n9" } });
  expect(same.class).toBe("logic");
  expect(same.reasons.join(" ")).toContain("comes out here, too");
  const other = judge({ ...known, cameOut: { text: "4\n8\n" } });
  expect(other.reasons.join(" ")).toContain("line 2 was “8”, here it is “9”");
  expect(other.class).toBe("logic");
  const left = judge({ ...known, cameOut: { text: "4\n8\n", leftovers: ["deck.txt"] } });
  expect(left.reasons.join(" ")).toContain("only when there is left what an earlier run made (deck.txt)");
  expect(judge({ ...known, expected: "4\n9\n", cameOut: { text: "5" } }).class).toBeNull();
});

test("a message in place of an output is read as a message", () => {
  const text =
    "4\nTraceback (most recent call last):\n  File \"deck.py\", line 2, in <module>\n    print(lod)\nNameError: name 'lod' is not defined\n";
  expect(judge({ language: python, ...files, expected: "4\n9\n", cameOut: { text } })).toMatchObject({
    ...{ class: "runtime", reportedLine: 2 },
  });
});

test("of a run that was cut off, what came out may be the beginning; typed text and messages may stand in it", () => {
  const endless = run("boat\nboat\nboat\n", { finished: false, stoppedBy: "output" });
  expect(isOutputOf("boat\nboat\n", endless)).toBe(true);
  expect(isOutputOf("boat\nbo", endless)).toBe(true);
  expect(isOutputOf("boat\ncar\n", endless)).toBe(false);
  expect(isOutputOf("bo\nboat\n", endless)).toBe(false);
  const typed = run("", {
    console: [
      { kind: "out", text: "Stops? " },
      { kind: "in", text: "2\n" },
      { kind: "out", text: "45\n" },
      { kind: "err", text: "Traceback\n" },
    ],
  });
  expect(isOutputOf("Stops? 2\n45\nTraceback", typed)).toBe(true);
  expect(readCameOut({ text: "4" }, "4", run("", { started: false, stoppedBy: "refused" }))).toEqual([]);
});

test("whatever a program prints is its own output, and never a line more is", () => {
  fc.assert(
    fc.property(fc.string(), fc.stringMatching(/^[a-z]+$/), (text, more) => {
      expect(isOutputOf(text, run(text))).toBe(true);
      expect(isOutputOf(`${text}\n${more}`, run(text))).toBe(false);
    }),
  );
});
