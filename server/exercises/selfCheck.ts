import type { ExerciseCheck, ExerciseContent, Task } from "../../core/exercises/exercise.ts";
import { besideOthers } from "../../core/exercises/makeTask.ts";
import type { ItemMark, MakeContext } from "../../core/exercises/taskKind.ts";
import { kindOfTask } from "../../core/exercises/taskKinds.ts";
import { runProgram, runWithInputs } from "../judge/run.ts";
import type { Services } from "../services.ts";
import { runOnce } from "../toolchains/runOnce.ts";
import type { Toolchains } from "../toolchains/toolchains.ts";
import { makeContext } from "./makeExercise.ts";
import { runOfText } from "./runForCheck.ts";

const sum = (items: readonly ItemMark[], value: (item: ItemMark) => number) =>
  items.reduce((all, item) => all + value(item), 0);

/**
 * Whether an exercise is as it is meant to be, proven by runs: the mended program passes every check, the faulty one does not,
 * model answers earn full marks, blank ones and such as hide the fault none, totals are the sums of their items, and no answer
 * stands in what students see. Gives what is not so, in words for the teacher.
 */
export async function selfCheck(services: Pick<Services, "toolchains">, exercise: ExerciseContent): Promise<string[]> {
  const reasons: string[] = [];
  const toolchains = runOnce(services.toolchains);
  const context = makeContext({ toolchains }, exercise);
  const { mended, program, faults, checks, hiddenChecks } = exercise;
  await runAhead(toolchains, exercise);
  if (mended !== null) {
    let shows = false;
    for (const [index, check] of checks.entries()) {
      if (check.expected === null) continue;
      const [right, faulty] = [await context.run(mended, check), await context.run(program, check)];
      if ("notRun" in right || "notRun" in faulty) {
        if (("notRun" in right && right.unknown) || ("notRun" in faulty && faulty.unknown))
          reasons.push(`Check ${index + 1} could not be run just now.`);
        shows = true;
        continue;
      }
      if (!right.passes) reasons.push(`The mended program does not pass check ${index + 1}.`);
      shows ||= !faulty.passes;
    }
    if (!shows && faults.length > 0 && checks.some((check) => check.expected !== null))
      reasons.push("The program shows no fault: it passes every check.");
  }
  const ofTasks = await Promise.all(exercise.tasks.map((task) => checkTask(context, exercise, task)));
  reasons.push(...ofTasks.flat());
  for (const hidden of hiddenChecks)
    if (
      hidden.expected !== null &&
      checks.some((check) => check.input === hidden.input && !hidden.data && check.expected !== hidden.expected)
    )
      reasons.push("A hidden check contradicts one that students see.");
  return reasons;
}

/** Runs the program and the mended one with all inputs of the checks, each in one job, so that nothing waits for them one by one. */
async function runAhead(toolchains: Toolchains, exercise: ExerciseContent): Promise<void> {
  const { mended, program, checks, hiddenChecks } = exercise;
  const of = (all: ReadonlyArray<Pick<ExerciseCheck, "input"> & { data?: unknown }>) =>
    all.flatMap(({ input, data }) => (data === undefined ? [input] : []));
  const files = checks[0]?.files ?? {};
  const ahead = [
    { text: program, inputs: of(checks) },
    { text: mended, inputs: of([...checks, ...hiddenChecks]) },
  ];
  await Promise.all(
    ahead.map(async ({ text, inputs: [first, ...others] }) => {
      if (text === null || first === undefined) return;
      const run = runOfText(exercise, text, { input: first, files });
      await (others.length === 0 ? runProgram(toolchains, run) : runWithInputs(toolchains, run, [first, ...others]));
    }),
  );
}

async function checkTask(context: MakeContext, exercise: ExerciseContent, task: Task): Promise<string[]> {
  const kind = kindOfTask(task);
  const name = `“${kind.title}”`;
  const reasons: string[] = [];
  const scheme = kind.scheme(task, exercise).reduce((all, item) => all + item.marks, 0);
  if (scheme !== task.marks) reasons.push(`The items of ${name} are ${scheme} marks and not ${task.marks}.`);
  if (kind.model) {
    const items = await kind.mark(task, kind.model(task, exercise), context);
    const decided = items.filter((item) => item.earned !== null);
    const [earned, possible] = [sum(decided, (item) => item.earned ?? 0), sum(decided, (item) => item.possible)];
    if (earned < possible)
      reasons.push(
        `The right answer to ${name} earns ${earned} of ${possible}: ${decided.find((item) => (item.earned ?? 0) < item.possible)?.reason ?? ""}`,
      );
  }
  const worthless = [null, ...kind.worthless(task, exercise)].map((answer) => kind.mark(task, answer, context));
  for (const items of await Promise.all(worthless)) {
    const earned = sum(items, (item) => (item.earned ?? 0) + (item.suggested ?? 0));
    if (earned > 0) reasons.push(`An answer to ${name} that is blank or hides the fault earns ${earned}.`);
  }
  const beside = besideOthers(
    kind,
    exercise.tasks.filter((each) => each !== task),
  );
  if (beside !== null) reasons.push(beside);
  const asked = new Set(textsIn(kind.model?.(task, exercise)).filter((text) => text.length > 1));
  if (exercise.given.some(({ text }) => asked.has(text.trim())))
    reasons.push(`Students see the output that ${name} asks for.`);
  const leaked = leaks(exercise, task);
  if (leaked !== null) reasons.push(`Students would see “${leaked}” with ${name}, which is a part of the answer.`);
  return reasons;
}

/** All texts in an answer, without what is around them. */
function textsIn(answer: unknown): string[] {
  if (typeof answer === "string") return [answer.trim()];
  return typeof answer === "object" && answer !== null ? Object.values(answer).flatMap(textsIn) : [];
}

/** A line of the mending that stands in what students see of a task; null where there is none. */
function leaks(exercise: ExerciseContent, task: Task): string | null {
  // What is asked about the mended program shows it.
  if (kindOfTask(task).shows === "the mended program") return null;
  if ("program" in task && task.program === "mended") return null;
  const view = JSON.stringify(kindOfTask(task).view(task, exercise));
  for (const fault of exercise.faults)
    for (const line of fault.hunks.flatMap((hunk) => hunk.after)) {
      const words = line.trim();
      if (words.length > 5 && !exercise.program.includes(words) && view.includes(JSON.stringify(words).slice(1, -1)))
        return words;
    }
  return null;
}
