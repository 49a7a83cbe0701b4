import { expect, test } from "vitest";
import { usualStyle } from "../../trace/tableStyle.ts";
import type { Step, Trace, Value, Write } from "../../trace/trace.ts";
import type { MakeContext } from "../taskKind.ts";
import { testExercise } from "../testExercise.ts";
import { compareWithKey, rowsOf, type TraceAnswer, type TraceTask, traceTaskSchema } from "../traceTask.ts";
import { traceTable } from "./trace.ts";

const ferry: Value = {
  type: "Ferry",
  id: 1,
  shape: "object",
  items: [{ key: "load", value: { type: "int", text: "3" } }],
};
const put = (name: string, value: Value): Write => ({ scope: "global", owner: 0, path: [name], value });
const lines: Write[][] = [
  [put("tern", ferry)],
  [put("flag", { type: "Ferry", id: 1 })],
  [{ scope: "object", owner: 1, path: ["load"], value: { type: "int", text: "5" } }],
  [put("full", { type: "bool", text: "True" }), put("name", { type: "str", text: "'Tern'" })],
];
const steps = lines.map((writes, index): Step => ({ index, line: index + 1, file: 0, frame: 0, depth: 0, writes }));

/** A task made of that run, in the style of its exercise. */
async function made(tableStyle = testExercise().tableStyle): Promise<TraceTask> {
  const exercise = testExercise(tableStyle ? { tableStyle } : {});
  const trace: Trace = { outcome: { diagnostics: [] } as unknown as Trace["outcome"], files: ["deck.py"], steps };
  const context: MakeContext = {
    ...{ exercise, run: async () => ({ notRun: "not here", unknown: false }), record: async () => ({ trace }) },
  };
  const task = await traceTable.make(context, { key: "t", marks: 6 });
  if (typeof task === "string") throw new Error(task);
  return { ...traceTaskSchema.parse(task), given: [] };
}

const filled = (...rows: Array<Record<string, string>>): TraceAnswer => ({ rows: rows.map((cells) => ({ cells })) });
const byName = filled(
  { tern: "Ferry 1(load=3)" },
  { flag: "Ferry 1" },
  { tern: "Ferry 1: load=5" },
  { full: "True", name: "'Tern'" },
);
const whole = filled(
  { tern: "Ferry(load=3)" },
  { flag: "Ferry(load=3)" },
  { tern: "Ferry(load=5)", flag: "Ferry(load=5)" },
  { full: "true", name: "Tern" },
);
const rightOf = (task: TraceTask, answer: TraceAnswer) => {
  const { right, wanted, slips } = compareWithKey(task, answer, testExercise());
  return [right, wanted, slips];
};

test("an exercise keeps the style that its course had; one of before there were styles has values as recorded", async () => {
  const old = await made();
  expect(rowsOf({ ...old, style: undefined }, testExercise())).toEqual(rowsOf(old, testExercise()));
  expect(rowsOf(old, testExercise())[2]?.cells).toEqual({ tern: "Ferry(load=5)", flag: "Ferry(load=5)" });
  const named = await made(usualStyle);
  expect(rowsOf(named, testExercise()).map((row) => row.cells)).toEqual(byName.rows.map((row) => row.cells));
  const plain = await made({ ...usualStyle, texts: "plain", truth: "plain" });
  expect(rowsOf(plain, testExercise())[3]?.cells).toEqual({ full: "true", name: "Tern" });
});

test("an object by its name and one written whole are both right, with all values repeated as well", async () => {
  const named = await made(usualStyle);
  expect(rightOf(named, byName)).toEqual([5, 5, 0]);
  expect(rightOf(named, whole)).toEqual([6, 6, 0]);
  const repeated = filled(
    { tern: "Ferry(load=3)" },
    { tern: "Ferry(load=3)", flag: "Ferry(load=3)" },
    { tern: "Ferry(load=5)", flag: "Ferry(load=5)" },
    { tern: "Ferry(load=5)", flag: "Ferry(load=5)", full: "True", name: '"Tern"' },
  );
  expect(rightOf(named, repeated)).toEqual([6, 6, 0]);
  const slip = filled({ tern: "Ferry 1(load=3)" }, { flag: "Ferry 2" }, { tern: "Ferry 1: load=5" }, { full: "False" });
  expect(rightOf(named, slip)).toEqual([2, 5, 3]);
});

test("the teacher's copy has all values where the course repeats them, and the rule says so", async () => {
  const task = await made({ ...usualStyle, unchanged: "repeated" });
  const key = traceTable.key(task, testExercise()) as { repeated: unknown };
  expect(key.repeated).toEqual([{}, { tern: "Ferry 1" }, { flag: "Ferry 1" }, { tern: "Ferry 1", flag: "Ferry 1" }]);
  expect(traceTable.rule(task)).toContain("Write every value in every row");
  expect(traceTable.rule(await made(usualStyle))).toContain("only where it changes");
});
