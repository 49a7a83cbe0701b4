import { redirect } from "react-router";
import * as z from "zod";
import { type NewCase, problemsOfNewCase } from "../../../core/cases/case.ts";
import { isChartText } from "../../../core/flowcharts/chartText.ts";
import { programOfChart } from "../../../core/flowcharts/structured.ts";
import type { Language } from "../../../core/languages/language.ts";
import { findLanguage, languages } from "../../../core/languages/languages.ts";
import { languageOfProgram, wrongLanguageWords } from "../../../core/languages/recognise.ts";
import { decodeText } from "../../../core/source/decode.ts";
import { collectCase } from "../../../server/cases/caseStore.ts";
import { type Course, findCourse } from "../../../server/people/courseStore.ts";
import type { Services } from "../../../server/services.ts";
import { defineAction, incomplete } from "../../actions.ts";
import { field } from "../../forms.ts";

/** Most characters of a file that is sent beside its text, as base64 of at most 2 MB and a little more. */
const mostOriginal = 4_000_000;

const schema = z.object({
  title: field.text(1000),
  purpose: field.text(20_000),
  program: field.text(3_000_000),
  original: field.text(mostOriginal),
  fileName: field.text(200),
  language: field.text(40),
  /** Course and student, "course" or "course/student". */
  student: field.text(100),
  input: field.text(),
  expected: field.text(),
  expectsNothing: field.ticked(),
  actual: field.text(),
  errorOutput: field.text(),
  symptom: field.text(40),
  changedLast: field.text(20_000),
  worked: field.text(),
  userActions: field.text(20_000),
  source: field.text(200),
  onlyRead: field.ticked(),
  firstLine: z.preprocess((given) => given ?? ["1"], field.whole(1, 1_000_000)),
  languageIsRight: field.ticked(),
});
type Given = z.output<typeof schema>;

/**
 * The program's bytes: those of the dropped file as long as its text was not edited afterwards, else the field's text.
 */
function programBytes({ original, program }: Given): Uint8Array {
  if (original !== "") {
    const bytes = Buffer.from(original, "base64");
    if (decodeText(bytes).text.replaceAll("\r\n", "\n").replaceAll("\r", "\n") === program) return bytes;
  }
  return Buffer.from(program, "utf8");
}

function titleOf({ title, purpose: intent }: Given, fileName: string): string {
  const first = title.trim() || intent.trim().split("\n")[0] || fileName;
  return first.length > 90 ? `${first.slice(0, 89)}…` : first;
}

function languageFor(given: Given, program: string, course: Course | null): Language {
  const language =
    findLanguage(given.language) ??
    languageOfProgram(given.fileName, program) ??
    findLanguage(course?.language ?? "") ??
    languages[0];
  if (!language) throw new Error("no languages");
  return language;
}

function caseOf(given: Given, bytes: Uint8Array, language: Language): NewCase {
  const [course, student] = given.student.split("/");
  const name = given.fileName.replace(/[\\/\0]/g, "_").trim() || language.mainName;
  const { symptom, worked } = given;
  return {
    language: language.id,
    course: course || null,
    student: student || null,
    title: titleOf(given, name),
    intent: given.purpose,
    changedLast: given.changedLast,
    files: [{ name, bytes }],
    errorOutput: given.errorOutput === "" ? undefined : given.errorOutput,
    input: given.input,
    expected: given.expected !== "" || given.expectsNothing ? given.expected : undefined,
    actual: given.actual,
    symptom: symptom === "never ends" || symptom === "nothing appears" ? symptom : null,
    ...(worked.trim() === "" ? {} : { worked: [{ name, bytes: Buffer.from(worked, "utf8") }] }),
    userActions: given.userActions
      .split("\n")
      .map((step) => step.trim())
      .filter((step) => step !== ""),
    firstLine: given.firstLine,
    onlyRead: given.onlyRead,
    source: given.source.trim(),
  };
}

/** Takes one program into the Tray, or says beside its fields what is missing. */
export const collect = defineAction<{ services: Services }, Given>({
  intent: "collect",
  schema,
  does: async ({ services }, given) => {
    const handed = programBytes(given);
    const drawn = decodeText(handed).text;
    const chart = isChartText(drawn) ? programOfChart(drawn) : null;
    const bytes = chart?.program ? Buffer.from(chart.program, "utf8") : handed;
    const { text, binary } = decodeText(bytes);
    const [courseKey] = given.student.split("/");
    const course = courseKey ? await findCourse(services.database, courseKey) : null;
    const language = languageFor(given, chart ? drawn : text, course);
    const collected = caseOf(given, bytes, language);
    // The chart as it was handed in stays beside the program that it stands for.
    if (chart?.program) collected.files = [...collected.files, { name: "chart.txt", bytes: handed }];
    const problems = problemsOfNewCase(collected);
    // A program under another language's name would only give messages that say nothing of its fault.
    const doubt = wrongLanguageWords(language, text);
    if (doubt && !given.languageIsRight) problems.language = `${doubt} Choose its language, or say that it is right.`;
    // Steps in words are there to be gone through; nothing has to have gone wrong.
    if (language.runs === false) delete problems.result;
    if (chart?.program === null)
      problems.program = `The chart cannot be read. ${chart.problems
        .slice(0, 4)
        .map(({ line, says }) => `Line ${line}: ${says}`)
        .join(" ")}`;
    if (binary) problems.program = "This is no program text (it holds zero bytes or many control characters).";
    if (Object.keys(problems).length > 0) return incomplete(problems);
    return redirect(`/cases/${await collectCase(services.database, collected)}?collected`);
  },
});
