import type { ExerciseContent } from "../../core/exercises/exercise.ts";
import { classTextFor, type Reader, readerOf } from "../../core/lessons/classTexts.ts";
import { wordsBeside, wordsWhereMet } from "../../core/lessons/ideas.ts";
import { type PlannedPart, planOf } from "../../core/lessons/lesson.ts";
import { oneSignApart } from "../../core/lessons/oneSign.ts";
import type { Known, KnownExercise, KnownSheet } from "../../core/lessons/partKind.ts";
import { classesSchema } from "../../core/lessons/parts/classesPart.ts";
import { labSchema } from "../../core/lessons/parts/labPart.ts";
import { programPart, programSchema } from "../../core/lessons/parts/programPart.ts";
import { readingSchema } from "../../core/lessons/parts/readingPart.ts";
import { sheetSchema } from "../../core/lessons/parts/sheetPart.ts";
import { storySchema } from "../../core/lessons/parts/storyPart.ts";
import { blocksOf } from "../../core/lessons/readingTime.ts";
import { recapOf } from "../../core/lessons/recap.ts";
import { lineTexts } from "../../core/source/lines.ts";
import type { Database } from "../database/database.ts";
import { findExercise } from "../exercises/exerciseStore.ts";
import { findSheet, listPlaced } from "../sheets/sheetStore.ts";
import type { Lesson } from "./lessonStore.ts";
import { ownWordsOf } from "./ownWordsStore.ts";

type FoundExercise = { title: string; content: ExerciseContent };

/** What the parts of a lesson are shown with. `answers`: whether what comes of things is in it, too. */
type Showing = {
  exercises: ReadonlyMap<string, FoundExercise>;
  sheets: ReadonlyMap<string, { title: string; code: string; state: string }>;
  reader: Reader;
  words: ReadonlyMap<string, string>;
  parts: readonly PlannedPart[];
  answers: boolean;
};

/** The exercise that a part is about; "" where it is about none, or cannot be read. */
function keyIn(content: unknown, name: "exercise" | "sheet"): string {
  const value: unknown = Object(content)[name];
  return typeof value === "string" ? value : "";
}

/** What the course's words and ours say of classes. */
function classes(content: unknown, { reader, words }: Showing) {
  return classesSchema
    .parse(content)
    .classes.map((of) => ({ of, ...classTextFor(of, reader), words: wordsBeside(words, { class: of }) }));
}

/** A faulty program without anything that tells where its fault is; null where the exercise is not there any more. */
function program(content: unknown, { exercises }: Showing) {
  const { exercise, without } = programSchema.parse(content);
  const found = exercises.get(exercise);
  if (!found) return null;
  const { intro, fileName, program: text, checks, userActions } = found.content;
  return {
    ...{ exercise, without, title: found.title, intro, fileName, userActions, lines: lineTexts(text) },
    typed: checks[0]?.input ?? "",
  };
}

/** A right program with changes of one sign; null where the exercise is not there any more, or not mended. */
function lab(content: unknown, { exercises, answers }: Showing) {
  const { exercise, changes } = labSchema.parse(content);
  const found = exercises.get(exercise);
  const right = found?.content.mended ?? null;
  if (!found || right === null) return null;
  return {
    ...{ exercise, title: found.title, intro: found.content.intro, fileName: found.content.fileName, right },
    lines: lineTexts(right),
    typed: found.content.checks[0]?.input ?? "",
    changes: changes.flatMap(({ text, came }, number) => {
      const sign = oneSignApart(right, text);
      if (!sign) return [];
      const [before, after] = [lineTexts(right), lineTexts(text)].map((lines) => lines[sign.line - 1] ?? "");
      return [{ number, text, line: sign.line, before: before ?? "", after: after ?? "", came: answers ? came : null }];
    }),
  };
}

/** A sheet that is sat; null where it is not there any more. */
function sheet(content: unknown, { sheets }: Showing) {
  const key = sheetSchema.parse(content).sheet;
  const found = sheets.get(key);
  return found ? { key, ...found } : null;
}

/** What the lesson's own programs were, by class; nothing where no answers are shown. */
function recap(_: unknown, { parts, exercises, reader, words, answers }: Showing) {
  if (!answers) return [];
  const shown = parts.flatMap((part) =>
    part.kind === programPart.kind ? (exercises.get(keyIn(part.content, "exercise")) ?? []) : [],
  );
  return recapOf(shown, reader).map((each) => ({ ...each, words: wordsWhereMet(words, each.of, shown) }));
}

const reading = (content: unknown) => blocksOf(readingSchema.parse(content).text);
const story = (content: unknown) => blocksOf(storySchema.parse(content).text);

/** What each kind of part shows. */
const views = { classes, program, lab, reading, story, sheet, recap };
type Kind = keyof typeof views;

/** A part as it is shown: what every part has, and what its kind shows. */
export type ShownPart = {
  [Each in Kind]: Pick<PlannedPart, "key" | "name" | "takes" | "firstTask" | "tasks"> & {
    kind: Each;
    shows: ReturnType<(typeof views)[Each]>;
  };
}[Kind];

function shownPart({ key, kind, name, takes, firstTask, tasks, content }: PlannedPart, showing: Showing): ShownPart[] {
  if (!Object.hasOwn(views, kind)) return [];
  const of = kind as Kind;
  return [{ key, kind: of, name, takes, firstTask, tasks, shows: views[of](content, showing) } as ShownPart];
}

/** What a lesson has to know of an exercise. */
export function knownExercise(key: string, title: string, content: Pick<ExerciseContent, "faults">): KnownExercise {
  return { key, title, classes: [...new Set(content.faults.map((fault) => fault.class))] };
}

/**
 * A lesson with its parts as they are shown, their minutes and numbered tasks. With `answers` what comes of the changes of a
 * lab and how the programs were mended is in it; without it a page of it tells students nothing beforehand.
 */
export async function lessonView(database: Database, lesson: Lesson, answers: boolean) {
  const exercises = new Map<string, FoundExercise>();
  const sheets = new Map<string, { title: string; code: string; state: string }>();
  const ofExercises = new Map<string, KnownExercise>();
  const ofSheets = new Map<string, KnownSheet>();
  for (const { content } of lesson.content.parts) {
    const exercise = await findExercise(database, keyIn(content, "exercise"));
    if (exercise) {
      exercises.set(exercise.key, exercise);
      ofExercises.set(exercise.key, knownExercise(exercise.key, exercise.title, exercise.content));
    }
    const found = await findSheet(database, keyIn(content, "sheet"));
    if (!found) continue;
    const placed = await listPlaced(database, found.key);
    const marks = placed.flatMap((each) => each.content.tasks).reduce((sum, task) => sum + task.marks, 0);
    sheets.set(found.key, { title: found.title, code: found.code, state: found.state });
    ofSheets.set(found.key, { key: found.key, title: found.title, marks, minutes: found.rules.minutes });
  }
  const counted: Known = { exercises: ofExercises, sheets: ofSheets };
  const plan = planOf(lesson.content, counted);
  const reader = readerOf(lesson.reader);
  const words = await ownWordsOf(database, lesson.course);
  const showing: Showing = { exercises, sheets, reader, words, parts: plan.parts, answers };
  return {
    ...{ title: lesson.title, course: lesson.course_name, wording: lesson.wording, reader, minutes: plan.minutes },
    parts: plan.parts.flatMap((part) => shownPart(part, showing)),
  };
}
export type LessonView = Awaited<ReturnType<typeof lessonView>>;
