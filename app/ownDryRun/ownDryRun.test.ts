import { createElement } from "react";
import { renderToStaticMarkup } from "react-dom/server";
import { createMemoryRouter, RouterProvider } from "react-router";
import { expect, test } from "vitest";
import { createRecordingReader } from "../../core/trace/readRecording.ts";
import { buildTable } from "../../core/trace/table.ts";
import type { TaskExercise } from "../tasks/taskParts.ts";
import { OwnDryRun } from "./OwnDryRun.tsx";
import { GuessLog } from "./OwnNotes.tsx";
import { OwnWork } from "./OwnWork.tsx";
import type { Recording } from "./useRecording.ts";

const text = "load = 4\nload = load + 3\nprint(load)\n";
const steps = createRecordingReader().read('[["f",0,0,0],1,["d",1,0,"load"],-1,4,2,-1,7,3]') ?? [];
const run: Recording = { ...buildTable({ steps }), ended: "It ended by itself.", text, change: null };

const words = (markup: string) =>
  markup
    .replace(/<option[^>]*>/g, " | ")
    .replace(/<[^>]+>/g, " ")
    .replace(/\s+/g, " ");
const shown = (part: Partial<Parameters<typeof OwnDryRun>[0]> = {}) =>
  words(
    renderToStaticMarkup(
      createElement(OwnDryRun, {
        ...{ run, from: 0, busy: false, onBack: null },
        ...{ onGuessed: () => undefined, onWhatIf: () => undefined, onClose: () => undefined },
        ...part,
      }),
    ),
  );

test("it stands before a line, with what the watched name holds there", () => {
  expect(shown()).toContain("Line 1 is next.");
  expect(shown()).toContain("no value yet");
  expect(shown({ from: 1 })).toMatch(/Line 2 is next\..*Watch holds now after this line \| load 4 /);
  expect(shown({ from: 3 })).toContain("It ended by itself.");
});

test("a run that was changed says what was changed, and leads back", () => {
  const change = { step: 1, line: 2, put: { name: "load", value: "9" } };
  const changed = shown({ run: { ...run, change }, from: 1, onBack: () => undefined });
  expect(changed).toContain("What if load were 9 before line 2");
  expect(changed).toContain("Back to the real run");
});

test("a text that never started has nothing to go through, and says why", () => {
  expect(shown({ run: { ...run, rows: [], columns: [], ended: "It was refused before any line ran." } })).toContain(
    "No line ran. It was refused before any line ran.",
  );
});

test("beside the program there are its dry run, the guesses so far, and room to tell the trouble", () => {
  const exercise: TaskExercise = {
    ...{ key: "e", program: text, lines: [], language: "python", tried: true, fileName: "program.py" },
    ...{ dataFiles: [], runsHere: null },
  };
  const guesses = [
    { line: 2, name: "load", guess: "7", became: "7", right: true },
    { line: 3, name: "load", guess: "8", became: "7", right: false },
  ];
  const props = {
    ...{ code: "c", exercise, text, input: "", busy: false, note: { told: "It adds too much.", guesses } },
    ...{ onNote: () => undefined, beforeRun: async () => undefined },
  };
  const router = createMemoryRouter([{ path: "/", element: createElement(OwnWork, props) }]);
  const page = words(renderToStaticMarkup(createElement(RouterProvider, { router })));
  expect(page).toContain("Go through it line by line");
  expect(page).toContain("1 of 2 guesses right");
  expect(page).toMatch(/3 load 8 7 not so.*2 load 7 7 right/);
  expect(page).toContain("It adds too much.");
  expect(words(renderToStaticMarkup(createElement(GuessLog, { guesses: [] })))).toBe("");
});
