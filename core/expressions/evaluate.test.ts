import { expect, test } from "vitest";
import { findLanguage } from "../languages/languages.ts";
import type { Value } from "../trace/trace.ts";
import { type Way, workOut } from "./evaluate.ts";

function taken(
  id: string,
  text: string,
  values: Record<string, Value> = {},
  way: Way = "machine",
  returned: Value[] = [],
) {
  const language = findLanguage(id);
  if (!language?.values) throw new Error(id);
  const rules = language.values;
  const waiting = [...returned];
  const recorded = (value: Value | undefined) => (value ? rules.recorded(value) : null);
  return workOut(
    language,
    text,
    { value: (name) => recorded(values[name]), call: () => recorded(waiting.shift()) },
    way,
  );
}
const int = (text: string): Value => ({ type: "int", text });
const shown = (worked: ReturnType<typeof taken>) => worked?.lines.map((line) => line.text);
const skipped = (worked: ReturnType<typeof taken>) =>
  worked?.lines.flatMap((line) => line.skipped.map((each) => line.text.slice(each.from, each.to)));

const tide = { height: int("5"), width: int("10") };

test("first the values are put in, then one operation a line is worked out, in the language's own order", () => {
  const worked = taken("python", "(height < 3 or height > 7) and width <= 20", tide);
  expect(shown(worked)).toEqual([
    "(height < 3 or height > 7) and width <= 20",
    "(5 < 3 or 5 > 7) and 10 <= 20",
    "(False or 5 > 7) and 10 <= 20",
    "(False or False) and 10 <= 20",
    "False and 10 <= 20",
    "False and 10 <= 20",
    "False",
  ]);
  expect(worked?.lines.map((line) => line.says).slice(2)).toEqual([
    "5 < 3 is False",
    "5 > 7 is False",
    "False or False is False",
    "False and …: width <= 20 is not looked at",
    "False and … is False",
  ]);
  expect(skipped(worked)).toEqual(["10 <= 20"]);
});

test("on paper every part is worked out, and the result is the same", () => {
  const worked = taken("python", "(height < 3 or height > 7) and width <= 20", tide, "paper");
  expect(shown(worked)?.slice(-3)).toEqual(["False and 10 <= 20", "False and True", "False"]);
  expect(skipped(worked)).toEqual([]);
  // What cannot be worked out is why a machine does not look at it.
  const divided = taken("python", "width == 10 or width // 0 == 1", tide, "paper");
  expect(divided?.written).toBe("True");
});

test("a text and numbers are joined from the left, and brackets change that", () => {
  const java = { boat: { type: "String", text: '"Tern"' }, cars: { type: "Integer", text: "3" } };
  expect(shown(taken("java", "boat + cars + 1", java))?.slice(1)).toEqual([
    '"Tern" + 3 + 1',
    '"Tern3" + 1',
    '"Tern31"',
  ]);
  expect(taken("java", "boat + (cars + 1)", java)?.written).toBe('"Tern4"');
});

test("a call has the value that was recorded, once for each call; a part is picked by its place", () => {
  const loads: Value = {
    ...{ type: "list", id: 1, shape: "list" },
    items: [{ value: int("4") }, { value: int("9") }],
  };
  const worked = taken("python", "fare(2) + fare(3) * loads[1]", { loads }, "machine", [int("10"), int("7")]);
  expect(shown(worked)).toEqual([
    "fare(2) + fare(3) * loads[1]",
    "10 + fare(3) * loads[1]",
    "10 + 7 * loads[1]",
    "10 + 7 * 9",
    "10 + 63",
    "73",
  ]);
  const beyond = taken("python", "loads[2] + 1", { loads });
  expect(beyond?.value).toMatchObject({ kind: "unknown", raised: true, why: "IndexError: list index out of range" });
});

test("what the language cuts off or wraps is cut off and wrapped", () => {
  expect(taken("c", "7 / 2 * 2.0")?.written).toBe("6");
  expect(taken("java", "top + 1", { top: { type: "Integer", text: "2147483647" } })?.written).toBe("-2147483648");
  expect(taken("python", "-7 // 2")?.written).toBe("-4");
  expect(taken("pascal", "-7 div 2")?.written).toBe("-3");
  expect(taken("octave", "int32(7) / int32(2)")?.written).toBe("4");
  expect(taken("csharp", '"load " + 0.1')?.written).toBe('"load 0.1"');
});

test("what is no expression, is not known or changes something is said, never guessed", () => {
  expect(taken("python", "height <")).toBe(null);
  expect(taken("python", "x = 3")).toBe(null);
  expect(taken("python", "depth + 1")?.value).toMatchObject({ kind: "unknown", why: "depth has no value here." });
  expect(taken("c", "cars++ + 1", { cars: int("3") })?.value).toMatchObject({ kind: "unknown" });
  expect(
    taken("java", "boat == other", { boat: { type: "String", text: '"a"' }, other: { type: "String", text: '"a"' } })
      ?.value,
  ).toMatchObject({ kind: "unknown", why: expect.stringContaining("one and the same") });
});
