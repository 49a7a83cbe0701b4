import type { ExerciseCheck, ExerciseContent, ExerciseFault } from "../../core/exercises/exercise.ts";
import { makeTask } from "../../core/exercises/makeTask.ts";
import { taskKinds } from "../../core/exercises/taskKinds.ts";
import { atomsOf } from "../../core/fixes/atoms.ts";
import { findHunks, type Hunk, hunksIfTheyFit, linesOfHunks } from "../../core/fixes/hunks.ts";
import type { Language } from "../../core/languages/language.ts";
import { messageOf } from "../../core/verdict/words.ts";
import { judgeProgram } from "../judge/judge.ts";
import type { Services } from "../services.ts";
import { givenOfRuns, type ShownOfRuns } from "./givenOfRuns.ts";
import { makeHiddenChecks } from "./hiddenChecks.ts";
import { withLooks } from "./looks.ts";
import { makeContext } from "./makeExercise.ts";
import { runForCheck, runOfText } from "./runForCheck.ts";

/** What an exercise is made of where there is no case: a program, the same mended, and checks. */
export type ProgramsOrder = {
  language: Language;
  fileName: string;
  intro: string;
  program: string;
  mended: string | null;
  checks: readonly ExerciseCheck[];
  /** Kinds of task with their marks, in the order wanted; null: the usual marks. */
  tasks: ReadonlyArray<{ kind: string; marks: number | null }>;
  /** What students see of its runs; nothing if absent. */
  show?: ShownOfRuns;
};

/** Makes an exercise of a program and its mended one, every key from a run; `surprises` says what could not be asked. */
export async function exerciseOfPrograms(
  services: Pick<Services, "toolchains">,
  order: ProgramsOrder,
): Promise<{ content: ExerciseContent; surprises: string[] }> {
  const content: ExerciseContent = {
    ...{ language: order.language.id, fileName: order.fileName, intro: order.intro, userActions: [], handTable: "" },
    ...{
      program: order.program,
      mended: order.mended,
      checks: [...order.checks],
      hiddenChecks: [],
      given: [],
      faults: [],
      tasks: [],
    },
  };
  const surprises: string[] = [];
  if (order.mended !== null) {
    for (const [index, check] of order.checks.entries()) {
      const result = await runForCheck(services, content, order.mended, check);
      if ("notRun" in result) surprises.push(`Check ${index + 1} could not be tried: ${result.notRun}`);
      else if (!result.passes) surprises.push(`The mended program does not pass check ${index + 1}.`);
    }
  }
  content.faults = await faultsOf(services, content);
  content.faults = await withLooks(services, content);
  content.hiddenChecks = await makeHiddenChecks(services, content);
  content.given = await givenOfRuns(services, content, order.show ?? {});
  const facts = { faults: content.faults.length, mended: order.mended !== null };
  for (const { kind: name, marks } of order.tasks) {
    const kind = taskKinds.find((each) => each.kind === name);
    if (!kind) {
      surprises.push(`There is no kind of task “${name}”; known are ${taskKinds.map((each) => each.kind).join(", ")}.`);
      continue;
    }
    const key = content.tasks.some((task) => task.key === name) ? `${name}-${content.tasks.length + 1}` : name;
    const made = await makeTask(kind, makeContext(services, content), {
      key,
      marks: marks ?? Math.max(1, kind.usualMarks(facts)),
    });
    if (typeof made === "string") surprises.push(made);
    else content.tasks.push(made);
  }
  return { content, surprises };
}

/**
 * The faults by which a program differs from its mended one: each change that fails a check where all others are mended is a
 * fault of its own; what fails only with another belongs to it.
 */
async function faultsOf(services: Pick<Services, "toolchains">, content: ExerciseContent): Promise<ExerciseFault[]> {
  const { program, mended } = content;
  if (mended === null || mended === program) {
    const fault = await faultAs(services, content, program, []);
    return fault ? [fault] : [];
  }
  const atoms = findHunks(program, mended).flatMap(atomsOf);
  // A statement that is moved is one fault: it goes in one place and comes in another.
  const words = (lines: readonly string[]) => lines.map((line) => line.trim()).join("\n");
  const moved = atoms.some((gone) =>
    atoms.some(
      (come) =>
        come !== gone &&
        gone.after.length === 0 &&
        come.before.length === 0 &&
        words(gone.before) === words(come.after),
    ),
  );
  const groups: Hunk[][] = [];
  let together: Hunk[] = [];
  for (const atom of atoms) {
    const alone =
      !moved &&
      (atoms.length === 1 ||
        (await failsAlone(
          services,
          content,
          atoms.filter((each) => each !== atom),
        )));
    if (alone) groups.push([atom]);
    else together.push(atom);
  }
  if (groups.length === 0) {
    groups.push(together);
    together = [];
  }
  // A change that is no fault by itself goes with the nearest that is one.
  for (const atom of together) {
    const nearest = [...groups].sort(
      (one, other) => Math.abs((one[0]?.start ?? 0) - atom.start) - Math.abs((other[0]?.start ?? 0) - atom.start),
    )[0];
    nearest?.push(atom);
  }
  const faults: ExerciseFault[] = [];
  for (const group of groups) {
    const others = atoms.filter((each) => !group.includes(each));
    const text = hunksIfTheyFit(program, others);
    const fault = await faultAs(services, content, text ?? program, group);
    faults.push(
      fault ?? {
        ...{ class: "logic", symptom: "", message: "", reportedLine: null, hunks: group },
        faultyLines: linesOfHunks(group),
      },
    );
  }
  // In the order in which they show: what is refused hides what stops, and that hides a wrong result.
  return faults.sort((one, other) => shows[one.class] - shows[other.class]);
}

const shows = { syntax: 0, runtime: 1, logic: 2 } as const;

/** Whether a program with only the other changes made still fails a check. */
async function failsAlone(
  services: Pick<Services, "toolchains">,
  content: ExerciseContent,
  others: readonly Hunk[],
): Promise<boolean> {
  const text = hunksIfTheyFit(content.program, others);
  if (text === null) return false;
  for (const check of content.checks) {
    if (check.expected === null) continue;
    const result = await runForCheck(services, content, text, check);
    if ("notRun" in result || !result.passes) return true;
  }
  return false;
}

/** A fault as it shows in a program, by the first check that it fails; null where it fails none. */
async function faultAs(
  services: Pick<Services, "toolchains">,
  content: ExerciseContent,
  text: string,
  hunks: Hunk[],
): Promise<ExerciseFault | null> {
  let by = 0;
  let found: ExerciseFault | null = null;
  for (const check of content.checks) {
    const { judgement } = await judgeProgram(services.toolchains, {
      ...runOfText(content, text, check),
      policies: { endlessClass: "logic" },
      expected: check.expected ?? undefined,
      intended: check.pieces,
      comparison: check.comparison,
    });
    if (judgement.class === null) continue;
    by += 1;
    // Lines are those of the exercise's program, where mending other faults moves none before them.
    found ??= {
      ...{ class: judgement.class, symptom: judgement.symptom, hunks },
      message: judgement.diagnostic && judgement.class !== "logic" ? messageOf(judgement.diagnostic) : "",
      reportedLine: judgement.reportedLine,
      faultyLines: hunks.length > 0 ? linesOfHunks(hunks) : judgement.leads.slice(0, 1).map(({ line }) => line),
    };
  }
  return found && { ...found, noticed: { by, of: content.checks.length } };
}
