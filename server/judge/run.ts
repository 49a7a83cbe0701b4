import { type Surroundings, withSurroundings } from "../../core/cases/surroundings.ts";
import type { Language } from "../../core/languages/language.ts";
import { rulesOfWay } from "../../core/languages/ways.ts";
import {
  type Limits,
  type Outcome,
  type ProgramFiles,
  type StepChange,
  tellsInCompany,
  unknownBecause,
} from "../../core/outcome/outcome.ts";
import type { Trace } from "../../core/trace/trace.ts";
import { longRunSeconds } from "../../core/verdict/endless.ts";
import { readLimits } from "../limits.ts";
import type { Toolchain, Variant } from "../toolchains/toolchain.ts";
import type { Toolchains } from "../toolchains/toolchains.ts";
import type { TraceCache } from "./traceCache.ts";

/**
 * A program to be run: `files[0]` is where it starts, `surroundings` is what lies beside it this time, `input` what is
 * typed in, line ends included.
 */
export type ProgramRun = {
  language: Language;
  files: ProgramFiles;
  surroundings?: Surroundings;
  input?: string;
  limits?: Limits;
  /** True for one of many runs of a search. */
  hurried?: boolean;
  /** True for many in one job of which no more is asked, where they are refused, than the line. */
  linesOnly?: boolean;
  /** What is changed at a step, where it is recorded. */
  change?: StepChange;
  /** True where it is read and never run, by the word of who took it in. */
  onlyRead?: boolean;
};

/**
 * What became of a run. `notRun`: why there is none, in words for a person. `unknown`: why a run told nothing this time
 * although such programs do run here (it did not get its turn, somebody stopped it, the sandbox broke off); what is
 * found without it is no ground for a change. Where a person stopped it, the outcome says so.
 */
export type Ran = { outcome: Outcome | null; notRun: string | null; unknown: string | null };

/** Where runs that were made before are found and new ones kept; a run that tells nothing is never kept. */
export type KeptRun = { found: Outcome | null; keep: (outcome: Outcome) => Promise<void> };

/**
 * What a run tells of all runs of the same text: where the translator refuses it before any of its lines runs, nothing that
 * is typed in changes that. Null where another run may give something else.
 */
export function holdsForAll(outcome: Outcome | null): Outcome | null {
  return outcome?.stoppedBy === "refused" && outcome.started === false ? outcome : null;
}

/** Where a recording is kept for a while. */
export type KeptTrace = { traces: TraceCache; key: string };

/** Why a program that is only read is not run. */
const onlyReadWords = "it is only read, by the word of who took it in";

/** The limits of every run. */
export const usualLimits: Limits = readLimits();

/** The limits of a run that goes on because its loop may come to its end by itself. */
export function longLimits(limits: Limits = usualLimits): Limits {
  return { ...limits, cpuSeconds: longRunSeconds, wallSeconds: longRunSeconds * 1.5 };
}

/**
 * The limits of a run that shall cost its own time only, where it loops or floods: a few times what the program itself took
 * (`slowest`, in milliseconds) beside what its translator needs to start.
 */
export function quickLimits(slowest: number, startSeconds: number, outputBytes: number): Limits {
  const seconds = Math.min(usualLimits.cpuSeconds, Math.max(0.1 + startSeconds, (slowest * 4) / 1000));
  return {
    ...usualLimits,
    cpuSeconds: seconds,
    wallSeconds: Math.min(usualLimits.wallSeconds, seconds * 2.5),
    outputBytes: Math.min(usualLimits.outputBytes, outputBytes),
  };
}

/** A language's translator with its version, or why its programs are not run here. */
export async function translatorFor(
  toolchains: Toolchains,
  language: Language,
): Promise<{ toolchain: Toolchain; version: string } | { notRun: string }> {
  if (language.runs === false) return { notRun: "steps in words are gone through on paper; no translator runs them" };
  const toolchain = toolchains.find(language.id);
  const state = await toolchain?.available();
  if (!toolchain || !state) return { notRun: `${language.name} cannot be run here yet.` };
  if (!state.ready) return { notRun: state.reason };
  const rules = rulesOfWay(language);
  return { toolchain, version: rules === "" ? state.version : `${state.version}, ${rules}` };
}

function requestOf(run: ProgramRun) {
  return {
    files: withSurroundings(run.files, run.surroundings ?? {}),
    input: run.input ?? "",
    limits: run.limits ?? usualLimits,
    ...(run.language.way ? { way: run.language.way } : {}),
    ...(run.hurried ? { hurried: true } : {}),
    ...(run.linesOnly ? { linesOnly: true } : {}),
  };
}

/**
 * Runs a program, the one way in which all of the product does. It never throws for what can become of a run: that is
 * a value. With `kept` a run that was made before is taken, and a new one kept.
 */
export async function runProgram(toolchains: Toolchains, run: ProgramRun, kept?: KeptRun): Promise<Ran> {
  if (run.onlyRead) return { outcome: null, notRun: onlyReadWords, unknown: null };
  const translator = await translatorFor(toolchains, run.language);
  if ("notRun" in translator) return { outcome: null, notRun: translator.notRun, unknown: null };
  if (kept?.found) return { outcome: kept.found, notRun: null, unknown: null };
  const outcome = await translator.toolchain.run(requestOf(run));
  const unknown = unknownBecause(outcome);
  if (unknown === null) {
    await kept?.keep(outcome);
    return { outcome, notRun: null, unknown: null };
  }
  return outcome.stoppedBy === "person"
    ? { outcome, notRun: null, unknown }
    : { outcome: null, notRun: unknown, unknown };
}

/**
 * Runs variants of a program's first file in one job, where its translator has such a thing: null where it has not, and null
 * in the place of each one of which nothing was told in company. `seconds` bounds all of it. Like runProgram it never
 * throws for what can become of a run.
 */
export async function runVariants(
  toolchains: Toolchains,
  run: ProgramRun,
  variants: readonly Variant[],
  seconds: number,
): Promise<Array<Outcome | null> | null> {
  if (run.onlyRead) return null;
  const translator = await translatorFor(toolchains, run.language);
  if ("notRun" in translator || !translator.toolchain.runMany) return null;
  const outcomes = await translator.toolchain.runMany(requestOf(run), variants, seconds);
  return outcomes.map((outcome) => (outcome && unknownBecause(outcome) === null ? outcome : null));
}

/** What runs of one program in one job may take in all, in seconds. */
const togetherSeconds = 60;

/**
 * Runs variants of a program in one job, where its translator has such a thing. What one run leaves behind is gone before the
 * next begins; in the place of a run that was ended at a limit, or that told nothing in company, stands null (its own may
 * tell). Each that came through has `inCompany`.
 */
export async function runInCompany(
  toolchains: Toolchains,
  run: ProgramRun,
  variants: readonly Variant[],
): Promise<Array<Outcome | null>> {
  const outcomes = variants.length < 2 ? null : await runVariants(toolchains, run, variants, togetherSeconds);
  return variants.map((_, at) => {
    const outcome = outcomes?.[at];
    return outcome && tellsInCompany(outcome) ? { ...outcome, inCompany: true } : null;
  });
}

/** The same with several inputs, nothing else of it differing: what was told in company, by the input. */
export async function runWithInputs(
  toolchains: Toolchains,
  run: ProgramRun,
  inputs: readonly string[],
): Promise<ReadonlyMap<string, Outcome>> {
  const main = run.files[0]?.bytes;
  if (!main) return new Map();
  const different = [...new Set(inputs)];
  const outcomes = await runInCompany(
    toolchains,
    run,
    different.map((input) => ({ main, input })),
  );
  return new Map(
    different.flatMap((input, at) => {
      const outcome = outcomes[at];
      return outcome ? [[input, outcome] as const] : [];
    }),
  );
}

/** Runs a program and records it, or takes the recording that is kept. Words for a person where there is none. */
export async function recordProgram(
  toolchains: Toolchains,
  run: ProgramRun,
  kept?: KeptTrace,
): Promise<{ trace: Trace } | { notRun: string }> {
  if (run.onlyRead) return { notRun: onlyReadWords };
  const translator = await translatorFor(toolchains, run.language);
  if ("notRun" in translator) return translator;
  if (run.change && !translator.toolchain.changes)
    return {
      notRun: `Nothing can be changed while it runs in ${run.language.name} here: its recorder has no way for it.`,
    };
  const make = () => translator.toolchain.trace({ ...requestOf(run), ...(run.change ? { change: run.change } : {}) });
  const trace = await (kept ? kept.traces.get(`${kept.key} ${translator.version}`, make) : make());
  const unknown = unknownBecause(trace.outcome);
  return unknown === null ? { trace } : { notRun: unknown };
}
