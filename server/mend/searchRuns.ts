import { availableParallelism } from "node:os";
import type { Comparison } from "../../core/assignments/comparison.ts";
import type { IntendedPiece } from "../../core/assignments/intended.ts";
import type { Surroundings } from "../../core/cases/surroundings.ts";
import type { Language } from "../../core/languages/language.ts";
import type { Lead } from "../../core/leads/lead.ts";
import { type Seen, seenIn } from "../../core/leads/signs.ts";
import { ochiai } from "../../core/leads/spectrum.ts";
import type { Limits, Outcome, ProgramFiles } from "../../core/outcome/outcome.ts";
import { suggestVerdict, type Verdict } from "../../core/verdict/verdict.ts";
import { type Judged, judgeProgram, type Policies } from "../judge/judge.ts";
import { quickLimits, recordProgram, runProgram, runVariants, usualLimits } from "../judge/run.ts";
import type { Toolchains } from "../toolchains/toolchains.ts";
import type { FoundFix } from "./foundFix.ts";
import { gather } from "./gather.ts";

/** What a mended program has to pass. */
export type SearchCheck = {
  input: string;
  surroundings?: Surroundings;
  expected?: string;
  intended?: readonly IntendedPiece[];
  comparison?: Comparison;
};

export type SearchRequest = {
  language: Language;
  files: ProgramFiles;
  checks: readonly SearchCheck[];
  policies: Policies;
  seconds: number;
  /** How many candidates are tried at once. */
  atOnce?: number;
  /** An output that was handed in with the program. */
  pastedText?: string;
  /** What is known of the checks already, in their order. */
  judged?: readonly Judged[];
  signal?: AbortSignal;
  /** Told of each whole mending as it is found, and of how many candidates were tried so far. */
  onFound?: (fix: FoundFix) => void;
  onTried?: (tried: number) => void;
};

/** How far a run comes: refused, stopped, ended with another result, as intended. */
export type Reach = 0 | 1 | 2 | 3;

/** Of a program that is searched: one that needs longer for a run has too few candidates tried to find anything. */
const rootLimits: Limits = {
  ...usualLimits,
  cpuSeconds: Math.min(1.5, usualLimits.cpuSeconds),
  wallSeconds: Math.min(4, usualLimits.wallSeconds),
};
function reachOf(verdict: Verdict, outcome: Outcome): Reach {
  if (verdict.gates[0]?.passes === false || (outcome.stoppedBy === "refused" && outcome.started === false)) return 0;
  if (verdict.gates[1]?.passes === false || !outcome.finished) return 1;
  return verdict.gates[2]?.passes === false ? 2 : 3;
}

/** Checks that pass and are recorded beside the one that fails, and the part of the time in which they are. */
const mostPassing = 2;
const passingShare = 0.05;

/** What a run of a candidate came to, and the line that is reported (from 1). */
export type CandidateRun = { reach: Reach; reportedLine: number | null; outcome: Outcome };

/** The program itself before anything is changed: how far it comes with each check, and what is known of the one that decides. */
export type Beginning = {
  reaches: Reach[];
  reported: number | null;
  leads: readonly Lead[];
  /** Lines that a recorded run went through, where there is one. */
  ran?: ReadonlySet<number>;
  spectrum?: ReadonlyMap<number, number>;
  /** What is wrong about the result of the check that fails first. */
  seen?: Seen | null;
  /** Limits for the candidates. */
  quick: Limits;
};

/**
 * True for a run that came to an end by a limit alone: how long it took says nothing of how long one that is mended takes. So
 * it is with one whose place was found by a second run under a debugger, which counts for the most part of its time.
 */
const isCut = ({ stoppedBy }: Outcome) => ["time", "output", "memory", "steps"].includes(stoppedBy);

/** The runs of one search: of candidates, and of the program itself. */
export function createSearchRuns(toolchains: Toolchains, request: SearchRequest) {
  const { language, files, checks, policies } = request;
  const inCompany = toolchains.find(language.id)?.runMany !== undefined;
  const startSeconds = toolchains.find(language.id)?.startSeconds ?? 1;
  const longest = Math.max(0, ...checks.map((check) => check.expected?.length ?? 0));
  const withText = (text: string): ProgramFiles =>
    files.map((file, at) => (at === 0 ? { ...file, bytes: Buffer.from(text, "utf8") } : file));
  const judgedBy = ({ input, surroundings, expected, intended, comparison }: SearchCheck) => ({
    ...{ language, policies, input, surroundings, expected, intended, comparison },
  });

  const runOf = (text: string, check: SearchCheck, limits: Limits) => ({
    ...{ language, files: withText(text), limits, hurried: true, input: check.input },
    ...(check.surroundings ? { surroundings: check.surroundings } : {}),
  });
  const told = (outcome: Outcome, { expected, intended, comparison }: SearchCheck): CandidateRun => {
    // No check is asked about what does not start, and most changes of what does not start leave it so.
    if (outcome.started === false && outcome.stoppedBy === "refused") {
      const reportedLine = outcome.diagnostics.find((diagnostic) => diagnostic.primary)?.line ?? null;
      return { reach: 0, reportedLine, outcome };
    }
    const verdict = suggestVerdict({
      ...{ language, outcome, endless: null, lastState: null, endlessClass: policies.endlessClass },
      ...{ expected, intended, comparison, fileNames: files.map((file) => file.name) },
    });
    return { reach: reachOf(verdict, outcome), reportedLine: verdict.reportedLine, outcome };
  };

  /** One run of a text, alone, with the check at a place; null where it told nothing. */
  const reach = async (text: string, at: number, limits: Limits = usualLimits): Promise<CandidateRun | null> => {
    const check = checks[at];
    if (!check) return null;
    const { outcome, unknown } = await runProgram(toolchains, runOf(text, check, limits));
    return outcome && unknown === null ? told(outcome, check) : null;
  };

  /** Runs of candidates, many in one job where the translator has such a thing, whatever check of the same surroundings they are run with. */
  let together = firstTogether;
  let millisecondsEach = 1;
  const gathered = new Map<
    string,
    (run: { text: string; input: string }, urgent: boolean) => Promise<Outcome | null>
  >();
  /** `further`: it has come further with another check already, so that it goes before those of which nothing is known. */
  const reachOfMany = async (
    text: string,
    at: number,
    limits: Limits,
    until: number,
    further: boolean,
  ): Promise<CandidateRun | null> => {
    const check = checks[at];
    if (!check) return null;
    if (!inCompany) return reach(text, at, limits);
    const where = JSON.stringify(check.surroundings ?? {});
    const ask =
      gathered.get(where) ??
      gather<{ text: string; input: string }, Outcome | null>(
        async (texts, urgent) => {
          const begun = Date.now();
          if (begun >= until) return texts.map(() => null);
          const variants = texts.map((each) => ({ main: Buffer.from(each.text, "utf8"), input: each.input }));
          const run = { ...runOf("", check, limits), linesOnly: true };
          const found = await runVariants(toolchains, run, variants, (until - begun) / 1000);
          const took = Date.now() - begun;
          if (!urgent) millisecondsEach = took / texts.length;
          const most = mostNext(took, found?.every((outcome) => outcome?.stoppedBy === "refused") ?? false);
          if (!urgent && texts.length >= together) together = nextTogether(together, took);
          if (!urgent) together = Math.min(together, most);
          return found ?? texts.map(() => null);
        },
        {
          atOnce: request.atOnce ?? availableParallelism(),
          most: () =>
            mostTogether(limits.cpuSeconds - startSeconds, Math.min(together, (until - Date.now()) / millisecondsEach)),
        },
      );
    gathered.set(where, ask);
    const outcome = await ask({ text, input: check.input }, further);
    if (outcome) return told(outcome, check);
    return Date.now() < until ? reach(text, at, limits) : null;
  };

  /** A text judged with the check at a place, with its leads. */
  const judgeWith = async (text: string, at: number): Promise<Judged | null> => {
    const check = checks[at];
    if (!check) return null;
    return judgeProgram(toolchains, { ...judgedBy(check), files: withText(text) }, { goOn: async () => {} });
  };

  /** The lines of a few checks that pass, recorded, as long as that takes no great part of the time. */
  const passingRuns = async (reaches: readonly Reach[]): Promise<Array<{ passes: boolean; lines: Set<number> }>> => {
    const found: Array<{ passes: boolean; lines: Set<number> }> = [];
    const until = Date.now() + request.seconds * 1000 * passingShare;
    for (const at of [...reaches.keys()].filter((each) => reaches[each] === 3).slice(0, mostPassing)) {
      const check = checks[at];
      if (!check || Date.now() > until) break;
      const { surroundings } = check;
      const run = {
        language,
        files,
        input: check.input,
        limits: rootLimits,
        ...(surroundings ? { surroundings } : {}),
      };
      const recorded = await recordProgram(toolchains, run);
      if (!("trace" in recorded)) continue;
      const steps = recorded.trace.steps.filter((step) => step.file === 0);
      found.push({ passes: true, lines: new Set(steps.map((step) => step.line)) });
    }
    return found;
  };

  const begin = async (original: string): Promise<Beginning | null> => {
    const reaches: Reach[] = [];
    const outcomes: Outcome[] = [];
    let slowest = 0;
    for (const [at, check] of checks.entries()) {
      const known = request.judged?.[at];
      const ran = known?.outcome
        ? { reach: reachOf(known.judgement, known.outcome), outcome: known.outcome }
        : await reach(original, at, at === 0 ? rootLimits : quickLimits(slowest, startSeconds, outputFor(longest)));
      if (!ran) return null;
      reaches.push(ran.reach);
      outcomes.push(ran.outcome);
      slowest = Math.max(slowest, isCut(ran.outcome) || ran.outcome.found ? 0 : ran.outcome.milliseconds);
      // What is refused is refused with any input.
      if (ran.reach === 0 && Object.keys(check.surroundings ?? {}).length === 0) {
        while (reaches.length < checks.length) reaches.push(0);
        break;
      }
    }
    const deciding = reaches.indexOf(Math.min(...reaches) as Reach);
    const [check, outcome] = [checks[deciding], outcomes[deciding]];
    if (!check || !outcome) return null;
    if (isCut(outcome)) together = firstOfEndless;
    const known = request.judged?.[deciding];
    const pastedText = deciding === 0 ? request.pastedText : undefined;
    const judged = known?.outcome
      ? known
      : await judgeProgram(
          toolchains,
          { ...judgedBy(check), files, limits: rootLimits, closely: true, pastedText },
          { run: { found: outcome, keep: async () => {} }, goOn: async () => {} },
        );
    const steps = judged.trace?.steps ?? [];
    const { leads, reportedLine: reported } = judged.judgement;
    const seen = seenIn(judged.judgement, judged.outcome ?? outcome);
    const quick = quickLimits(slowest, startSeconds, outputFor(longest));
    const ran = new Set(steps.filter((step) => step.file === 0).map((step) => step.line));
    if (steps.length === 0) return { reaches, reported, leads, quick, seen };
    const spectrum = ochiai([{ passes: false, lines: ran }, ...(await passingRuns(reaches))]);
    return { reaches, reported, leads, quick, ran, spectrum, seen };
  };

  return { inCompany, reach, reachOfMany, judgeWith, begin };
}

/**
 * Candidates of the first job, so that the likeliest do not wait for many others. The next one has twice as many as long as
 * jobs are over soon, and half as many after one that took long (milliseconds).
 */
const firstTogether = 16;
/** The same of a program that does not come to its end: most changes leave it so, and each of those takes all of its time. */
const firstOfEndless = 4;
const mostRunning = 64;
const atOnceOver = 100;
const soon = 500;
const long = 1000;

function nextTogether(together: number, took: number): number {
  if (took < soon) return together * 2;
  return took > long ? Math.max(4, Math.floor(together / 2)) : together;
}

/** The most that a job may have after one that took some milliseconds: what is refused is not run, and may be many more. */
function mostNext(took: number, allRefused: boolean): number {
  if (allRefused) return 512;
  return took < atOnceOver ? 128 : mostRunning;
}

/** Candidates of a job: no more than are over in a while also where some of them take all of their time. */
function mostTogether(seconds: number, together: number): number {
  const most = together > mostRunning ? together : Math.min(together, 12.8 / Math.max(0.2, seconds));
  return Math.max(4, Math.floor(most));
}

/** How much a candidate may print where the program itself printed `longest` bytes. */
const outputFor = (longest: number) => longest * 8 + (16 << 10);
