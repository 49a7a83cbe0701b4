import { compareOutput } from "../../core/assignments/compareOutput.ts";
import type { ExerciseCheck, ExerciseContent, ExerciseFault } from "../../core/exercises/exercise.ts";
import { hunksIfTheyFit, mapLines } from "../../core/fixes/hunks.ts";
import { type Look, looksOf } from "../../core/lessons/looks.ts";
import type { Outcome } from "../../core/outcome/outcome.ts";
import { languageOf } from "../judge/judge.ts";
import { recordProgram } from "../judge/run.ts";
import type { Services } from "../services.ts";
import { runForCheck, runOfText } from "./runForCheck.ts";

type Needs = Pick<Services, "toolchains">;

/**
 * The program with none of its faults mended, with the first, with the first two, as far as their changes fit together and
 * change something.
 */
export function programsStepByStep({ program, faults }: Pick<ExerciseContent, "program" | "faults">): string[] {
  const programs = [program];
  for (let mended = 1; mended <= faults.length; mended++) {
    const text = hunksIfTheyFit(
      program,
      faults.slice(0, mended).flatMap((fault) => fault.hunks),
    );
    if (text === null || text === programs.at(-1)) break;
    programs.push(text);
  }
  return programs;
}

/** Where what a run printed first differs from what a check intends, by its rules of comparing; null where it does not. */
function partingIn(
  { console }: Pick<Outcome, "console">,
  check: ExerciseCheck,
): { line: number; column: number } | null {
  if (check.expected === null) return null;
  const rules = check.comparison ?? (check.ignorePrompts ? { prompts: "ignored" as const } : {});
  const compared = compareOutput(console, check.pieces ?? check.expected, rules);
  return compared.same ? null : compared;
}

/** The first check that a program does not pass, with what its run gave; null where it passes all, or none can be run. */
async function failingRun(services: Needs, content: ExerciseContent, text: string) {
  for (const check of content.checks) {
    const ran = await runForCheck(services, content, text, check);
    if ("notRun" in ran) return null;
    if (ran.passes) continue;
    return { check, outcome: ran.outcome };
  }
  return null;
}

/**
 * The path of looks of one fault, as lines of the exercise's program: what a recording of the program gives in which the
 * faults before it are mended. Empty where its place is not known.
 */
async function looksOfFault(services: Needs, content: ExerciseContent, at: number, text: string): Promise<Look[]> {
  const fault = content.faults[at];
  if (!fault) return [];
  const before = content.faults.slice(0, at).flatMap(({ hunks }) => hunks);
  const there = mapLines(content.program, before);
  const back = new Map(
    there.flatMap((later, first) => (later === null || first === 0 ? [] : [[later, first] as const])),
  );
  const language = languageOf(content);
  const placed = {
    ...{ class: fault.class, reportedLine: fault.reportedLine },
    faultyLines: fault.faultyLines.flatMap((line) => there[line] ?? []),
  };
  const failing = fault.class === "syntax" ? null : await failingRun(services, content, text);
  const recorded = failing ? await recordProgram(services.toolchains, runOfText(content, text, failing.check)) : null;
  const trace = recorded && "trace" in recorded ? recorded.trace : null;
  // Which line printed what is known of a recorded run in every language; it counts where it shows the same fault.
  const inRecording = failing && trace ? partingIn(trace.outcome, failing.check) : null;
  const outcome = inRecording && trace ? trace.outcome : failing?.outcome;
  const looks = looksOf({
    ...{ language, program: text, fault: placed, trace },
    ...(failing && outcome ? { outcome, differs: partingIn(outcome, failing.check) } : {}),
  });
  return looks.flatMap((look) => {
    const line = back.get(look.line);
    return line === undefined ? [] : [{ ...look, line }];
  });
}

/** The faults of an exercise with their paths of looks; those that have one keep it. */
export async function withLooks(services: Needs, content: ExerciseContent): Promise<ExerciseFault[]> {
  const faults: ExerciseFault[] = [];
  const programs = programsStepByStep(content);
  for (const [at, fault] of content.faults.entries()) {
    const text = programs[at];
    const looks = fault.looks ?? (text === undefined ? [] : await looksOfFault(services, content, at, text));
    faults.push({ ...fault, looks });
  }
  return faults;
}
