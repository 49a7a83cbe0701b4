import type { ExerciseContent } from "../../core/exercises/exercise.ts";
import { levelOf } from "../../core/exercises/level.ts";
import { withLineEndsOf } from "../../core/exercises/mendMarking.ts";
import { traceTaskSchema } from "../../core/exercises/traceTask.ts";
import { languageOf } from "../judge/judge.ts";
import { newKey } from "../keys.ts";
import type { Services } from "../services.ts";
import { exerciseOfPrograms } from "./exerciseOfPrograms.ts";
import { selfCheck } from "./selfCheck.ts";

/** An exercise made anew, with what is not as it should be, in words for the teacher. */
export type Remade = { content: ExerciseContent; reasons: string[] };

/** What an exercise is made anew with. */
type Changed = Partial<Pick<ExerciseContent, "program" | "mended" | "checks" | "intro" | "given">>;

/**
 * An exercise made anew with other programs or checks, with the same tasks and marks, proven by runs: every key is from a run,
 * and it is checked as a new one is.
 */
export async function remake(
  services: Pick<Services, "toolchains">,
  content: ExerciseContent,
  changed: Changed,
): Promise<Remade> {
  const made = await makeAnew(services, content, changed);
  return { ...made, reasons: [...made.reasons, ...(await checkedAnew(services, made.content))] };
}

/** What is wrong with an exercise that was made anew, by the check before setting; where it has no fault, that is said once already. */
export function checkedAnew(services: Pick<Services, "toolchains">, content: ExerciseContent): Promise<string[]> {
  return content.faults.length === 0 ? Promise.resolve([]) : selfCheck(services, content);
}

/** The same without the check before setting, which takes longer than all the rest: `checkedAnew`. */
export async function makeAnew(
  services: Pick<Services, "toolchains">,
  content: ExerciseContent,
  changed: Changed,
): Promise<Remade> {
  // An editor's own line ends, and a missing last one, are no change.
  const asKept = (text: string | null) => (text === null ? null : withLineEndsOf(content.program, text));
  const whole = { ...content, ...changed };
  const now = { ...whole, program: asKept(whole.program) ?? "", mended: asKept(whole.mended) };
  const made = await exerciseOfPrograms(services, {
    ...{ language: languageOf(content), fileName: now.fileName, intro: now.intro },
    ...{ program: now.program, mended: now.mended, checks: now.checks },
    tasks: content.tasks.map(({ kind, marks }) => ({ kind, marks })),
    show: {
      outputs: content.given.some((each) => each.of === "output"),
      errors: content.given.some((each) => each.of === "errors"),
    },
  });
  const remade: ExerciseContent = {
    ...content,
    ...made.content,
    ...{ userActions: content.userActions, handTable: content.handTable, tableStyle: content.tableStyle },
    tasks: made.content.tasks.map((task) => ({ ...task, key: newKey(8) })),
  };
  // Without a fault nothing can be asked of one; that is said once.
  if (remade.faults.length === 0) return { content: remade, reasons: ["No check notices a fault in it."] };
  return { content: remade, reasons: made.surprises };
}

/** In how many rows the tables of two exercises may differ. */
const rowsApart = 2;

/** What two exercises that are to be equal differ in, in words; none where they are equal. */
export function inequality(one: ExerciseContent, other: ExerciseContent): string[] {
  const reasons: string[] = [];
  const classes = (content: ExerciseContent) => content.faults.map((fault) => fault.class).join();
  const lines = (content: ExerciseContent) =>
    content.faults.map(({ hunks }) => hunks.map(({ start }) => start).join("+")).join();
  const kinds = (content: ExerciseContent) => content.tasks.map(({ kind, marks }) => `${kind} ${marks}`).join();
  const rows = ({ tasks }: ExerciseContent) =>
    tasks.flatMap((task) => {
      const table = traceTaskSchema.safeParse(task);
      return table.success ? [table.data.steps.length] : [];
    });
  if (classes(one) !== classes(other)) reasons.push("its faults are of other classes");
  if (lines(one) !== lines(other)) reasons.push("its faults are on other lines");
  if (kinds(one) !== kinds(other)) reasons.push("it has other tasks");
  if (levelOf(one).level !== levelOf(other).level) reasons.push("it is of another level");
  const [mine, theirs] = [rows(one), rows(other)];
  if (mine.some((count, at) => Math.abs(count - (theirs[at] ?? 0)) > rowsApart))
    reasons.push("its table has other rows");
  if (one.program === other.program) reasons.push("it is the same program");
  const outputs = ({ checks }: ExerciseContent) => checks.map(({ expected }) => expected).join("\n");
  if (outputs(one) === outputs(other) && outputs(one).trim() !== "") reasons.push("the same comes out");
  return reasons;
}
