import { expect, test } from "vitest";
import type { Language } from "../languages/language.ts";
import { findLanguage } from "../languages/languages.ts";
import { editContext } from "./context.ts";
import { proposeEdits } from "./families.ts";

const languageCalled = (id: string): Language => {
  const found = findLanguage(id);
  if (!found) throw new Error(`${id} is not there`);
  return found;
};
const python = languageCalled("python");
const proposed = (text: string, way: "mend" | "mend a refusal" | "plant") => {
  const context = editContext(python, text, []);
  return context ? proposeEdits(context, way) : null;
};

test.each([
  ["python", `load = ${"1 + ".repeat(500)}1\n`],
  ["python", `load = ${"deck.".repeat(500)}cars\n`],
  ["java", `public class Main {\n  static int load = ${"1 + ".repeat(500)}1;\n}\n`],
  ["c", `int load = ${"1 + ".repeat(500)}1;\n`],
  ["pseudocode", `load <- ${"1 + ".repeat(500)}1\n`],
])("%s: a program whose parts stand in hundreds of others is not changed at all", (id, text) => {
  expect(editContext(languageCalled(id), text)).toBeNull();
  expect(editContext(languageCalled(id), text.replace(/(?:1 \+ |deck\.){480}/, ""))).not.toBeNull();
});

test("a program of tens of thousands of words is not changed", () => {
  const line = "load = load + 1\n";
  expect(editContext(python, line.repeat(3000))).not.toBeNull();
  expect(editContext(python, line.repeat(5000))).toBeNull();
});

test("in a line of hundreds of numbers nothing is changed, and in the others what may be", () => {
  const loads = `loads = [${Array.from({ length: 400 }, (_, at) => at).join(", ")}]\n`;
  const text = `${loads}total = 0\nfor load in loads:\n    total = total - load\nprint(total)\n`;
  const edits = proposed(text, "mend") ?? [];
  expect(edits.some(({ text: put, from }) => put === "+" && from > loads.length)).toBe(true);
  const ofNumbers = edits.filter(({ family, from }) => family === "constant" && from < loads.length);
  expect(ofNumbers).toEqual([]);
  // A list of a length that people write is changed as before.
  const short = text.replace(loads, "loads = [3, 5, 8]\n");
  expect((proposed(short, "mend") ?? []).some(({ family, from }) => family === "constant" && from < 17)).toBe(true);
});

test("of dozens of brackets without a partner none is the one that is wrong", () => {
  const brackets = (many: number) =>
    (proposed(`load = ${"(".repeat(many)}1\nprint(load)\n`, "mend a refusal") ?? []).filter(
      ({ family }) => family === "bracket",
    );
  expect(brackets(2).length).toBeGreaterThan(0);
  expect(brackets(41)).toEqual([]);
});

test("of more changes than anybody could try the likeliest are proposed", () => {
  const line = "tide = [load, load, load, load, load, load, load, load, load, 12, 34, 56, 78]\n";
  const edits = proposed(`load = 1\n${line.repeat(600)}print(tide)\n`, "mend") ?? [];
  expect(edits).toHaveLength(20_000);
  const few = proposed(`load = 1\n${line.repeat(3)}print(tide)\n`, "mend") ?? [];
  expect(Math.min(...edits.map(({ odds }) => odds))).toBeGreaterThanOrEqual(Math.min(...few.map(({ odds }) => odds)));
});
