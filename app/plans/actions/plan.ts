import { redirect } from "react-router";
import * as z from "zod";
import { mergeComparison } from "../../../core/assignments/comparison.ts";
import type { ExerciseCheck } from "../../../core/exercises/exercise.ts";
import { taskKinds } from "../../../core/exercises/taskKinds.ts";
import type { Language } from "../../../core/languages/language.ts";
import { findLanguage } from "../../../core/languages/languages.ts";
import { findPattern } from "../../../core/patterns/patterns.ts";
import { decodeText } from "../../../core/source/decode.ts";
import { findAssignment } from "../../../server/assignments/assignmentStore.ts";
import { listAssignmentChecks } from "../../../server/assignments/checkStore.ts";
import { listModels } from "../../../server/assignments/modelStore.ts";
import { checksOfProgram } from "../../../server/exercises/checksOfProgram.ts";
import { startPlan } from "../../../server/exercises/planWork.ts";
import type { Services } from "../../../server/services.ts";
import { defineAction, refused } from "../../actions.ts";
import { field } from "../../forms.ts";

/** What faults are planted in: a program with its checks. */
type Right = {
  title: string;
  course: string | null;
  assignment: string | null;
  language: Language;
  fileName: string;
  program: string;
  checks: ExerciseCheck[];
};

const fields = z.looseObject({
  assignment: field.text(100),
  title: field.text(120),
  language: field.text(40),
  name: field.text(120),
  program: field.text(200_000),
  count: field.whole(1, 20),
  classes: field.list(),
  level: field.text(2),
  pattern: field.text(80),
});
type Fields = z.output<typeof fields>;

/** The model of an assignment with the checks that are confirmed; words where there is none. */
async function ofAssignment(services: Services, key: string): Promise<Right | string> {
  const assignment = await findAssignment(services.database, key);
  if (!assignment) return "This assignment is not there any more.";
  const models = await listModels(services.database, key);
  const model = models.find((each) => findLanguage(each.language));
  const language = model && findLanguage(model.language);
  const [main] = model?.files ?? [];
  if (!model || !language || !main)
    return "This assignment has no model yet; faults are planted in a program that is right.";
  const checks = (await listAssignmentChecks(services.database, key)).filter((check) => check.confirmed);
  return {
    ...{ title: assignment.title, course: assignment.course, assignment: key, language, fileName: main.name },
    program: decodeText(main.bytes).text,
    checks: checks.map((check) => ({
      ...{ input: check.input, expected: check.expected, kind: check.kind, ignorePrompts: false },
      comparison: mergeComparison(assignment.comparison, check.comparison),
      ...(check.pieces ? { pieces: check.pieces } : {}),
      files: Object.fromEntries(Object.entries(check.surroundings).filter(([, text]) => text !== null)),
    })),
  };
}

/** The program that was pasted, with checks made of what it prints. */
async function ofText(services: Services, given: Fields): Promise<Right | string> {
  const language = findLanguage(given.language);
  if (!language) return "This language is not known here.";
  if (given.program.trim() === "") return "The program is missing.";
  const fileName = given.name.trim() || language.mainName;
  if (/[/\\\0]/.test(fileName)) return "The name of its file leads to a folder.";
  const checks = await checksOfProgram(services, language, fileName, given.program);
  if (checks.length === 0)
    return "The program does not come to its end with any input that was tried, so nothing says what is right.";
  return {
    ...{ title: given.title.trim() || fileName.replace(/\.\w+$/, ""), course: null, assignment: null },
    ...{ language, fileName, program: given.program, checks },
  };
}

/** Begins to plan exercises with planted faults, of an assignment's model or a program that is pasted. */
export const plan = defineAction<{ services: Services }, Fields>({
  intent: "plan",
  schema: fields,
  does: async ({ services }, given) => {
    const right =
      given.assignment === "" ? await ofText(services, given) : await ofAssignment(services, given.assignment);
    if (typeof right === "string") return refused(`${right} Nothing was planned.`);
    const classes = z.array(z.enum(["syntax", "runtime", "logic"])).safeParse(given.classes);
    const level = given.level === "" ? null : Number(given.level);
    if (!classes.success || (level !== null && !(level >= 1 && level <= 5)))
      return refused("What is wanted could not be read. Nothing was planned.");
    if (given.pattern !== "" && !findPattern(given.pattern)) return refused("There is no such kind of mistake.");
    const tasks: Record<string, number> = {};
    for (const { kind } of taskKinds) {
      const marks = Number(field.text(4).parse(given[`marks ${kind}`] ?? "0"));
      if (!Number.isInteger(marks) || marks < 0 || marks > 100) return refused("Marks are whole numbers up to 100.");
      tasks[kind] = marks;
    }
    if (Object.values(tasks).every((marks) => marks === 0)) return refused("Give at least one kind of task marks.");
    const key = await startPlan(services, {
      ...{ title: right.title, course: right.course, assignment: right.assignment, language: right.language.id },
      ...{ file_name: right.fileName, program: Buffer.from(right.program, "utf8"), checks: right.checks },
      wish: {
        ...{ count: given.count, classes: classes.data, level, pattern: given.pattern || null, kinds: [], tasks },
      },
    });
    return redirect(`/plans/${key}`);
  },
});

const patternFields = z.object({ pattern: field.text(100), language: field.text(40), count: field.whole(1, 6) });

/** Begins to plan exercises of one kind of mistake, each in another program of nobody's. */
export const planOfPattern = defineAction<{ services: Services }, z.output<typeof patternFields>>({
  intent: "of pattern",
  schema: patternFields,
  does: async ({ services }, given) => {
    const pattern = findPattern(given.pattern);
    const language = findLanguage(given.language);
    if (!pattern || !language) return refused("There is no such kind of mistake or language. Nothing was planned.");
    const kinds = Array.from({ length: given.count }, () => pattern.id);
    const key = await startPlan(services, {
      ...{ title: `${language.name} programs of nobody’s`, course: null, assignment: null, language: language.id },
      ...{ file_name: language.mainName, program: Buffer.from(""), checks: [] },
      wish: {
        ...{ count: kinds.length, classes: [], level: null, pattern: null, kinds },
        tasks: { classify: 2, point: 1, mend: 2 },
      },
    });
    return redirect(`/plans/${key}`);
  },
});

const classFields = z.object({ assignment: field.text(100), kind: field.list() });

/** Begins to plan an exercise for each kind of mistake that a class makes most, each in a neutral program. */
export const planOfClass = defineAction<{ services: Services }, z.output<typeof classFields>>({
  intent: "of class",
  schema: classFields,
  does: async ({ services }, given) => {
    const assignment = await findAssignment(services.database, given.assignment);
    const kinds = [...new Set(given.kind)].filter((id) => findPattern(id)).slice(0, 10);
    if (!assignment) return refused("This assignment is not there any more. Nothing was planned.");
    if (kinds.length === 0) return refused("No kind of mistake was chosen that could be planted. Nothing was planned.");
    const [model] = await listModels(services.database, assignment.key);
    const language = findLanguage(model?.language ?? assignment.languages[0] ?? "python");
    if (!language) return refused("The language of this assignment is not known here. Nothing was planned.");
    const key = await startPlan(services, {
      ...{ title: `Mistakes of “${assignment.title}”`, course: assignment.course, assignment: assignment.key },
      ...{ language: language.id, file_name: language.mainName, program: Buffer.from(""), checks: [] },
      wish: {
        ...{ count: kinds.length, classes: [], level: null, pattern: null, kinds },
        tasks: { classify: 2, point: 1, mend: 2 },
      },
    });
    return redirect(`/plans/${key}`);
  },
});
