import type { PartField, TaskPart } from "../exercises/asked.ts";
import { fenced, numbered, plain } from "./markdown.ts";
import { type SheetToWrite, type WrittenTask, writtenExercises } from "./sheetContent.ts";

/** Room for an answer: boxes to tick, lines to write on, or what stands in it at first. */
function room({ options, rows, starts }: PartField): string[] {
  if (options) return [...options.map(({ words }) => `- [ ] ${plain(words)}`), ""];
  if (starts !== undefined) return fenced(starts);
  return Array.from({ length: Math.min(rows, 12) }, () => ["\\_".repeat(30), ""]).flat();
}

function shownOf(part: TaskPart): string[] {
  return part.shown.flatMap(({ says, text, isProgram, firstLine }) => [
    ...(says ? [plain(says), ""] : []),
    ...fenced(isProgram ? numbered(text, firstLine ?? 1) : text || "(nothing)"),
  ]);
}

/** A question's words, unless they only repeat the title of its task. */
const asked = (says: string, title: string) => (says === "" || says === title ? [] : [`**${plain(says)}**`, ""]);

function taskLines(task: WrittenTask, letter: string, withKey: boolean): string[] {
  return [
    ...[`### ${letter}) ${plain(task.title)} (${task.marks})`, "", plain(task.rule), ""],
    ...task.parts.flatMap((part) => [
      ...(part.says ? [plain(part.says), ""] : []),
      ...shownOf(part),
      ...part.fields.flatMap((field) => [
        ...asked(field.says, task.title),
        ...(withKey ? rightOf(field, task.right[field.name]) : room(field)),
      ]),
    ]),
  ];
}

/** What is right in a field, for the teacher's copy. */
function rightOf({ options }: PartField, right: string | undefined): string[] {
  if (right === undefined) return ["_read by the teacher_", ""];
  const words = options?.find(({ value }) => value === right)?.words;
  return words === undefined ? fenced(right) : [`→ ${plain(words)}`, ""];
}

/**
 * A sheet as Markdown (CommonMark with the task lists of GFM): for students with room for answers, or with the right ones
 * where a program can tell them (`withKey`).
 */
export function sheetMarkdown(sheet: SheetToWrite, withKey = false): string {
  const exercises = writtenExercises(sheet);
  const total = exercises.reduce((sum, exercise) => sum + exercise.total, 0);
  const head = [`${total} marks`, ...(sheet.minutes ? [`${sheet.minutes} minutes`] : [])].join(", ");
  const lines = [
    ...[`# ${plain(sheet.title)}${withKey ? ": answers" : ""}`, "", head, ""],
    ...(withKey ? [] : ["Label: \\_\\_\\_\\_\\_\\_\\_\\_\\_\\_ Date: \\_\\_\\_\\_\\_\\_\\_\\_", ""]),
    ...exercises.flatMap((exercise, at) => [
      ...(exercise.section !== "" && exercise.section !== exercises[at - 1]?.section
        ? [`## ${plain(exercise.section)}`, ""]
        : []),
      ...[`## ${at + 1}. ${plain(exercise.title)} (${exercise.total})`, ""],
      ...(exercise.intro ? [plain(exercise.intro), ""] : []),
      ...exercise.userActions.flatMap((action) => [`- ${plain(action)}`]),
      ...(exercise.userActions.length > 0 ? [""] : []),
      exercise.faults === 1 ? "There is one fault in it." : `There are ${exercise.faults} faults in it.`,
      ...["", ...fenced(numbered(exercise.program, 1))],
      ...exercise.files.flatMap(({ name, text }) =>
        text === null
          ? [`There is no file ${plain(name)}.`, ""]
          : [`Beside the program lies ${plain(name)}:`, "", ...fenced(text)],
      ),
      ...exercise.given.flatMap(({ says, text }) => [plain(says), "", ...fenced(text || "(nothing)")]),
      ...exercise.tasks.flatMap((task, place) => taskLines(task, String.fromCharCode(97 + place), withKey)),
    ]),
  ];
  return `${lines.join("\n").trimEnd()}\n`;
}
