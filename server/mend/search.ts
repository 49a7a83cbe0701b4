import type { Comparison } from "../../core/assignments/comparison.ts";
import type { IntendedPiece } from "../../core/assignments/intended.ts";
import type { Surroundings } from "../../core/cases/surroundings.ts";
import { editContext } from "../../core/edits/context.ts";
import { applyEdit, type Edit } from "../../core/edits/edit.ts";
import { proposeEdits } from "../../core/edits/families.ts";
import { linesOfEdit } from "../../core/edits/lines.ts";
import { sayEdit } from "../../core/edits/words.ts";
import { applyBoth, type Candidate, rankCandidates } from "../../core/fixes/candidates.ts";
import { findHunks, type Hunk } from "../../core/fixes/hunks.ts";
import { type Repair, repairsOf } from "../../core/fixes/repairs.ts";
import type { Language } from "../../core/languages/language.ts";
import type { Lead } from "../../core/leads/lead.ts";
import type { Limits, Outcome, ProgramFiles } from "../../core/outcome/outcome.ts";
import { decodeText } from "../../core/source/decode.ts";
import { suggestVerdict, type Verdict } from "../../core/verdict/verdict.ts";
import { type Judged, judgeProgram, type Policies } from "../judge/judge.ts";
import { runProgram, usualLimits } from "../judge/run.ts";
import type { Toolchains } from "../toolchains/toolchains.ts";

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
  /** An output that was handed in with the program. */
  pastedText?: string;
  /** What is known of the checks already, in their order. */
  judged?: readonly Judged[];
  signal?: AbortSignal;
  /** Told of each whole mending as it is found, and of how many candidates were tried so far. */
  onFound?: (fix: FoundFix) => void;
  onTried?: (tried: number) => void;
};

/** A whole mending of a program: every check passes. `steps` are the edits one after another, each in words. */
export type FoundFix = Repair & {
  text: string;
  hunks: Hunk[];
  steps: string[];
  /** The lines of the steps in the program given, the first step's first. */
  lines: number[];
  why: string;
  families: string[];
  checks: { passed: number; of: number };
  worth: number;
};

/** What a search found, best first; `starts` are changes after which the program starts and does not pass all. */
export type SearchResult = {
  fixes: FoundFix[];
  starts: FoundFix[];
  tried: number;
  seconds: number;
  /** Why nothing was searched for, in words for a person. */
  notSearched?: string;
};

/** How far a run comes: refused, stopped, ended with another result, as intended. */
type Reach = 0 | 1 | 2 | 3;

type State = {
  text: string;
  steps: Edit[];
  /** The sentence of each step, made on the text that it changes, and the lines that it is about. */
  words: string[];
  lines: number[];
  reaches: Reach[];
  reported: number | null;
  leads: readonly Lead[];
  ran?: ReadonlySet<number>;
  /** How promising it is beside the program itself, which has 1. */
  worth: number;
};

type Task = { state: State; text: string; edits: Edit[]; worth: number };

const atOnce = 4;
/** Of a program that is searched: one that needs longer for a run has too few candidates tried to find anything. */
const rootLimits: Limits = {
  ...usualLimits,
  cpuSeconds: Math.min(1.5, usualLimits.cpuSeconds),
  wallSeconds: Math.min(4, usualLimits.wallSeconds),
};
const mostStates = 12;
const mostSteps = 4;
const mostPaired = 40;
/** Longer programs are not searched: their candidates would not be tried in the time. */
const mostLines = 500;

function reachOf(verdict: Verdict, outcome: Outcome): Reach {
  if (verdict.gates[0]?.passes === false || (outcome.stoppedBy === "refused" && outcome.started === false)) return 0;
  if (verdict.gates[1]?.passes === false || !outcome.finished) return 1;
  return verdict.gates[2]?.passes === false ? 2 : 3;
}

/** Looks for small edits after which a program passes all checks. Never throws for what becomes of a candidate. */
export async function searchFixes(toolchains: Toolchains, request: SearchRequest): Promise<SearchResult> {
  const begun = Date.now();
  const until = begun + request.seconds * 1000;
  const { language, files, checks } = request;
  const main = files[0];
  const original = main ? decodeText(main.bytes).text : "";
  let tried = 0;
  const none = (notSearched: string): SearchResult => ({
    fixes: [],
    starts: [],
    tried,
    seconds: (Date.now() - begun) / 1000,
    notSearched,
  });
  if (!main || checks.length === 0) return none("There is nothing that a mended program could pass.");
  if (!language.syntax || !language.writing) return none(`Programs in ${language.name} are not searched.`);
  if (original.split("\n").length > mostLines)
    return none(`The program has more than ${mostLines} lines; it is not searched.`);
  if (usesChance(language, original))
    return none(
      "The program draws on chance or the time of day: what one run tells of a change, the next may not. It is not searched.",
    );

  const startSeconds = toolchains.find(language.id)?.startSeconds ?? 1;
  const longest = Math.max(0, ...checks.map((check) => check.expected?.length ?? 0));

  const withText = (text: string): ProgramFiles =>
    files.map((file, at) => (at === 0 ? { ...file, bytes: Buffer.from(text, "utf8") } : file));
  const over = () => Date.now() >= until || request.signal?.aborted === true;
  const meant = [
    ...checks.map((check) => check.expected ?? ""),
    ...checks.flatMap((check) => Object.keys(check.surroundings ?? {})),
  ];

  /** One run of a text with a check. */
  const reach = async (
    text: string,
    at: number,
    limits: Limits,
  ): Promise<{ reach: Reach; verdict: Verdict; outcome: Outcome } | null> => {
    const check = checks[at];
    if (!check) return null;
    const ran = await runProgram(toolchains, {
      language,
      files: withText(text),
      limits,
      hurried: true,
      input: check.input,
      ...(check.surroundings ? { surroundings: check.surroundings } : {}),
    });
    if (!ran.outcome || ran.unknown !== null) return null;
    const verdict = suggestVerdict({
      ...{
        language,
        outcome: ran.outcome,
        endless: null,
        lastState: null,
        endlessClass: request.policies.endlessClass,
      },
      ...{
        expected: check.expected,
        intended: check.intended,
        comparison: check.comparison,
        fileNames: files.map((file) => file.name),
      },
    });
    return { reach: reachOf(verdict, ran.outcome), verdict, outcome: ran.outcome };
  };

  /** The program itself: how far it comes with each check, and the leads of the check that decides. */
  const root = async (): Promise<State | null> => {
    const reaches: Reach[] = [];
    const outcomes: Outcome[] = [];
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
    const check = checks[deciding];
    const outcome = outcomes[deciding];
    if (!check || !outcome) return null;
    const known = request.judged?.[deciding];
    const judged = known?.outcome
      ? known
      : await judgeProgram(
          toolchains,
          {
            ...{ language, files, policies: request.policies, input: check.input, expected: check.expected },
            ...{ intended: check.intended, surroundings: check.surroundings, comparison: check.comparison },
            ...{ limits: rootLimits, closely: true, pastedText: deciding === 0 ? request.pastedText : undefined },
          },
          { run: { found: outcome, keep: async () => {} }, goOn: async () => {} },
        );
    const steps = judged.trace?.steps ?? [];
    const ran = new Set(steps.filter((step) => step.file === 0).map((step) => step.line));
    const { leads, reportedLine: reported } = judged.judgement;
    return {
      ...{ text: original, steps: [], words: [], lines: [], reaches, reported, leads, worth: 1 },
      ...(steps.length > 0 ? { ran } : {}),
    };
  };

  let slowest = 0;
  const start = await root();
  if (!start) return none("The program could not be run, so nothing was searched for.");
  if (start.reaches.every((each) => each === 3)) return none("Every check passes; there is nothing to mend.");
  const quick = quickLimits(slowest, startSeconds, longest);

  const tasks: Task[] = [];
  const seen = new Set<string>([original]);
  const found: FoundFix[] = [];
  const starts: FoundFix[] = [];
  let states = 0;
  let bestWhole = 0;

  const open = (state: State): Candidate[] => {
    const context = editContext(language, state.text, meant);
    if (!context) return [];
    const refused = Math.min(...state.reaches) === 0;
    const edits = proposeEdits(context, refused ? "mend a refusal" : "mend");
    const ranked = rankCandidates(context, edits, {
      leads: state.leads,
      refused,
      reported: state.reported,
      ...(state.ran ? { ran: state.ran } : {}),
    });
    const best = ranked[0]?.worth ?? 1;
    for (const { edit, worth } of ranked) {
      const text = applyEdit(state.text, edit);
      if (!seen.has(text)) tasks.push({ state, text, edits: [edit], worth: (worth / best) * state.worth });
    }
    tasks.sort((one, other) => other.worth - one.worth);
    states += 1;
    return ranked;
  };

  /** Tries one candidate; what passes everything is a fix, what comes further is gone on from. */
  const attempt = async (task: Task): Promise<void> => {
    if (seen.has(task.text)) return;
    seen.add(task.text);
    tried += 1;
    request.onTried?.(tried);
    const before = task.state.reaches;
    const order = checks.map((_, at) => at).sort((one, other) => (before[one] ?? 0) - (before[other] ?? 0));
    const reaches: Reach[] = [...before];
    let reported: number | null = null;
    let leads: readonly Lead[] = [];
    let improved = false;
    for (const [place, at] of order.entries()) {
      const ran = await reach(task.text, at, quick);
      if (!ran) return;
      const was = before[at] ?? 0;
      if (ran.reach < was) return;
      if (ran.reach === 0) {
        // It is refused still: worth going on from only if the reader comes further.
        const line = ran.verdict.reportedLine;
        if (line === null || task.state.reported === null || line <= task.state.reported + 1) return;
        reaches.fill(0);
        ({ reportedLine: reported } = ran.verdict);
        leads = line === null ? [] : [{ line, why: "", weight: 100 }];
        return goOn(task, reaches, reported, leads, 0.35);
      }
      if (place === 0 && ran.reach === was) return;
      improved ||= ran.reach > was;
      reaches[at] = ran.reach;
      if (ran.reach < 3 && leads.length === 0) {
        ({ reportedLine: reported } = ran.verdict);
        leads = reported === null ? [] : [{ line: reported, why: "", weight: 100 }];
      }
      // A refusal that is over needs no more than one look here; the rest is seen when it is gone on from.
    }
    if (!improved) return;
    if (reaches.every((each) => each === 3)) {
      const fix = toFix(task, checks.length);
      found.push(fix);
      bestWhole = Math.max(bestWhole, task.worth);
      request.onFound?.(fix);
      return;
    }
    const further = Math.min(...before) === 0 && Math.min(...reaches) > 0;
    if (further) starts.push(toFix(task, reaches.filter((each) => each === 3).length));
    await goOn(task, reaches, reported, leads, further ? 0.4 : 0.45);
  };

  const goOn = async (
    task: Task,
    reaches: Reach[],
    reported: number | null,
    leads: readonly Lead[],
    factor: number,
  ): Promise<void> => {
    if (states >= mostStates || task.state.steps.length + task.edits.length >= mostSteps) return;
    const state: State = {
      ...{ text: task.text, reaches, reported, leads, worth: Math.sqrt(task.worth) * factor },
      steps: [...task.state.steps, ...task.edits],
      words: [...task.state.words, ...wordsOf(task).map((each) => each.words)],
      lines: [...task.state.lines, ...wordsOf(task).flatMap((each) => each.lines)],
    };
    // Where it starts now its leads are those of a judgement of its own.
    if (Math.min(...reaches) > 0 && Math.min(...task.state.reaches) === 0) {
      const at = reaches.findIndex((each) => each < 3);
      const check = checks[at];
      if (check && !over()) {
        const judged = await judgeProgram(
          toolchains,
          {
            ...{
              language,
              files: withText(task.text),
              policies: request.policies,
              input: check.input,
              expected: check.expected,
            },
            ...{ intended: check.intended, surroundings: check.surroundings, comparison: check.comparison },
          },
          { goOn: async () => {} },
        );
        state.leads = judged.judgement.leads;
        state.reported = judged.judgement.reportedLine;
      }
    }
    open(state);
  };

  const wordsOf = (task: Task): Array<{ words: string; lines: number[] }> => {
    const context = editContext(language, task.state.text);
    if (!context) return [];
    return task.edits.map((edit) => ({ words: sayEdit(context, edit), lines: linesOfEdit(context, edit) }));
  };

  const toFix = (task: Task, passed: number): FoundFix => {
    const last = wordsOf(task);
    const steps = [...task.state.words, ...last.map((each) => each.words)];
    const lines = [...new Set([...task.state.lines, ...last.flatMap((each) => each.lines)])];
    const families = [...new Set([...task.state.steps, ...task.edits].map((edit) => edit.family))];
    const judged = checks.filter((_, at) => passed === checks.length || at < passed);
    const repair = repairsOf({
      language,
      before: original,
      after: task.text,
      refused: Math.min(...start.reaches) === 0 && task.state.steps.length === 0,
      passed: judged,
    });
    return {
      ...repair,
      ...{ text: task.text, hunks: findHunks(original, task.text), steps, lines, families, worth: task.worth },
      why: steps.join(" Then: "),
      checks: { passed, of: checks.length },
    };
  };

  const first = open(start);
  /** Two edits together, among the likeliest, when every single one was tried. */
  let paired = false;
  const pair = () => {
    paired = true;
    if (Math.min(...start.reaches) === 0) return;
    const best = first.slice(0, mostPaired);
    const top = best[0]?.worth ?? 1;
    for (const [at, one] of best.entries())
      for (const other of best.slice(at + 1)) {
        const text = applyBoth(original, one.edit, other.edit);
        if (text !== null && !seen.has(text))
          tasks.push({
            state: start,
            text,
            edits: [one.edit, other.edit],
            worth: ((one.worth * other.worth) / top / top) * 0.2,
          });
      }
    tasks.sort((one, other) => other.worth - one.worth);
  };
  const worker = async (): Promise<void> => {
    while (!over()) {
      const task = tasks.shift();
      if (!task) {
        if (running > 1 || paired || found.length > 0) {
          if (running <= 1 && (paired || found.length > 0)) return;
          await new Promise((resolve) => setTimeout(resolve, 5));
          continue;
        }
        pair();
        continue;
      }
      // What is far less likely than a mending that was found is not tried any more.
      if (found.length > 0 && task.worth < bestWhole * 0.4) return;
      running += 1;
      try {
        await attempt(task);
      } finally {
        running -= 1;
      }
    }
  };
  let running = 1;
  await Promise.all(Array.from({ length: atOnce }, worker));
  return { fixes: inOrder(found), starts: inOrder(starts).slice(0, 3), tried, seconds: (Date.now() - begun) / 1000 };
}

const rank = { repairs: 2, open: 1, hides: 0 } as const;

/**
 * Best first: what repairs before what hides, then the likelier. Of several at the same lines that come to the same one
 * stays: they pass the same checks, and what they write otherwise is no other meaning.
 */
function inOrder(fixes: readonly FoundFix[]): FoundFix[] {
  const ordered = [...fixes].sort((one, other) => rank[other.repairs] - rank[one.repairs] || other.worth - one.worth);
  const places = new Set<string>();
  return ordered.filter((fix) => {
    const place = `${fix.repairs} ${fix.lines.join()} ${fix.checks.passed}`;
    if (places.has(place)) return false;
    places.add(place);
    return true;
  });
}

/** True where a program calls what draws on chance or the clock; a variable may have such a name, too. */
function usesChance(language: Language, text: string): boolean {
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
