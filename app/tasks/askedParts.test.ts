import { createElement } from "react";
import { renderToStaticMarkup } from "react-dom/server";
import { expect, test } from "vitest";
import type { MakeContext } from "../../core/exercises/taskKind.ts";
import { taskKinds } from "../../core/exercises/taskKinds.ts";
import { testExercise } from "../../core/exercises/testExercise.ts";
import { allTaskParts, partsOf } from "./list.ts";

const [fault] = testExercise().faults;
const message = "NameError: name 'dekc' is not defined";
const exercise = testExercise({
  intro: "how full the deck is",
  faults: fault ? [{ ...fault, class: "runtime", message, reportedLine: 2 }] : [],
});
/** None of the kinds that are drawn here runs anything when it is made. */
const context: MakeContext = {
  ...{ exercise, run: async () => ({ notRun: "not asked", unknown: false }) },
  record: async () => ({ notRun: "not asked" }),
};
const drawn = ["purpose", "runs", "reading", "statements", "steps", "improve"];

test("every kind of task has its parts, and no parts are of no kind", () => {
  expect(allTaskParts.map(({ kind }) => kind)).toEqual(taskKinds.map(({ kind }) => kind));
});

test.each(drawn)("%s: form, paper and answer say what is asked and what was said", async (name) => {
  const kind = taskKinds.find((each) => each.kind === name);
  const made = await kind?.make(context, { key: "t", marks: 4 });
  if (!kind || !made || typeof made === "string") throw new Error(String(made));
  const { Form, Paper, Answer } = partsOf(name);
  const view = kind.view(made, exercise);
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
  const form = { taskKey: "t", view, exercise: ofTask, code: "ABC", answer: undefined, fixed: false };
  const nothing = { change: () => undefined, saveNow: async () => undefined };
  const blank = renderToStaticMarkup(createElement(Form, { ...form, ...nothing }));
  expect(blank).toMatch(/<textarea|<input|<select/);
  const model = kind.model?.(made, exercise) ?? { texts: { text: "cars & lorries", what: "cars & lorries" } };
  const filled = renderToStaticMarkup(createElement(Form, { ...form, ...nothing, answer: model, fixed: true }));
  expect(filled).toContain("disabled");
  const printed = renderToStaticMarkup(createElement(Paper, { view }));
  expect(printed.length).toBeGreaterThan(60);
  const answer = renderToStaticMarkup(createElement(Answer, { compared: kind.compare(made, model, exercise) }));
  expect(answer).toMatch(kind.model ? /<strong>/ : /cars &amp; lorries/);
  if (name === "reading") expect(blank).toContain("dekc");
});
