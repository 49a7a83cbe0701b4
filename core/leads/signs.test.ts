import { expect, test } from "vitest";
import { findLanguage } from "../languages/languages.ts";
import type { ConsolePiece, Outcome } from "../outcome/outcome.ts";
import { suggestVerdict } from "../verdict/verdict.ts";
import { findLeads } from "./leads.ts";
import { signIn, signs } from "./signs.ts";

/** A run that came to its end; `line` is where it printed what it did. */
function ended(out: string, typed = "", line?: number): Outcome {
  const read: ConsolePiece[] = typed === "" ? [] : [{ kind: "in", text: typed }];
  return {
    ...{ started: true, finished: true, stoppedBy: "none", exit: { code: 0, signal: 0 }, diagnostics: [] },
    ...{ console: [...read, { kind: "out", text: out, line }], effects: [], inputRanOut: false, milliseconds: 1 },
    translator: "",
  };
}

function judged(program: string, out: string, expected: string, typed = "", line?: number) {
  const id = "python";
  const language = findLanguage(id);
  if (!language) throw new Error(id);
  const outcome = ended(out, typed, line);
  const verdict = suggestVerdict({ language, outcome, expected });
  return { sign: signIn(verdict, outcome)?.id, leads: findLeads({ language, program, verdict, outcome }) };
}

test.each([
  ["digits side by side", "34\n", "7\n", "3\n4\n"],
  ["digits side by side", "Fare 5555\n", "Fare 20\n", "5\n"],
  ["part behind the point is missing", "Tide 3\n", "Tide 3.5\n", ""],
  ["one pass late", "0\n0\n4\n", "0\n4\n9\n", ""],
  ["neighbours are equal", "4\n4\n4\n", "4\n5\n6\n", ""],
  ["another order", "Auk 12\nSkua 20\nTern 15\n", "Tern 15\nSkua 20\nAuk 12\n", ""],
  ["another order", "Tides: 3 5 8\n", "Tides: 8 5 3\n", ""],
  ["one too few or too many", "Cars: 7\n", "Cars: 8\n", ""],
  ["nothing was counted", "Total: 0\n", "Total: 31\n", ""],
  ["equals what was typed in", "Fare 12\n", "Fare 48\n", "12\n"],
  ["one value is missing or counted twice", "Load 20\n", "Load 26\n", "9\n11\n6\n"],
  ["out of its range", "Minutes: -35\n", "Minutes: 85\n", ""],
])("%s is seen in a result", (id, out, expected, typed) => {
  expect(judged("total = 0\n", out, expected, typed).sign).toBe(id);
});

test("A sign leads to lines of the program; another text, or nothing to compare with, shows none", () => {
  const program = "cars = input()\nmore = input()\nprint(cars + more)\n";
  const told = judged(program, "34\n", "7\n", "3\n4\n").leads;
  expect(told.filter((lead) => lead.why.includes("side by side")).map((lead) => lead.line)).toEqual([1, 2]);
  expect(judged(program, "Tern\n", "Gannet\n").sign).toBeUndefined();
  expect(judged(program, "7\n", "7\n").sign).toBeUndefined();
});

test("Every sign names pieces that programs have", () => {
  const all = new Set(signs.map((sign) => sign.id));
  expect(all.size).toBe(signs.length);
  const program =
    "loads = [4]\nn = int(input())\ntotal = 0\nfor place in range(n):\n    if n > 3:\n        total = total - loads[place] / 2\nprint(total)\n";
  const lines = judged(program, "Total: 0\n", "Total: 31\n").leads.filter((lead) => lead.why.includes("began with"));
  expect(lines.map((lead) => lead.line).sort()).toEqual([5, 6]);
});

test("a count that is off by one leads to the decision that lets it count", () => {
  const program =
    "free = 0\nfor seat in [0, 1, 1]:\n    if seat:\n        free += 1\n    if seat > 5:\n        print(seat)\nprint(free)\n";
  const told = judged(program, "2\n", "1\n").leads.filter((lead) => lead.why.includes("off by one"));
  expect(told.map((lead) => lead.line).sort()).toEqual([2, 3, 5]);
});

test("the intended values in another order: the line that prints them, where its texts do not name them", () => {
  const first = (print: string) =>
    judged(`when = 2\nbest = 31\n${print}\n`, "2 at 31\n", "31 at 2.0\n", "", 3).leads[0];
  const turned = first('print("%d at %d" % (when, best))');
  expect([turned?.line, turned?.why.includes("in another order")]).toEqual([3, true]);
  expect(first('print("when", when, "at", best)')?.why).not.toContain("in another order");
  expect(judged("print(4, 5)\n", "4 5\n", "4 6\n", "", 1).leads[0]?.why).not.toContain("in another order");
});
