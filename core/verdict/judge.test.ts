import { expect, test } from "vitest";
import { python } from "../languages/python/python.ts";
import type { Outcome } from "../outcome/outcome.ts";
import { draw, type JudgeInput, judge } from "./judge.ts";

const outcome: Outcome = {
  ...{ started: true, finished: true, stoppedBy: "none", exit: { code: 0, signal: 0 }, diagnostics: [] },
  ...{ console: [{ kind: "out", text: "tern\n" }], effects: [], inputRanOut: false, milliseconds: 1, translator: "" },
};
const program = "name = 'tern'\nname.upper()\nprint(name)\n";
const input: JudgeInput = {
  ...{ language: python, mainName: "ferry.py", files: { "ferry.py": program }, outcome, expected: "TERN\n" },
};

test("a verdict is drawn without its leads, and has them when they are asked for", () => {
  const { verdict, withLeads } = draw(input);
  expect(verdict).toMatchObject({ class: "logic", goesOn: false });
  expect(verdict).not.toHaveProperty("leads");
  expect(withLeads()).toEqual(judge(input));
  expect(withLeads().leads.length).toBeGreaterThan(0);
});

test("where only the class is asked for no line is looked for", () => {
  expect(judge({ ...input, glance: true })).toMatchObject({ class: "logic", leads: [] });
});
