import { setImmediate } from "node:timers/promises";
import type { ExerciseCheck } from "../../core/exercises/exercise.ts";
import { inRisingOrder, nextFor, type PlantedFault, type PlantRequest } from "../../core/exercises/planting/planted.ts";
import { withLevel } from "../../core/exercises/planting/plantedExercise.ts";
import { type Slip, slipsIn } from "../../core/exercises/planting/slips.ts";
import { findHunks } from "../../core/fixes/hunks.ts";
import { consoleText, type Limits, type Outcome } from "../../core/outcome/outcome.ts";
import { preparePlants } from "../../core/patterns/plant.ts";
import type { FaultClass } from "../../core/verdict/verdict.ts";
import { messageOf } from "../../core/verdict/words.ts";
import { quickLimits, runProgram, runVariants } from "../judge/run.ts";
import type { Toolchains } from "../toolchains/toolchains.ts";
import { provePlanted } from "./provePlanted.ts";
import { isIntended, runOfText } from "./runForCheck.ts";

/** A planned set, in rising order; `said` is what a person should know of it. */
export type Planting = { planted: PlantedFault[]; tried: number; seconds: number; said: string[] };

const atOnce = 32;

/** What a planted program did with each check; null where that was not told. */
type Shown = { slip: Slip; outcomes: Array<Outcome | null> };

/**
 * Plants faults in a right program and proves each by runs: it shows as its class, a check notices it, its undoing and no
 * other small change mends it, and no two of them have one effect. Never throws for what becomes of a planted program.
 */
export async function plantFaults(toolchains: Toolchains, request: PlantRequest): Promise<Planting> {
  const begun = Date.now();
  const until = begun + request.seconds * 1000;
  const { language, program, checks } = request;
  const said: string[] = [];
  const end = (planted: PlantedFault[], tried: number): Planting => ({
    planted: inRisingOrder(planted),
    ...{ tried, seconds: (Date.now() - begun) / 1000, said },
  });
  const content = { language: language.id, fileName: request.fileName };
  const judgedChecks = checks.filter((check) => check.expected !== null);
  if (judgedChecks.length === 0) {
    said.push("There is no check with an intended output, so nothing says what is right.");
    return end([], 0);
  }
  /** The longest run of the right program, in milliseconds. */
  let slowest = 0;
  for (const [index, check] of judgedChecks.entries()) {
    const ran = await runProgram(toolchains, runOfText(content, program, check));
    if (!ran.outcome) {
      said.push(`The program could not be run: ${ran.notRun ?? ran.unknown ?? ""}`);
      return end([], 0);
    }
    if (!ran.outcome.finished || !isIntended(ran.outcome, check)) {
      said.push(`The program itself does not pass check ${index + 1}; faults are planted in a program that is right.`);
      return end([], 0);
    }
    slowest = Math.max(slowest, ran.outcome.milliseconds);
  }
  const start = toolchains.find(language.id)?.startSeconds ?? 1;
  const limits = quickLimits(slowest, start, 64 << 10);
  if (slowest > 1000) said.push("A run of the program takes seconds, so fewer faults were tried than usual.");

  if (request.pattern !== undefined) await preparePlants(language, program, setImmediate);
  const slips = slipsIn(language, program, request.pattern);
  if (slips.length === 0) said.push("No small change could be made in this program.");
  const shown: Shown[] = [];
  // A part of the time is kept for the proofs.
  const triedUntil = begun + request.seconds * 600;
  for (let from = 0; from < slips.length && Date.now() < triedUntil; from += atOnce) {
    const some = slips.slice(from, from + atOnce);
    shown.push(...(await runSlips(toolchains, request, judgedChecks, some, limits, triedUntil)));
    request.onTried?.(shown.length, slips.length);
  }
  const candidates = shown.flatMap((each) => asPlanted(request, judgedChecks, each) ?? []);
  const left = new Set(candidates);
  const set: PlantedFault[] = [];
  while (set.length < request.count && Date.now() < until) {
    const next = nextFor(set, [...left], request);
    if (!next) break;
    left.delete(next);
    const proven = await provePlanted(toolchains, request, judgedChecks, next, limits, until);
    // What it shows by itself may put it elsewhere.
    if (proven && nextFor(set, [proven], request)) set.push(proven);
  }
  if (set.length < request.count)
    said.push(
      Date.now() >= until
        ? `Only ${set.length} of ${request.count} were proven in ${request.seconds} seconds.`
        : `Only ${set.length} of ${request.count} could be planted in this program${request.level || request.pattern || request.classes ? " as it is wanted" : ""}.`,
    );
  return end(set, shown.length);
}

/** Runs planted programs with all checks, many in one job where the language has that. */
async function runSlips(
  toolchains: Toolchains,
  { language, fileName }: PlantRequest,
  checks: readonly ExerciseCheck[],
  slips: readonly Slip[],
  limits: Limits,
  until: number,
): Promise<Shown[]> {
  const content = { language: language.id, fileName };
  const shown = slips.map((slip): Shown => ({ slip, outcomes: checks.map(() => null) }));
  for (const [at, check] of checks.entries()) {
    // What is refused with one check is so with all.
    const open = shown.filter(({ outcomes }) => outcomes[0]?.stoppedBy !== "refused");
    const left = (until - Date.now()) / 1000;
    if (open.length === 0 || left < 0.5) break;
    const variants = open.map(({ slip }) => ({ main: Buffer.from(slip.program, "utf8"), input: check.input }));
    const run = { ...runOfText(content, "", check), limits, hurried: true };
    const outcomes = await runVariants(toolchains, run, variants, left);
    for (const [index, each] of open.entries()) {
      const outcome = outcomes?.[index] ?? null;
      each.outcomes[at] = outcome;
      if (outcome !== null || Date.now() >= until || (outcomes !== null && at > 0)) continue;
      // What is not told in company is asked of its own run.
      const alone = await runProgram(toolchains, {
        ...runOfText(content, each.slip.program, check),
        limits,
        hurried: true,
      });
      each.outcomes[at] = alone.unknown === null ? alone.outcome : null;
    }
  }
  return shown;
}

type Fails = { at: number; outcome: Outcome; class: FaultClass };

/** The first check by which a planted program is noticed, and how it shows there; null where it is not, or is not told. */
function firstFailure(checks: readonly ExerciseCheck[], outcomes: ReadonlyArray<Outcome | null>): Fails | null {
  for (const [at, outcome] of outcomes.entries()) {
    const check = checks[at];
    if (!outcome || !check) continue;
    if (outcome.stoppedBy === "refused") return { at, outcome, class: "syntax" };
    if (outcome.stoppedBy === "fault") return { at, outcome, class: "runtime" };
    if (outcome.finished && !isIntended(outcome, check)) return { at, outcome, class: "logic" };
  }
  return null;
}

function asPlanted(
  request: PlantRequest,
  checks: readonly ExerciseCheck[],
  { slip, outcomes }: Shown,
): PlantedFault | null {
  // What does not come to its end is no exercise that a student could look at in peace.
  if (outcomes.some((outcome) => outcome && ["time", "memory", "output", "steps"].includes(outcome.stoppedBy)))
    return null;
  const fails = firstFailure(checks, outcomes);
  if (!fails) return null;
  const [diagnostic] = fails.outcome.diagnostics.filter(
    (each) => each.severity === "error" || fails.class === "runtime",
  );
  const message = fails.class === "logic" || !diagnostic ? "" : messageOf(diagnostic);
  const by =
    fails.class === "syntax"
      ? checks.length
      : outcomes.filter((outcome, at) => outcome && firstFailure([checks[at] as ExerciseCheck], [outcome])).length;
  const lines = findHunks(slip.program, request.program).map((hunk) => hunk.start);
  const planted: PlantedFault = {
    ...{ program: slip.program, mended: request.program, class: fails.class, kind: null, lines },
    ...{ reportedLine: message === "" ? null : (diagnostic?.line ?? null), message, symptom: "" },
    ...{
      family: slip.edit.family,
      pattern: request.pattern ?? null,
      noticed: { by, of: checks.length },
      level: 1,
      points: 0,
      why: [],
    },
    effect: effectOf(fails.class, message, outcomes),
  };
  return withLevel(request, planted);
}

/** What tells the effect of a fault from that of another one: its message, or what it prints with each check. */
function effectOf(faultClass: FaultClass, message: string, outcomes: ReadonlyArray<Outcome | null>): string {
  const printed = outcomes.map((outcome) => (outcome ? consoleText(outcome.console, ["out"]) : "")).join("\u0000");
  return `${faultClass} ${message} ${faultClass === "syntax" ? "" : printed}`;
}
