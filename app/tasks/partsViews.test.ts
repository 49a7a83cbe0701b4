import { createElement } from "react";
import { renderToStaticMarkup } from "react-dom/server";
import { createMemoryRouter, RouterProvider } from "react-router";
import { afterAll, beforeAll, expect, test } from "vitest";
import type { ExerciseContent } from "../../core/exercises/exercise.ts";
import { kindOfTask } from "../../core/exercises/taskKinds.ts";
import { deckMended, deckProgram } from "../../core/exercises/testExercise.ts";
import { findLanguage } from "../../core/languages/languages.ts";
import { exerciseOfPrograms } from "../../server/exercises/exerciseOfPrograms.ts";
import { openTestServices } from "../../server/testServices.ts";
import { partsOf } from "./list.ts";
import type { FormProps } from "./taskParts.ts";

let services: Awaited<ReturnType<typeof openTestServices>>;
const exercises: ExerciseContent[] = [];

const askForDeck = (program: string) =>
  program.replace("deck = 4", 'deck = int(input("Deck? "))\nif deck > 3:\n    deck = 4');
const check = {
  input: "4\n",
  expected: "Deck? Deck load: 7\n",
  kind: "normal" as const,
  ignorePrompts: false,
  files: {},
};

beforeAll(async () => {
  services = await openTestServices();
  const language = findLanguage("python");
  if (!language) throw new Error("no Python");
  for (const kinds of [
    ["byhand", "suspects", "testdata", "limits", "condition", "compare", "versions", "intentions", "rounds"],
    ["unfinished"],
    ["switches", "provoke", "handler"],
  ]) {
    const order = { program: askForDeck(deckProgram), mended: askForDeck(deckMended), checks: [check] };
    const tasks = kinds.map((kind) => ({ kind, marks: 4 }));
    const made = await exerciseOfPrograms(services, { ...order, language, fileName: "deck.py", intro: "", tasks });
    expect(made.surprises).toEqual([]);
    exercises.push(made.content);
  }
});
afterAll(() => services.close());

function drawn(props: FormProps<unknown>, kind: string): string {
  const { Form } = partsOf(kind);
  const router = createMemoryRouter([{ path: "/", element: createElement(Form, props) }]);
  return renderToStaticMarkup(createElement(RouterProvider, { router }));
}

test("form, paper and answer of every kind in parts: first blank, then filled and read", () => {
  for (const exercise of exercises)
    for (const task of exercise.tasks) {
      const kind = kindOfTask(task);
      const ofTask = {
        key: "e",
        program: exercise.program,
        lines: [],
        language: "python",
        tried: false,
        fileName: "program.py",
        dataFiles: [],
        runsHere: null,
      };
      const nothing = { change: () => undefined, saveNow: async () => undefined };
      const form = { taskKey: "t", exercise: ofTask, code: "ABC", fixed: false, ...nothing };
      const blank = drawn({ ...form, view: kind.view(task, exercise), answer: null }, task.kind);
      expect(blank, task.kind).toMatch(/<textarea|<input|<select/);
      const model = kind.model?.(task, exercise) ?? { texts: { program: "print()" }, closed: 0 };
      const filled = drawn({ ...form, view: kind.view(task, exercise, model), answer: model, fixed: true }, task.kind);
      expect(filled, task.kind).not.toContain("Go on to step");
      const { Paper, Answer } = partsOf(task.kind);
      const printed = renderToStaticMarkup(createElement(Paper, { view: kind.view(task, exercise) }));
      expect(printed.length, task.kind).toBeGreaterThan(60);
      const read = renderToStaticMarkup(createElement(Answer, { compared: kind.compare(task, model, exercise) }));
      expect(read.length, task.kind).toBeGreaterThan(60);
    }
});

test("a task in steps shows the first one, says how many follow, and keeps what was given", () => {
  const [exercise] = exercises;
  const task = exercise?.tasks.find(({ kind }) => kind === "compare");
  if (!exercise || !task) throw new Error("not made");
  const kind = kindOfTask(task);
  const ofTask = {
    key: "e",
    program: exercise.program,
    lines: [],
    language: "python",
    tried: false,
    fileName: "program.py",
    dataFiles: [],
    runsHere: null,
  };
  const form = { taskKey: "t", exercise: ofTask, code: "ABC", change: () => undefined, saveNow: async () => undefined };
  const first = drawn({ ...form, view: kind.view(task, exercise), answer: null, fixed: false }, "compare");
  expect(first).toContain("Step 1: ");
  expect(first).toContain("Go on to step 2");
  expect(first).not.toContain("This is what came out");
  const answer = { texts: { output: "Deck load: 7" }, closed: 1 };
  const second = drawn({ ...form, view: kind.view(task, exercise, answer), answer, fixed: false }, "compare");
  expect(second).toContain("This is what came out");
  expect(second).toContain("Deck load: 1");
  expect(second).toMatch(/<textarea[^>]*disabled[^>]*>Deck load: 7/);
  expect(second).not.toContain("Go on to step");
});
