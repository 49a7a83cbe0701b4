import { compareOutput } from "../../core/assignments/compareOutput.ts";
import type { ExerciseContent, ExerciseFault } from "../../core/exercises/exercise.ts";
import { hunksIfTheyFit, mapLines } from "../../core/fixes/hunks.ts";
import { type Look, looksOf } from "../../core/lessons/looks.ts";
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

/** The first check that a program does not pass, with what its run gave; null where it passes all, or none can be run. */
async function failingRun(services: Needs, content: ExerciseContent, text: string) {
  for (const check of content.checks) {
    const ran = await runForCheck(services, content, text, check);
    if ("notRun" in ran) return null;
    if (ran.passes) continue;
    const rules = check.comparison ?? (check.ignorePrompts ? { prompts: "ignored" as const } : {});
    const compared =
      check.expected === null ? null : compareOutput(ran.outcome.console, check.pieces ?? check.expected, rules);
    return { check, outcome: ran.outcome, differs: compared?.same === false ? compared : null };
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
  const looks = looksOf({
    ...{ language, program: text, fault: placed },
    ...(failing ? { outcome: failing.outcome, differs: failing.differs } : {}),
    trace: recorded && "trace" in recorded ? recorded.trace : null,
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
