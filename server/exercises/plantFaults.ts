import { compareOutput } from "../../core/assignments/compareOutput.ts";
import { editContext } from "../../core/edits/context.ts";
import { applyEdit, type Edit } from "../../core/edits/edit.ts";
import { proposeEdits } from "../../core/edits/families.ts";
import type { ExerciseCheck, ExerciseContent } from "../../core/exercises/exercise.ts";
import { levelOf } from "../../core/exercises/level.ts";
import { inRisingOrder, nextFor, type PlantedFault, type SetWish } from "../../core/exercises/planting/planted.ts";
import { rankCandidates } from "../../core/fixes/candidates.ts";
import { findHunks } from "../../core/fixes/hunks.ts";
import type { Language } from "../../core/languages/language.ts";
import { consoleText, type Limits, type Outcome } from "../../core/outcome/outcome.ts";
import { evidenceOf } from "../../core/patterns/evidence.ts";
import { patterns } from "../../core/patterns/patterns.ts";
import { plantsOf } from "../../core/patterns/plant.ts";
import { suggestPatterns } from "../../core/patterns/suggest.ts";
import type { FaultClass } from "../../core/verdict/verdict.ts";
import { messageOf } from "../../core/verdict/words.ts";
import { judgeProgram } from "../judge/judge.ts";
import { runProgram, runVariants, usualLimits } from "../judge/run.ts";

import type { Toolchains } from "../toolchains/toolchains.ts";
import { runOfText } from "./runForCheck.ts";

/** What faults are planted in, and which are wanted. `fileName` is that of the program. */
export type PlantRequest = SetWish & {
  language: Language;
  fileName: string;
  program: string;
  checks: readonly ExerciseCheck[];
  seconds: number;
  onTried?: (tried: number, of: number) => void;
};

/** A planned set, in rising order; `said` is what a person should know of it. */
export type Planting = { planted: PlantedFault[]; tried: number; seconds: number; said: string[] };

/** A change that makes a slip, with the program that it makes. */
type Slip = { edit: Edit; program: string; line: number };

const mostSlips = 160;
/** Other changes that are tried on a planted program, to see that none but the planted one mends it. */
const mostOthers = 48;
const atOnce = 32;

/** Slips of as many families and lines as there is room for, in turn. */
function slipsIn(language: Language, program: string, pattern?: string): Slip[] {
  if (pattern !== undefined)
    return plantsOf(pattern, language, program)
      .filter((planted) => isOneLine(planted.program, program))
      .slice(0, mostSlips);
  const context = editContext(language, program);
  if (!context) return [];
  const byFamily = new Map<string, Slip[]>();
  const seen = new Set<string>();
  const keep = (edit: Edit) => {
    const faulty = applyEdit(program, edit);
    const hunks = findHunks(faulty, program);
    const line = hunks[0]?.start;
    // One line is what a faulty twin differs in.
    if (line === undefined || seen.has(faulty) || hunks.some((hunk) => hunk.before.length > 1 || hunk.after.length > 1))
      return;
    if (hunks.length > 1) return;
    seen.add(faulty);
    byFamily.set(edit.family, [...(byFamily.get(edit.family) ?? []), { edit, program: faulty, line }]);
  };
  for (const { id, plants } of patterns)
    for (const proposal of plants?.(context) ?? []) keep({ ...proposal, family: id });
  for (const edit of proposeEdits(context, "plant").sort((one, other) => other.odds - one.odds)) keep(edit);
  const found: Slip[] = [];
  const families = [...byFamily.values()].map(spread);
  for (let round = 0; found.length < mostSlips && families.some((slips) => slips.length > round); round++)
    for (const slips of families) {
      const slip = slips[round];
      if (slip && found.length < mostSlips) found.push(slip);
    }
  return found;
}

/** One line is what a faulty twin differs in. */
function isOneLine(faulty: string, right: string): boolean {
  const [hunk, other] = findHunks(faulty, right);
  return hunk !== undefined && other === undefined && hunk.before.length <= 1 && hunk.after.length <= 1;
}

/** Slips of one family with those of different lines first. */
function spread(slips: readonly Slip[]): Slip[] {
  const perLine = new Map<number, Slip[]>();
  for (const slip of slips) perLine.set(slip.line, [...(perLine.get(slip.line) ?? []), slip]);
  const rounds = Math.max(0, ...[...perLine.values()].map((each) => each.length));
  return Array.from({ length: rounds }, (_, round) =>
    [...perLine.values()].flatMap((each) => each[round] ?? []),
  ).flat();
}

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
    slowest = Math.max(slowest, ran.outcome.milliseconds / 1000);
  }
  const start = toolchains.find(language.id)?.startSeconds ?? 1;
  const seconds = Math.min(usualLimits.cpuSeconds, Math.max(0.1 + start, slowest * 4));
  const limits: Limits = { ...usualLimits, cpuSeconds: seconds, wallSeconds: seconds * 2.5, outputBytes: 64 << 10 };
  if (slowest > 1) said.push("A run of the program takes seconds, so fewer faults were tried than usual.");

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
    const proven = await prove(toolchains, request, judgedChecks, next, limits, until);
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

function isIntended(outcome: Outcome, check: ExerciseCheck): boolean {
  const rules = check.comparison ?? (check.ignorePrompts ? { prompts: "ignored" as const } : {});
  return check.expected === null || compareOutput(outcome.console, check.pieces ?? check.expected, rules).same;
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

/** The exercise that a planted fault makes, without tasks. */
export function contentOf(
  request: Pick<PlantRequest, "language" | "fileName" | "checks">,
  planted: PlantedFault,
): ExerciseContent {
  const hunks = findHunks(planted.program, planted.mended);
  return {
    ...{ language: request.language.id, fileName: request.fileName, intro: "", userActions: [], handTable: "" },
    ...{ program: planted.program, mended: planted.mended, checks: [...request.checks], hiddenChecks: [], tasks: [] },
    faults: [
      {
        ...{ class: planted.class, symptom: planted.symptom, message: planted.message, hunks },
        ...{ reportedLine: planted.reportedLine, faultyLines: planted.lines, noticed: planted.noticed },
      },
    ],
  };
}

function withLevel(request: PlantRequest, planted: PlantedFault): PlantedFault {
  const { level, points, reasons } = levelOf(contentOf(request, planted));
  return { ...planted, level, points, why: reasons.map((reason) => reason.words) };
}

/**
 * Proves a planted fault by a run of its own in the ordinary way, with the message as students see it, and by trying other
 * small changes: null where it shows otherwise than before, or another one mends it as well.
 */
async function prove(
  toolchains: Toolchains,
  request: PlantRequest,
  checks: readonly ExerciseCheck[],
  planted: PlantedFault,
  limits: Limits,
  until: number,
): Promise<PlantedFault | null> {
  const { language } = request;
  const content = { language: language.id, fileName: request.fileName };
  for (const check of checks) {
    const judged = await judgeProgram(toolchains, {
      ...runOfText(content, planted.program, check),
      policies: { endlessClass: "logic" },
      expected: check.expected ?? undefined,
      intended: check.pieces,
      comparison: check.comparison,
      glance: true,
    });
    const { judgement } = judged;
    if (judgement.class === null) {
      if (judged.outcome?.finished) continue;
      return null;
    }
    if (judgement.class !== planted.class) return null;
    if (await hasOtherMending(toolchains, request, checks, planted, check, limits, until)) return null;
    const message = judgement.diagnostic ? messageOf(judgement.diagnostic) : "";
    const hunks = findHunks(planted.program, planted.mended);
    const fix = { hunks, families: hunks.map(() => planted.family), lines: planted.lines, repairs: "repairs" as const };
    const outputs = judged.outcome
      ? { intended: check.expected ?? "", printed: consoleText(judged.outcome.console, ["out"]) }
      : null;
    const own = patterns.find((pattern) => pattern.id === planted.family);
    const evidence = evidenceOf(
      language,
      planted.program,
      judgement,
      [fix],
      planted.class === "logic" ? outputs : null,
    );
    return withLevel(request, {
      ...planted,
      ...{ kind: judgement.kind, message: planted.class === "logic" ? "" : message, symptom: judgement.symptom },
      reportedLine: judgement.reportedLine,
      pattern: patternOf(
        request.pattern,
        own?.id,
        suggestPatterns(evidence).map(({ id }) => id),
      ),
    });
  }
  return null;
}

/** Which kind of mistake it is told to be: the wanted one where the evidence speaks for it among the first. */
function patternOf(wanted: string | undefined, own: string | undefined, suggested: readonly string[]): string | null {
  if (wanted !== undefined && (own === wanted || suggested.slice(0, 3).includes(wanted))) return wanted;
  return own ?? suggested[0] ?? null;
}

/** True if another small change than the undoing, on another line, passes all checks. */
async function hasOtherMending(
  toolchains: Toolchains,
  { language, fileName }: PlantRequest,
  checks: readonly ExerciseCheck[],
  planted: PlantedFault,
  first: ExerciseCheck,
  limits: Limits,
  until: number,
): Promise<boolean> {
  const context = editContext(language, planted.program);
  if (!context) return false;
  const refused = planted.class === "syntax";
  const leads = planted.lines.map((line) => ({ line, why: "", weight: 1 }));
  const edits = proposeEdits(context, refused ? "mend a refusal" : "mend");
  const known = { leads, refused, reported: planted.reportedLine };
  const others = rankCandidates(context, edits, known)
    .map(({ edit }) => applyEdit(planted.program, edit))
    .filter((text) => text !== planted.mended && !onlyOn(planted, text))
    .slice(0, mostOthers);
  const content = { language: language.id, fileName };
  let open = others;
  for (const check of [first, ...checks.filter((each) => each !== first)]) {
    const left = Math.min(4, (until - Date.now()) / 1000);
    if (open.length === 0 || left < 0.3) break;
    const run = { ...runOfText(content, "", check), limits, hurried: true };
    const variants = open.map((text) => ({ main: Buffer.from(text, "utf8"), input: check.input }));
    const outcomes = await runVariants(toolchains, run, variants, left);
    if (!outcomes) return false;
    open = open.filter((_, index) => {
      const outcome = outcomes[index];
      return outcome?.finished === true && isIntended(outcome, check);
    });
  }
  return open.length > 0;
}

/** True if a text differs from a planted program on its faulty lines alone: another way to mend the same place. */
function onlyOn(planted: PlantedFault, text: string): boolean {
  return findHunks(planted.program, text).every((hunk) =>
    planted.lines.some((line) => hunk.start <= line && line <= hunk.start + Math.max(1, hunk.before.length)),
  );
}
