import { afterAll, beforeAll, describe, expect, test } from "vitest";
import type { ExerciseContent, Task } from "../../core/exercises/exercise.ts";
import type { ItemMark } from "../../core/exercises/taskKind.ts";
import { kindOfTask, taskKinds } from "../../core/exercises/taskKinds.ts";
import { findLanguage } from "../../core/languages/languages.ts";
import { openTestServices } from "../testServices.ts";
import { exerciseOfPrograms } from "./exerciseOfPrograms.ts";
import { makeContext } from "./makeExercise.ts";
import { selfCheck } from "./selfCheck.ts";

let services: Awaited<ReturnType<typeof openTestServices>>;
const exercises = new Map<string, ExerciseContent>();

const crossing = `fare = int(input("Fare? "))
cars = int(input("Cars? "))
bill = fare * cars
if cars >= 10:
    bill = bill - 5
print("Bill", bill)
`;
const kindsAsked = ["purpose", "runs", "reading", "statements", "point", "input", "improve"];

beforeAll(async () => {
  services = await openTestServices();
  const python = findLanguage("python");
  if (!python) throw new Error("no Python");
  const faulty = {
    logic: crossing.replace(">= 10", "> 10"),
    runtime: crossing.replace('print("Bill", bill)', 'print("Bill", bil)'),
    syntax: crossing.replace("cars >= 10:", "cars >= 10"),
  };
  const checks = ["4\n3\n", "2\n10\n"].map((input, at) => ({
    ...{ input, expected: `Fare? Cars? Bill ${at === 0 ? 12 : 15}\n`, kind: "normal" as const },
    ...{ ignorePrompts: false, files: {} },
  }));
  for (const [name, program] of Object.entries(faulty)) {
    const tasks = kindsAsked.map((kind) => ({ kind, marks: kind === "reading" ? 3 : 2 }));
    const order = {
      language: python,
      fileName: "crossing.py",
      intro: "the bill",
      program,
      mended: crossing,
      checks,
      tasks,
    };
    exercises.set(name, (await exerciseOfPrograms(services, order)).content);
  }
});
afterAll(() => services.close());

const content = (name: string) => {
  const found = exercises.get(name);
  if (!found) throw new Error(name);
  return found;
};
async function mark(name: string, kind: string, answer: unknown): Promise<ItemMark[]> {
  const exercise = content(name);
  const task = exercise.tasks.find((each) => each.kind === kind);
  if (!task) throw new Error(`${name} has no ${kind}`);
  return kindOfTask(task).mark(task, answer, makeContext(services, exercise));
}
const earned = async (name: string, kind: string, answer: unknown) =>
  (await mark(name, kind, answer)).map((item) => item.earned);

test("a kind is asked only where it makes sense", () => {
  const kinds = (name: string) => content(name).tasks.map((task) => task.kind);
  expect(kinds("logic")).toEqual(["purpose", "runs", "statements", "point", "input", "improve"]);
  expect(kinds("runtime")).toEqual(kindsAsked);
  expect(kinds("syntax")).toEqual(["purpose", "runs", "reading", "statements", "point", "improve"]);
});

describe("a right, a half-right and a wrong answer of each", () => {
  test.each<[string, string, unknown, Array<number | null>]>([
    ["logic", "runs", { choices: { starts: "yes", class: "logic" } }, [1, 1]],
    ["runtime", "runs", { choices: { starts: "yes", class: "logic" } }, [1, 0]],
    ["syntax", "runs", { choices: { starts: "yes", class: "logic" } }, [0, 0]],
    ["syntax", "runs", { choices: { starts: "no", class: "syntax" } }, [1, 1]],
    ["logic", "input", { texts: { input: "2\n10\n" } }, [2]],
    ["logic", "input", { texts: { input: "7\r\n10" } }, [2]],
    ["logic", "input", { texts: { input: "4\n3" } }, [0]],
    ["logic", "input", { texts: { input: "a ferry" } }, [0]],
    ["logic", "input", { texts: { input: "10" } }, [0]],
    [
      "runtime",
      "reading",
      { texts: { what: "the name bil is not known", where: "line 6", not: "what was meant" } },
      [null, 1, null],
    ],
    ["runtime", "reading", { texts: { what: "the name bil is not known", where: "3", not: "" } }, [null, 0, 0]],
    ["syntax", "reading", { texts: {} }, [0, 0, 0]],
    ["logic", "purpose", { texts: { text: "It works out what cars pay." } }, [null]],
    ["logic", "purpose", { texts: { text: "  " } }, [0]],
    ["logic", "improve", { texts: { text: "Say what the bill is for." } }, [null]],
    ["logic", "improve", { texts: {} }, [0]],
  ])("%s, %s, %j: %j", async (name, kind, answer, expected) => {
    expect(await earned(name, kind, answer)).toEqual(expected);
  });

  test("true or false: all right, one wrong and one left open, guessed", async () => {
    const { statements } = content("runtime").tasks.find((task) => task.kind === "statements") as Task & {
      statements: Array<{ holds: boolean }>;
    };
    const right = Object.fromEntries(statements.map(({ holds }, at) => [`statement ${at + 1}`, String(holds)]));
    expect(statements.length).toBe(4);
    expect(await earned("runtime", "statements", { choices: right })).toEqual([2]);
    const half = { ...right, "statement 1": right["statement 1"] === "true" ? "false" : "true" };
    expect(await earned("runtime", "statements", { choices: half })).toEqual([1]);
    const { "statement 1": _, ...open } = right;
    expect(await earned("runtime", "statements", { choices: open })).toEqual([1.5]);
    const same = Object.fromEntries(Object.keys(right).map((name) => [name, "true"]));
    expect((await earned("runtime", "statements", { choices: same }))[0]).toBeLessThanOrEqual(1);
  });

  test("steps in their order, two of them swapped, backwards, with one number twice", async () => {
    const exercise = content("logic");
    const kind = kindOfTask({ kind: "steps" });
    const made = await kind.make(makeContext(services, { ...exercise, tasks: [] }), { key: "s", marks: 4 });
    if (typeof made === "string") throw new Error(made);
    const give = async (...places: number[]) => {
      const choices = Object.fromEntries(places.map((place, at) => [`step ${at}`, String(place)]));
      return (await kind.mark(made, { choices }, makeContext(services, exercise)))[0]?.earned;
    };
    expect(await give(1, 2, 3, 4, 5)).toBe(4);
    expect(await give(1, 3, 2, 4, 5)).toBe(3);
    expect(await give(5, 4, 3, 2, 1)).toBe(0);
    expect(await give(1, 1, 1, 1, 1)).toBe(0);
    const view = kind.view(made, exercise) as { questions: Array<{ name: string }> };
    expect(view.questions.map(({ name }) => name)).not.toEqual(["step 0", "step 1", "step 2", "step 3", "step 4"]);
    expect(await kind.make(makeContext(services, exercise), { key: "s", marks: 4 })).toContain("would say which kind");
  });
});

test("every exercise passes its own check: right answers earn all, blank ones nothing, no answer is seen", async () => {
  for (const exercise of exercises.values()) expect(await selfCheck(services, exercise)).toEqual([]);
});

test("no view holds the class, the faulty line or an input that shows the fault", () => {
  for (const exercise of exercises.values())
    for (const task of exercise.tasks) {
      const view = JSON.stringify(kindOfTask(task).view(task, exercise));
      expect(view).not.toMatch(/"right"|"holds"|"shows"|faultyLines|2\\n10/);
    }
});

test("every kind says what it earns, and its items add up", () => {
  for (const exercise of exercises.values())
    for (const task of exercise.tasks) {
      const kind = kindOfTask(task);
      expect(kind.rule(task).length).toBeGreaterThan(10);
      expect(kind.scheme(task, exercise).reduce((sum, item) => sum + item.marks, 0)).toBe(task.marks);
    }
  expect(new Set(taskKinds.map((each) => each.kind)).size).toBe(taskKinds.length);
});
