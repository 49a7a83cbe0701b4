import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { runPseudocode } from "../interpreters/pseudocode/run.ts";
import { contextOf, everyTask, type MadeTask } from "./everyTask.ts";
import type { Task } from "./exercise.ts";
import type { ItemMark } from "./taskKind.ts";
import { taskKinds } from "./taskKinds.ts";

/** Every task that can be made of the exercises, with what it was made of. */
const made = await everyTask(runPseudocode);
type Made = Pick<MadeTask, "title" | "kind" | "exercise"> & { task: Task };
const tasks = made.flatMap(({ task, ...rest }): Made[] => (typeof task === "string" ? [] : [{ ...rest, task }]));

const sum = (items: readonly ItemMark[], of: (item: ItemMark) => number) =>
  items.reduce((all, item) => all + of(item), 0);
const marksOf = ({ kind, exercise, task }: Made, answer: unknown) =>
  kind.mark(task, answer, contextOf(exercise, runPseudocode));

test("nearly every kind can be asked of one of these, and what cannot says why in a sentence", () => {
  const asked = new Set(tasks.map(({ kind }) => kind.kind));
  expect(asked.size).toBeGreaterThan(taskKinds.length - 6);
  for (const { task, title } of made) if (typeof task === "string") expect(task, title).toMatch(/^[A-Z“].{20,}\.$/s);
});

describe.each(tasks)("$title", (own) => {
  const { kind, task, exercise } = own;

  test("the scheme and every marking add up to its marks", async () => {
    expect(kind.scheme(task, exercise).reduce((all, { marks }) => all + marks, 0)).toBe(task.marks);
    expect(sum(await marksOf(own, null), ({ possible }) => possible)).toBe(task.marks);
  });

  test("no answer, and one that is worthless, earns nothing and suggests nothing", async () => {
    expect((await marksOf(own, null)).every(({ earned }) => earned === 0)).toBe(true);
    for (const answer of kind.worthless(task, exercise))
      expect(sum(await marksOf(own, answer), ({ earned, suggested }) => (earned ?? 0) + (suggested ?? 0))).toBe(0);
  });

  test("the model answer earns all that a program can give", async () => {
    const answer = kind.model?.(task, exercise);
    if (answer === undefined) return;
    const items = await marksOf(own, answer);
    // What only a person can read waits for one.
    expect(items.filter(({ earned, possible }) => earned !== null && earned !== possible)).toEqual([]);
    expect(items.some(({ earned }) => earned !== 0)).toBe(true);
  });

  test("what a student sees says nothing of the mending, unless it shows it", () => {
    if (kind.shows !== null || kind.needsRun) return;
    const [mending = ""] = exercise.faults[0]?.hunks[0]?.after ?? [];
    expect(JSON.stringify(kind.view(task, exercise))).not.toContain(JSON.stringify(mending).slice(1, -1));
  });

  test("whatever is handed in is marked within its marks, and is laid beside the key", async () => {
    const model = kind.model?.(task, exercise);
    const texts = fc.string({ maxLength: 30 });
    // Answers of its own form with anything in the place of what is written or chosen.
    const spoilt = fc.array(texts, { minLength: 12, maxLength: 12 }).map((pool) => {
      let at = 0;
      const other = (value: unknown): unknown => {
        if (typeof value === "string") return pool[at++ % pool.length];
        if (Array.isArray(value)) return value.map(other);
        if (value === null || typeof value !== "object") return value;
        return Object.fromEntries(Object.entries(value).map(([name, inside]) => [name, other(inside)]));
      };
      return other(model ?? { texts: { program: "", what: "", why: "", lines: "" }, choices: {}, lines: [] });
    });
    const junk = fc.oneof(
      fc.anything(),
      fc.dictionary(fc.constantFrom("texts", "choices", "lines", "rows", "program", "output"), fc.anything()),
    );
    await fc.assert(
      fc.asyncProperty(fc.oneof({ weight: 3, arbitrary: spoilt }, junk), async (answer) => {
        const items = await marksOf(own, answer);
        for (const { earned, possible } of items)
          expect(earned === null || (earned >= 0 && earned <= possible)).toBe(true);
        expect(sum(items, ({ possible }) => possible)).toBe(task.marks);
        expect(() => kind.compare(task, answer, exercise)).not.toThrow();
      }),
      { numRuns: 12 },
    );
  });

  test("it is kept as it was made: its form reads it again, and its rules can be written back", () => {
    const again = JSON.parse(JSON.stringify(task));
    expect(kind.scheme(again, exercise)).toEqual(kind.scheme(task, exercise));
    for (const { name, value } of kind.rules(task, exercise)) {
      const same = kind.withRule(task, name, value);
      expect(kind.rules(same, exercise).find((rule) => rule.name === name)?.value).toBe(value);
    }
    expect(kind.rule(task).length).toBeGreaterThan(10);
    expect(kind.asks(task, exercise).parts.length).toBeGreaterThan(0);
  });
});
