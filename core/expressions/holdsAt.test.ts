import { expect, test } from "vitest";
import { findLanguage } from "../languages/languages.ts";
import type { Step } from "../trace/trace.ts";
import { holdsAt } from "./holdsAt.ts";

/** A run in which line 2 is passed with a load of 0, 1, 2 and so on; line 9 never. */
function passes(type: string, count: number): Step[] {
  return Array.from({ length: 2 * count }, (_, at): Step => {
    const isFirst = at % 2 === 0;
    const value = { type, text: String(Math.floor(at / 2)) };
    return {
      ...{ index: at + 10, line: isFirst ? 1 : 2, file: 0, frame: 0, depth: 0 },
      writes: isFirst ? [{ scope: "global", owner: 0, path: ["load"], value }] : [],
    };
  });
}

test.each([
  ["python", "int", "load >= 2 and load != 3"],
  ["java", "Integer", "load >= 2 && load != 3"],
  ["c", "int", "load >= 2 && load != 3"],
  ["csharp", "Int32", "load >= 2 && load != 3"],
  ["pascal", "SmallInt", "(load >= 2) and (load <> 3)"],
  ["octave", "double", "load >= 2 && load ~= 3"],
])("%s: a condition in its own words holds where it holds", (id, type, condition) => {
  const language = findLanguage(id);
  if (!language) throw new Error(id);
  const steps = passes(type, 5);
  expect(holdsAt(language, { steps }, 2, condition)).toEqual({ steps: [15, 19], ran: 5, why: "" });
  expect(holdsAt(language, { steps }, 9, condition)).toEqual({ steps: [], ran: 0, why: "" });
  expect(holdsAt(language, { steps }, 2, "cargo > 2").why).toContain("cargo has no value here");
});

test("a language whose expressions are not worked out says so", () => {
  const language = findLanguage("steps");
  if (!language) throw new Error("steps");
  expect(holdsAt(language, { steps: passes("int", 2) }, 2, "load > 1").why).toContain("not worked out");
});
