import { totalMarks } from "../core/exercises/exercise.ts";
import { kindOfTask } from "../core/exercises/taskKinds.ts";
import { lineTexts } from "../core/source/lines.ts";
import { codeGuesses, labelOfCourse } from "./guesses.ts";
import { sameCode } from "./keys.ts";
import type { Services } from "./services.ts";
import { listStudents, type Student } from "./stores/courses.ts";
import { type Edition, findEdition, findLastEdition, findSheetByCode, type Sheet } from "./stores/sheets.ts";
import { beginSitting, findSitting, listAnswers, listMarks, type Sitting } from "./stores/sittings.ts";

/** Name of the cookie that holds a student's sitting; its value is an unguessable key. */
export const sittingCookie = "bent-nail-sitting";

/** A cookie's value; one that is not encoded as it should be is nobody's. */
function decoded(value: string): string | null {
  try {
    return decodeURIComponent(value);
  } catch {
    return null;
  }
}

/** Reads a cookie of a request. */
export function readCookie(request: Request, name: string): string | null {
  for (const part of (request.headers.get("cookie") ?? "").split(";")) {
    const [key, ...value] = part.trim().split("=");
    if (key === name) return decoded(value.join("="));
  }
  return null;
}

/** The student that a label and a personal code belong to. Words for the student if there is none, or if too many wrong codes came before. */
export async function knowStudent(
  services: Services,
  course: string,
  label: string,
  code: string,
  address: string,
): Promise<{ ok: true; student: Student } | { ok: false; message: string }> {
  const name = labelOfCourse(course, label);
  const refusal = codeGuesses.refusal(address, name);
  if (refusal !== null) return { ok: false, message: refusal };
  const student = (await listStudents(services.database, course)).find((each) => each.label === label.trim());
  if (!student || !sameCode(student.personal_code, code)) {
    codeGuesses.wrong(address, name);
    return { ok: false, message: "Label and personal code do not belong together. Look at your slip again." };
  }
  codeGuesses.right(address, name);
  return { ok: true, student };
}

/** Lets a student in by label and personal code. Words for the student if not; they do not tell which of the two was wrong. */
export async function enterSitting(
  services: Services,
  sheet: Sheet,
  label: string,
  code: string,
  address: string,
): Promise<{ ok: true; sitting: string } | { ok: false; message: string }> {
  if (sheet.state === "draft") return { ok: false, message: "This sheet is not open yet." };
  const entered = await knowStudent(services, sheet.course, label, code, address);
  if (!entered.ok) return entered;
  const { student } = entered;
  const edition = await findLastEdition(services.database, sheet.key);
  if (!edition) return { ok: false, message: "This sheet is not open yet." };
  return { ok: true, sitting: await beginSitting(services.database, edition.key, student.key) };
}

export type OpenSitting = { sheet: Sheet; sitting: Sitting; edition: Edition };

/** The sitting that a request's cookie stands for, if it belongs to the sheet with this code. */
export async function sittingOfRequest(services: Services, request: Request, code: string): Promise<{ sheet: Sheet | null; open: OpenSitting | null }> {
  const key = readCookie(request, sittingCookie);
  // Both at once: this is asked before every save of a whole class.
  const [sheet, sitting] = await Promise.all([findSheetByCode(services.database, code), key ? findSitting(services.database, key) : null]);
  if (!sheet) return { sheet, open: null };
  const edition = sitting ? await findEdition(services.database, sitting.edition) : null;
  if (!sitting || !edition || edition.sheet !== sheet.key) return { sheet, open: null };
  return { sheet, open: { sheet, sitting, edition } };
}

/** Task kinds that are answered before the program is tried; after the first try they stay as they are. */
export const answeredBeforeTrying: readonly string[] = ["predict", "trace"];

/** Name of the note that an exercise's program was tried in a sitting. */
export function triedNote(exercise: string): string {
  return `tried ${exercise}`;
}

/**
 * All that a student's page holds: programs, tasks without their answers, what the student wrote, and after release the
 * student's own marks. Nothing else of the exercise is in it.
 */
export async function studentView(services: Services, { sheet, sitting, edition }: OpenSitting) {
  const answers = await listAnswers(services.database, sitting.key);
  const released = sheet.released_at !== null && sitting.handed_in_at !== null;
  const marks = released ? await listMarks(services.database, [sitting.key]) : [];
  return {
    title: edition.content.title,
    label: sitting.label,
    closed: sheet.state === "closed",
    handedIn: sitting.handed_in_at !== null,
    released,
    exercises: edition.content.exercises.map(({ key, title, content }) => ({
      key,
      title,
      intro: content.intro,
      fileName: content.fileName,
      language: content.language,
      dataFiles: Object.entries(content.checks[0]?.files ?? {}).map(([name, text]) => ({ name, text })),
      lines: lineTexts(content.program),
      program: content.program,
      total: totalMarks(content),
      tried: answers.some((answer) => answer.task === triedNote(key)),
      tasks: content.tasks.map((task) => {
        const kind = kindOfTask(task);
        return {
          key: task.key,
          kind: task.kind,
          title: kind.title,
          marks: task.marks,
          rule: kind.rule(task),
          view: kind.view(task, content),
          marked: marks
            .filter((mark) => mark.task === task.key)
            .map((mark) => ({ item: mark.item, earned: mark.earned, possible: mark.possible, reason: mark.reason })),
        };
      }),
    })),
    answers: Object.fromEntries(answers.map((answer) => [answer.task, { revision: answer.revision, content: answer.content }])),
  };
}
export type StudentView = Awaited<ReturnType<typeof studentView>>;
