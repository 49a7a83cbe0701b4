import fc from "fast-check";
import { expect, test } from "vitest";
import { testExercise } from "../exercises/testExercise.ts";
import { findHunks } from "../fixes/hunks.ts";
import { findPattern } from "../patterns/patterns.ts";
import { ideas, wordsBeside, wordsWhereMet } from "./ideas.ts";
import { classesOf, lessonContentSchema, movedPart, type Part, planOf, usualLesson } from "./lesson.ts";
import type { Known, KnownExercise } from "./partKind.ts";
import { findPart, partKinds } from "./parts.ts";

const exercise = (key: string, ...classes: KnownExercise["classes"]): KnownExercise => ({
  ...{ key, title: `Deck ${key}`, classes },
});
const exercises = [exercise("a", "logic"), exercise("b", "syntax", "logic"), exercise("c", "runtime"), exercise("d")];
const known: Known = {
  exercises: new Map(exercises.map((each) => [each.key, each])),
  sheets: new Map([["s", { key: "s", title: "Ferry", marks: 12, minutes: null }]]),
};
let made = 0;
const newKey = () => `part ${made++}`;
const part = (kind: string, content: unknown, rest: Partial<Part> = {}): Part => ({
  ...{ key: newKey(), kind, title: "", out: false, minutes: null, content },
  ...rest,
});

test("a lesson is usually: what the kinds are, a program of each, one sign changed, the sheet, what we met", () => {
  const lab = { exercise: "a", changes: [] };
  const lesson = usualLesson({ ...{ exercises, classes: classesOf(exercises) }, sheet: "s", lab, newKey });
  expect(lesson.parts.map(({ kind, content }) => [kind, content])).toEqual([
    ["classes", { classes: ["syntax", "runtime", "logic"] }],
    ["program", { exercise: "b", without: [] }],
    ["program", { exercise: "c", without: [] }],
    ["program", { exercise: "a", without: [] }],
    ["lab", lab],
    ["sheet", { sheet: "s" }],
    ["recap", {}],
  ]);
  expect(lessonContentSchema.parse(lesson)).toEqual(lesson);
  expect(usualLesson({ exercises: [], classes: [], sheet: null, lab: null, newKey }).parts).toEqual([]);
});

test("parts that are left out are neither counted nor numbered; what the teacher says of minutes holds", () => {
  const lesson = usualLesson({
    ...{ exercises, classes: classesOf(exercises) },
    sheet: "s",
    lab: { exercise: "a", changes: [] },
    newKey,
  });
  const whole = planOf(lesson, known);
  expect(whole.parts.map(({ takes }) => takes)).toEqual([6, 16, 8, 8, 2, 12, 3]);
  expect(whole.minutes).toBe(55);
  expect(whole.parts.map(({ firstTask, tasks }) => (tasks > 0 ? firstTask : 0))).toEqual([0, 1, 2, 3, 4, 5, 0]);
  const parts = lesson.parts.map((each, at) => ({
    ...each,
    out: at === 2,
    minutes: at === 1 ? 5 : null,
    title: at === 1 ? "The fares" : "",
  }));
  const shorter = planOf({ parts }, known);
  expect(shorter.minutes).toBe(36);
  expect(shorter.parts[1]).toMatchObject({ name: "The fares", takes: 5, firstTask: 1 });
  expect(shorter.parts.at(-2)).toMatchObject({ name: "A sheet is sat", firstTask: 4 });
});

test("steps of a program that are left out take no time; a part of a kind that is not known is left away", () => {
  const short = part("program", { exercise: "c", without: ["class", "fix"] });
  const plan = planOf({ parts: [part("film", {}), short, part("program", { exercise: 7 })] }, known);
  expect(plan.parts.map(({ key, takes }) => [key, takes])).toEqual([[short.key, 4]]);
});

test("every kind of part has a name of its own and says what it is", () => {
  expect(new Set(partKinds.map(({ kind }) => kind)).size).toBe(partKinds.length);
  for (const { kind, about, title } of partKinds) {
    expect(findPart(kind)?.title).toBe(title);
    expect(about).toMatch(/^[A-Z“].*\.$/);
  }
});

test("a new part of each kind can be read as it begins; where there is nothing that it could be about, words say so", () => {
  const there = {
    exercises: [
      { key: "open", mended: false },
      { key: "a", mended: true },
    ],
    sheets: [{ key: "s" }],
  };
  for (const { begins, schema } of partKinds) expect(schema.safeParse(begins(there)).success).toBe(true);
  expect(findPart("lab")?.begins(there)).toMatchObject({ exercise: "a" });
  const nothing = partKinds.filter(({ begins }) => typeof begins({ exercises: [], sheets: [] }) === "string");
  expect(nothing.map(({ kind }) => kind).sort()).toEqual(["lab", "program", "sheet"]);
});

test("a part that is moved changes places with its neighbour, and nothing is lost", () => {
  const keys = ["a", "b", "c"];
  const parts = keys.map((key) => part("recap", {}, { key }));
  const moved = (key: string, by: 1 | -1) => movedPart(parts, key, by).map((each) => each.key);
  expect(moved("b", -1)).toEqual(["b", "a", "c"]);
  expect(moved("c", 1)).toEqual(keys);
  expect(moved("z", 1)).toEqual(keys);
  fc.assert(
    fc.property(fc.constantFrom(...keys), fc.constantFrom<1 | -1>(1, -1), (key, by) => {
      expect([...moved(key, by)].sort()).toEqual(keys);
    }),
  );
});

test("a teacher's words stand beside the classes and kinds of mistake that their idea is about", () => {
  const words = new Map([
    ["noticed", "As when a wrong turning is noticed at the harbour."],
    ["joining", "And is a gate with two locks."],
    ["grammar", ""],
  ]);
  expect(wordsBeside(words, { class: "syntax" })).toEqual([
    { title: "Where it began, and where it was noticed", words: "As when a wrong turning is noticed at the harbour." },
  ]);
  expect(wordsBeside(words, { class: "logic" })).toEqual([]);
  expect(wordsBeside(words, { pattern: "and-or-mixed-up" })[0]?.words).toContain("two locks");
  const loop = "total = 0\nfor deck in range(1, 4):\n    total = total + deck\nprint(total)\n";
  const hunks = findHunks(loop, loop.replace("4)", "5)"));
  const fault = { class: "logic" as const, symptom: "", message: "", reportedLine: null, faultyLines: [2], hunks };
  const met = [{ content: testExercise({ program: loop, faults: [fault, fault] }) }];
  const own = new Map([
    ["limits", "Up to and including is one stop further."],
    ["meant", "It goes where it is steered."],
  ]);
  const said = ["It goes where it is steered.", "Up to and including is one stop further."];
  expect(wordsWhereMet(own, "logic", met).map((each) => each.words)).toEqual(said);
  expect(wordsWhereMet(own, "syntax", met)).toEqual([]);
  for (const { patterns } of ideas) for (const id of patterns) expect(findPattern(id)?.id).toBe(id);
});

test("whatever parts are left out: tasks are numbered without gaps, and minutes are the sum of what is shown", () => {
  const one = fc.record({
    kind: fc.constantFrom("reading", "program", "recap", "film", "classes"),
    out: fc.boolean(),
    minutes: fc.option(fc.integer({ min: 0, max: 50 })),
    tasks: fc.nat(3),
  });
  const contents: Readonly<Record<string, (tasks: number) => unknown>> = {
    reading: (tasks) => ({ text: "? What?\n\n".repeat(tasks) }),
    program: () => ({ exercise: "a" }),
    classes: () => ({ classes: ["logic"] }),
  };
  fc.assert(
    fc.property(fc.array(one, { maxLength: 10 }), (given) => {
      const parts = given.map(({ kind, out, minutes, tasks }) =>
        part(kind, contents[kind]?.(tasks) ?? {}, { out, minutes }),
      );
      const planned = planOf({ parts }, known);
      expect(planned.minutes).toBe(planned.parts.reduce((sum, { takes }) => sum + takes, 0));
      let next = 1;
      for (const { firstTask, tasks, out, kind } of planned.parts) {
        expect([firstTask, out, kind === "film"]).toEqual([next, false, false]);
        next += tasks;
      }
    }),
  );
});
