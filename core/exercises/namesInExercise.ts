import type { ExerciseContent } from "./exercise.ts";
import { findNames } from "./names.ts";

/** A word that gives somebody away, and where it stands in an exercise, in words for the teacher. */
export type NamePlace = { word: string; place: string };

/** All texts of an exercise that students see or that are marked by, each with what it is called. */
function textsOf(title: string, content: ExerciseContent): Array<[place: string, text: string, hasLines: boolean]> {
  return [
    ["the title", title, false],
    ["the introduction", content.intro, false],
    ["the user’s steps", content.userActions.join("\n"), true],
    ["the file name", content.fileName, false],
    ["the program", content.program, true],
    ["the mended program", content.mended ?? "", true],
    ...content.checks.flatMap(
      (check, index): Array<[string, string, boolean]> => [
        [`the input of check ${index + 1}`, check.input, true],
        [`the intended output of check ${index + 1}`, check.expected ?? "", true],
        ...Object.entries(check.files).map(([name, text]): [string, string, boolean] => [
          `the file ${name} of check ${index + 1}`,
          `${text ?? ""} ${name}`,
          true,
        ]),
      ],
    ),
    ...content.given.map(({ text }): [string, string, boolean] => ["what students see of its runs", text, true]),
    ...content.faults.map((fault): [string, string, boolean] => ["a message of the tool", fault.message, false]),
    ...content.tasks.map((task, index): [string, string, boolean] => [
      `task ${index + 1} or its key`,
      textsIn(task).join("\n"),
      false,
    ]),
  ];
}

/** All texts in a value, however deep. */
function textsIn(value: unknown): string[] {
  if (typeof value === "string") return [value];
  if (typeof value !== "object" || value === null) return [];
  return Object.values(value).flatMap(textsIn);
}

/** Where an exercise still holds one of the words, each place once. */
export function namesInExercise(title: string, content: ExerciseContent, words: readonly string[]): NamePlace[] {
  const seen = new Set<string>();
  return textsOf(title, content).flatMap(([place, text, hasLines]) =>
    findNames(text, words).flatMap(({ word, line }) => {
      const found = { word, place: hasLines ? `${place}, line ${line}` : place };
      const key = JSON.stringify(found);
      if (seen.has(key)) return [];
      seen.add(key);
      return [found];
    }),
  );
}
