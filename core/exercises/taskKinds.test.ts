import { describe, expect, test } from "vitest";
import { findHunks } from "../fixes/hunks.ts";
import { type Task, totalMarks } from "./exercise.ts";
import { levelOf } from "./level.ts";
import type { MarkContext } from "./taskKind.ts";
import { kindOfTask, taskKinds } from "./taskKinds.ts";
import { testExercise } from "./testExercise.ts";

const program = "deck = 20\ncar = 3\nif deck < car * 7\n    print('Full')\n";
const mended = "deck = 20\ncar = 3\nif deck < car * 7:\n    print('Full')\n";
const exercise = testExercise({
  intro: "Is the deck full?",
  program,
  mended,
  faults: [
    {
      class: "syntax",
      symptom: "refused before it ran",
      message: "SyntaxError: expected ':'",
      reportedLine: 3,
      faultyLines: [3],
      hunks: findHunks(program, mended),
    },
  ],
  checks: [{ input: "", expected: "Full\n", kind: "normal", ignorePrompts: false, files: {} }],
  tasks: [
    { key: "c", kind: "classify", marks: 2 },
    { key: "p", kind: "point", marks: 1 },
    {
      key: "o",
      kind: "predict",
      marks: 3,
      program: "mended",
      check: 0,
      answer: { output: "Full\n", echoed: "Full\n", ending: "ends by itself" },
    },
    {
      key: "t",
      kind: "trace",
      marks: 4,
      program: "mended",
      check: 0,
      linesGiven: true,
      columns: [
        { key: "deck", title: "deck" },
        { key: "car", title: "car" },
      ],
      rows: [
        { line: 1, cells: { deck: "20" } },
        { line: 2, cells: { car: "3" } },
        { line: 3, cells: {} },
        { line: 4, cells: { output: "Full" } },
      ],
      given: ["0 deck"],
    },
    { key: "m", kind: "mend", marks: 2, allowedExtraLines: 1, extraCost: 1 },
  ],
});
/** Stands in for the sandbox only where no task under test runs anything. */
const noRuns: MarkContext = { exercise, run: async () => ({ notRun: "no sandbox", unknown: false }) };
const task = (key: string) => exercise.tasks.find((each) => each.key === key) ?? { key, kind: "", marks: 0 };
const mark = (key: string, answer: unknown) => kindOfTask(task(key)).mark(task(key), answer, noRuns);
const earned = async (key: string, answer: unknown) => (await mark(key, answer)).map((item) => item.earned);

test.each(exercise.tasks.map((each) => [each.kind, each.key]))(
  "%s: the scheme adds up to the task's marks, and no answer earns nothing",
  async (_, key) => {
    const kind = kindOfTask(task(key));
    expect(kind.scheme(task(key), exercise).reduce((sum, item) => sum + item.marks, 0)).toBe(task(key).marks);
    const marks = await mark(key, null);
    expect(marks.every((item) => item.earned === 0)).toBe(true);
    expect(marks.reduce((sum, item) => sum + item.possible, 0)).toBe(task(key).marks);
  },
);

test("what a student may see holds no class, no faulty line, no fix, no key", () => {
  for (const kind of taskKinds) {
    const own = exercise.tasks.find(
      (each) => each.kind === kind.kind && each.kind !== "predict" && each.kind !== "trace",
    );
    if (!own) continue;
    expect(JSON.stringify(kind.view(own, exercise))).not.toMatch(/syntax|expected ':'|car \* 7:/);
  }
  const trace = JSON.stringify(kindOfTask(task("t")).view(task("t"), exercise));
  expect(trace).toContain('"deck":"20"');
  expect(trace).not.toContain('"car":"3"');
  expect(JSON.stringify(kindOfTask(task("o")).view(task("o"), exercise))).not.toContain('"output"');
});

test("the right class earns its mark, the reason waits with a suggestion", async () => {
  expect(await mark("c", { class: "syntax", reason: "A colon is missing, so it never starts." })).toMatchObject([
    { earned: 1 },
    { earned: null, suggested: 1 },
  ]);
  expect(await mark("c", { class: "syntax", reason: "" })).toMatchObject([{ earned: 1 }, { earned: 0 }]);
});

test("one line for each fault; a line too many costs one, never below nothing", async () => {
  expect(await earned("p", { lines: [3] })).toEqual([1]);
  expect(await earned("p", { lines: [2, 3] })).toEqual([0]);
  expect(await earned("p", { lines: [1, 2, 4] })).toEqual([0]);
  const [fault] = exercise.faults;
  if (!fault) throw new Error("no fault");
  const twice = { ...exercise, faults: [{ ...fault, faultyLines: [2, 3] }] };
  const both = await kindOfTask(task("p")).mark(task("p"), { lines: [2, 3] }, { ...noRuns, exercise: twice });
  expect(both).toMatchObject([{ earned: 1 }]);
});

test("a predicted output earns by its share of right lines, the ending on its own", async () => {
  expect(await earned("o", { output: "Full", ending: "ends by itself" })).toEqual([2, 1]);
  expect(await earned("o", { output: "Full\nFull", ending: "never ends" })).toEqual([1, 0]);
  expect(await earned("o", { output: "" })).toEqual([0, 0]);
});

test("an answer of another form counts as none", async () => {
  expect(await earned("t", { rows: "all of them" })).toEqual([0]);
});

test("the level rises with class, faults and length, and says why", () => {
  const easy = levelOf(exercise);
  expect(easy.level).toBe(1);
  const faults = [
    ...exercise.faults,
    {
      ...exercise.faults[0],
      class: "logic" as const,
      symptom: "",
      message: "",
      reportedLine: null,
      faultyLines: [1],
      hunks: [],
    },
  ];
  const harder = levelOf({ ...exercise, faults, program: `while True:\n${"    x = 1\n".repeat(20)}` });
  expect(harder.level).toBeGreaterThan(easy.level);
  expect(harder.reasons.map((reason) => reason.words)).toContain("a logic error: no message leads to it");
});

test("the total is the sum of the tasks", () => {
  expect(totalMarks(exercise)).toBe(12);
});

describe("rules that are changed after a sheet was set", () => {
  const rulesOf = (key: string) => kindOfTask(task(key)).rules(task(key), exercise);
  const changed = (key: string, name: string, value: number) => kindOfTask(task(key)).withRule(task(key), name, value);
  const markBy = async (by: Task, answer: unknown) =>
    (await kindOfTask(by).mark(by, answer, noRuns)).map((item) => item.earned);

  test.each(exercise.tasks.map((each) => [each.kind, each.key]))(
    "%s: every item may be given to all who answered",
    async (_, key) => {
      const kind = kindOfTask(task(key));
      for (const { item, marks } of kind.scheme(task(key), exercise)) {
        const name = `all ${item}`;
        expect(rulesOf(key).find((rule) => rule.name === name)).toMatchObject({ isYesOrNo: true, to: 1, value: 0 });
        const given = changed(key, name, 1);
        expect(kind.rules(given, exercise).find((rule) => rule.name === name)?.value).toBe(1);
        expect(kind.rule(given)).toContain(`“${item}”`);
        const [worthless] = kind.worthless(given, exercise);
        const marked = worthless === undefined ? [] : await kind.mark(given, worthless, noRuns);
        if (marked.length > 0) expect(marked.find((each) => each.item === item)?.earned).toBe(marks);
        // Nothing of no answer, and taken back it is as it was.
        expect((await kind.mark(given, null, noRuns)).every((each) => each.earned === 0)).toBe(true);
        expect(kind.rule(kind.withRule(given, name, 0))).toBe(kind.rule(task(key)));
      }
    },
  );

  test("what a line too many costs", async () => {
    expect(rulesOf("p")[0]).toMatchObject({ name: "lines", to: 2, value: 2 });
    expect(await markBy(changed("p", "lines", 1), { lines: [2, 3] })).toEqual([0.5]);
    expect(await markBy(changed("p", "lines", 0), { lines: [1, 2, 3] })).toEqual([1]);
    expect(kindOfTask(task("p")).rule(changed("p", "lines", 1))).toContain("half a mark");
  });

  test("what other words and another order cost in a predicted output", async () => {
    const two = {
      ...task("o"),
      answer: {
        ...{ output: "Cars 4\nFree 9\n", echoed: "Cars 4\nFree 9\n", ending: "ends by itself" },
        console: [{ kind: "out", text: "Cars 4\nFree 9\n" }],
      },
    };
    const program = "cars = 4\nprint('Cars', cars)\nprint('Free', 13 - cars)\n";
    const by = (change: Task) =>
      kindOfTask(change).mark(
        change,
        { output: "9\n4", ending: "ends by itself" },
        { ...noRuns, exercise: { ...exercise, mended: program } },
      );
    const kind = kindOfTask(two);
    expect((await by(two))[0]?.earned).toBe(1);
    expect((await by(kind.withRule(two, "order", 0)))[0]?.earned).toBeLessThan(1.5);
    const words = (change: Task) =>
      kindOfTask(change).mark(
        change,
        { output: "Cars: 4\nPlaces: 9", ending: "ends by itself" },
        { ...noRuns, exercise: { ...exercise, mended: program } },
      );
    expect((await words(two))[0]?.earned).toBe(1.5);
    expect((await words(kind.withRule(two, "words", 0)))[0]?.earned).toBe(2);
    expect((await words(kind.withRule(two, "words", 2)))[0]?.earned).toBe(1);
  });

  test("a rule that a kind does not know changes nothing, and one keeps what another one says", () => {
    expect(changed("p", "nothing", 1)).toEqual(task("p"));
    const both = kindOfTask(task("p")).withRule(changed("p", "all fault 1", 1), "lines", 1);
    expect(
      kindOfTask(both)
        .rules(both, exercise)
        .map(({ value }) => value),
    ).toEqual([1, 1]);
  });
});
