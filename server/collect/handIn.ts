import { withoutTry } from "../../core/collecting/arrange.ts";
import { type HandIn, problemOfOutput, problemsOfHandIn } from "../../core/collecting/handIn.ts";
import { findLanguage, languages } from "../../core/languages/languages.ts";
import { languageOfProgram } from "../../core/languages/recognise.ts";
import { decodeText } from "../../core/source/decode.ts";
import type { Assignment } from "../assignments/assignmentStore.ts";
import { collectCase, findByReceipt, findCase, insertHandIn, listOpenHandIns } from "../cases/caseStore.ts";
import { refreshSearchText } from "../cases/searchStore.ts";
import { insertAddition, insertOutput } from "../cases/versionStore.ts";
import { startJudgingAssignment } from "../classwork/judgeAssignment.ts";
import { newCode } from "../keys.ts";
import { createAttempts } from "../people/attempts.ts";
import { type Course, listStudents, type Student } from "../people/courseStore.ts";
import { knowStudent } from "../people/knowStudent.ts";
import type { Services } from "../services.ts";

/** Hand-ins that a student, or without students an address, has in ten minutes. */
const handIns = createAttempts(30, 10 * 60_000);

/** A hand-in that was taken, with its number, or what is still missing, by field; "" where it is about the whole. */
export type HandInResult =
  | { ok: true; receipt: string; again: boolean }
  | { ok: false; problems: Record<string, string> };

let line: Promise<unknown> = Promise.resolve();

/** Hand-ins write one after another, so that whoever saves an answer meanwhile waits for one of them at the most. */
function oneAfterAnother<Result>(work: () => Promise<Result>): Promise<Result> {
  const turn = line.then(work);
  line = turn.catch(() => undefined);
  return turn;
}

/** The language of a hand-in: by its file's name and text, else the course's. */
function languageOf(course: Course, fileName: string, text: string) {
  return (
    (fileName === "" ? undefined : languageOfProgram(fileName, text)) ?? findLanguage(course.language) ?? languages[0]
  );
}

/**
 * Takes a program that a student hands in. `questions`: whether the three questions were asked (on the page) or not
 * (from a terminal). A program that the student handed in before, and that is not judged yet, becomes its next version
 * under the same number.
 */
export async function handIn(
  services: Services,
  { course, assignment }: { course: Course; assignment: Assignment },
  given: HandIn,
  program: Uint8Array,
  from: { address: string; questions: boolean },
): Promise<HandInResult> {
  const refuse = (message: string): HandInResult => ({ ok: false, problems: { "": message } });
  if (!assignment.hand_in_open) return refuse("This course takes no programs at the moment. Ask your teacher.");
  let student: Student | null = null;
  if ((await listStudents(services.database, course.key)).length > 0) {
    const known = await knowStudent(services, course.key, given.student, given.code, from.address);
    if (!known.ok) return refuse(known.message);
    student = known.student;
  }
  // What the assignment says nobody is asked for.
  const states = assignment.statement.trim() !== "";
  const problems = problemsOfHandIn(given, program, { intent: from.questions && !states, instead: from.questions });
  if (Object.keys(problems).length > 0) return { ok: false, problems };
  if (!handIns.allowed(student ? student.key : `${course.key} ${from.address}`))
    return refuse("That is a lot in a short time. Wait a few minutes.");

  const language = languageOf(course, given.fileName, decodeText(program).text);
  if (!language) throw new Error("no languages");
  const name = given.fileName.replace(/[\\/\0]/g, "_").trim() || language.mainName;
  const files = [{ name, bytes: program }];
  const outputs = given.output.trim() === "" ? [] : [{ origin: "", text: given.output }];
  const earlier = student ? await earlierHandIn(services, student.key, assignment.key, language.id, name) : null;
  if (earlier) {
    await oneAfterAnother(() =>
      services.database.transaction((query) => insertHandIn(query, earlier.key, files, outputs)),
    );
    await startJudgingAssignment(services, assignment.key, [earlier.key]);
    return { ok: true, receipt: earlier.receipt, again: true };
  }
  const receipt = newCode(8);
  const handedIn = {
    language: language.id,
    course: course.key,
    assignment: assignment.key,
    student: student?.key ?? null,
    title: titleOf(given.intent, name),
    intent:
      given.cannotSay && given.intent.trim() === "" ? "(could not say, after reading the task again)" : given.intent,
    instead: given.instead,
    changedLast: given.changedLast,
    files,
    moreOutputs: outputs,
    input: given.input,
    symptom: null,
    userActions: given.userActions.split("\n").filter((step) => step.trim() !== ""),
    receipt,
  };
  const key = await oneAfterAnother(() => collectCase(services.database, handedIn));
  await startJudgingAssignment(services, assignment.key, [key]);
  return { ok: true, receipt, again: false };
}

function titleOf(intent: string, name: string): string {
  const first = intent.trim().split("\n")[0] || name;
  return first.length > 90 ? `${first.slice(0, 89)}…` : first;
}

/** An unjudged case that the same student handed in under the same name (tries numbered or not), or null. */
async function earlierHandIn(services: Services, student: string, assignment: string, language: string, name: string) {
  const open = await listOpenHandIns(services.database, student, assignment, language);
  return open.find((each) => withoutTry(each.name).stem === withoutTry(name).stem) ?? null;
}

/** What a student may see of a hand-in: what was handed in, nothing that was found out about it. */
export async function receiptView(services: Services, receipt: string) {
  const key = await findByReceipt(services.database, receipt);
  const found = key === null ? null : await findCase(services.database, key, "all");
  if (!found?.receipt) return null;
  const handed = found.loaded.filter((version) => version.handed_in && !version.worked);
  return {
    key: found.key,
    view: {
      receipt: found.receipt,
      intent: found.intent,
      instead: found.instead,
      changedLast: found.changed_last,
      versions: handed.map((version) => ({
        number: handed.indexOf(version) + 1,
        name: version.files[0]?.name ?? "",
        text: version.files[0]?.text ?? "",
        outputs: found.outputs.filter((output) => output.version === version.key).map((output) => output.content),
      })),
      additions: found.additions.map((addition) => addition.content),
    },
  };
}

/** Adds a student's words or another output to a hand-in. Words for the student if nothing was added. */
export async function addToHandIn(
  services: Services,
  key: string,
  given: { words: string; output: string },
): Promise<string | null> {
  const found = await findCase(services.database, key);
  if (!found) return "This number is not known.";
  if (given.words.trim() === "" && given.output.trim() === "") return "There is nothing in it yet.";
  if (given.words.length > 20_000) return "That is longer than 20 000 characters. Say it in fewer words.";
  const tooLong = problemOfOutput(given.output);
  if (tooLong !== null) return tooLong;
  if (found.additions.length >= 40 || !handIns.allowed(`receipt ${key}`))
    return "That is a lot already. Ask your teacher.";
  if (given.words.trim() !== "")
    await services.database.transaction(async (query) => {
      await insertAddition(query, key, given.words);
      await refreshSearchText(query, key);
    });
  if (given.output.trim() !== "")
    await oneAfterAnother(() =>
      services.database.transaction(async (query) => {
        await insertOutput(query, found.current_version, { origin: "added later", text: given.output });
        await refreshSearchText(query, key);
      }),
    );
  return null;
}
