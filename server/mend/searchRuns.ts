import type { Comparison } from "../../core/assignments/comparison.ts";
import type { IntendedPiece } from "../../core/assignments/intended.ts";
import type { Surroundings } from "../../core/cases/surroundings.ts";
import type { Language } from "../../core/languages/language.ts";
import type { Lead } from "../../core/leads/lead.ts";
import type { Limits, Outcome, ProgramFiles } from "../../core/outcome/outcome.ts";
import { suggestVerdict, type Verdict } from "../../core/verdict/verdict.ts";
import { type Judged, judgeProgram, type Policies } from "../judge/judge.ts";
import { runProgram, usualLimits } from "../judge/run.ts";
import type { Toolchains } from "../toolchains/toolchains.ts";
import type { FoundFix } from "./foundFix.ts";

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

/** What a run of a candidate came to. */
export type CandidateRun = { reach: Reach; verdict: Verdict; outcome: Outcome };

/** The program itself before anything is changed: how far it comes with each check, and what is known of the one that decides. */
export type Beginning = {
  reaches: Reach[];
  reported: number | null;
  leads: readonly Lead[];
  /** Lines that a recorded run went through, where there is one. */
  ran?: ReadonlySet<number>;
  /** Limits for the candidates. */
  quick: Limits;
};

/** The runs of one search: of candidates, and of the program itself. */
export function createSearchRuns(toolchains: Toolchains, request: SearchRequest) {
  const { language, files, checks, policies } = request;
  const startSeconds = toolchains.find(language.id)?.startSeconds ?? 1;
  const longest = Math.max(0, ...checks.map((check) => check.expected?.length ?? 0));
  const withText = (text: string): ProgramFiles =>
    files.map((file, at) => (at === 0 ? { ...file, bytes: Buffer.from(text, "utf8") } : file));
  const judgedBy = ({ input, surroundings, expected, intended, comparison }: SearchCheck) => ({
    ...{ language, policies, input, surroundings, expected, intended, comparison },
  });

  /** One run of a text with the check at a place; null where it told nothing. */
  const reach = async (text: string, at: number, limits: Limits = usualLimits): Promise<CandidateRun | null> => {
    const check = checks[at];
    if (!check) return null;
    const { input, surroundings, expected, intended, comparison } = check;
    const run = { language, files: withText(text), limits, hurried: true, input };
    const { outcome, unknown } = await runProgram(toolchains, { ...run, ...(surroundings ? { surroundings } : {}) });
    if (!outcome || unknown !== null) return null;
    const verdict = suggestVerdict({
      ...{ language, outcome, endless: null, lastState: null, endlessClass: policies.endlessClass },
      ...{ expected, intended, comparison, fileNames: files.map((file) => file.name) },
    });
    return { reach: reachOf(verdict, outcome), verdict, outcome };
  };

  /** A text judged with the check at a place, with its leads. */
  const judgeWith = async (text: string, at: number): Promise<Judged | null> => {
    const check = checks[at];
    if (!check) return null;
    return judgeProgram(toolchains, { ...judgedBy(check), files: withText(text) }, { goOn: async () => {} });
  };

  const begin = async (original: string): Promise<Beginning | null> => {
    const reaches: Reach[] = [];
    const outcomes: Outcome[] = [];
    let slowest = 0;
    for (const [at, check] of checks.entries()) {
      const known = request.judged?.[at];
      const ran = known?.outcome
        ? { reach: reachOf(known.judgement, known.outcome), outcome: known.outcome }
        : await reach(original, at, at === 0 ? rootLimits : quickLimits(slowest, startSeconds, longest));
      if (!ran) return null;
      reaches.push(ran.reach);
      outcomes.push(ran.outcome);
      slowest = Math.max(slowest, ran.outcome.stoppedBy === "time" ? 0 : ran.outcome.milliseconds);
      // What is refused is refused with any input.
      if (ran.reach === 0 && Object.keys(check.surroundings ?? {}).length === 0) {
        while (reaches.length < checks.length) reaches.push(0);
        break;
      }
    }
    const deciding = reaches.indexOf(Math.min(...reaches) as Reach);
    const [check, outcome] = [checks[deciding], outcomes[deciding]];
    if (!check || !outcome) return null;
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
    const quick = quickLimits(slowest, startSeconds, longest);
    const ran = new Set(steps.filter((step) => step.file === 0).map((step) => step.line));
    return { reaches, reported, leads, quick, ...(steps.length > 0 ? { ran } : {}) };
  };

  return { reach, judgeWith, begin };
}

/** True where a program calls what draws on chance or the clock; a variable may have such a name, too. */
export function usesChance(language: Language, text: string): boolean {
  const code = language.tokens(text).filter((token) => token.kind !== "comment");
  return code.some((token, at) => {
    if (token.kind !== "name" || !language.chanceWords.has(token.text)) return false;
    const [before, next] = [code[at - 1]?.text, code[at + 1]?.text];
    return next === "(" || next === "." || before === "." || before === "import" || before === "new";
  });
}

/** A candidate that loops or floods costs its own time only: a few times what the program itself took. */
function quickLimits(slowest: number, start: number, longest: number): Limits {
  const seconds = Math.min(usualLimits.cpuSeconds, Math.max(0.1 + start, (slowest * 4) / 1000));
  return {
    ...usualLimits,
    cpuSeconds: seconds,
    wallSeconds: Math.min(usualLimits.wallSeconds, seconds * 2.5),
    outputBytes: Math.min(usualLimits.outputBytes, longest * 8 + (16 << 10)),
  };
}
