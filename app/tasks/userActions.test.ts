import { createElement } from "react";
import { renderToStaticMarkup } from "react-dom/server";
import { createMemoryRouter, RouterProvider } from "react-router";
import { expect, test } from "vitest";
import { sketchActions } from "../../core/languages/sketch/actions.ts";
import { Form as Mend } from "./mend/Form.tsx";
import { TypedIn } from "./shown.tsx";
import type { TaskExercise } from "./taskParts.ts";

const exercise: TaskExercise = {
  key: "e",
  program: "void draw() {}\n",
  lines: [],
  language: "sketch",
  tried: false,
  fileName: "program.py",
  dataFiles: [],
  runsHere: null,
};

function form(actions: TaskExercise["actions"]): string {
  const nothing = { change: () => undefined, saveNow: async () => undefined };
  const props = {
    taskKey: "t",
    view: null,
    exercise: { ...exercise, actions },
    code: "ABC",
    answer: null,
    fixed: false,
  };
  const router = createMemoryRouter([{ path: "/", element: createElement(Mend, { ...props, ...nothing }) }]);
  return renderToStaticMarkup(createElement(RouterProvider, { router }));
}

test("where a program has a user, a student is told how what that user does is written", () => {
  const html = form(sketchActions);
  expect(html).toContain("What the user does");
  expect(html).toContain("click 40 20");
  expect(html).not.toContain("Type in, a line for each question");
  expect(form(null)).toContain("Type in, a line for each question");
});

test("what is given for a run is called after what it is", () => {
  const shown = (input: string, label?: string) => renderToStaticMarkup(createElement(TypedIn, { input, label }));
  expect(shown("frame 4\nclick 1 2\n", "What the user does")).toMatch(
    /What the user does: <kbd[^>]*>frame 4<\/kbd><kbd/,
  );
  expect(shown("4\n")).toContain("Typed in: ");
  expect([shown(""), shown("", "What the user does")]).toEqual([
    expect.stringContaining("Nothing is typed in."),
    expect.stringContaining("What the user does: nothing."),
  ]);
});
