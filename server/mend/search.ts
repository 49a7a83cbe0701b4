import { availableParallelism } from "node:os";
import { editContext } from "../../core/edits/context.ts";
import { applyEdit, type Edit } from "../../core/edits/edit.ts";
import { proposeEdits } from "../../core/edits/families.ts";
import { linesOfEdit } from "../../core/edits/lines.ts";
import { sayEdit } from "../../core/edits/words.ts";
import { atomsOf } from "../../core/fixes/atoms.ts";
import { applyBoth, type Candidate, rankCandidates } from "../../core/fixes/candidates.ts";
import { applyHunks, findHunks } from "../../core/fixes/hunks.ts";
import { repairsOf } from "../../core/fixes/repairs.ts";
import { usesChance } from "../../core/languages/usesChance.ts";
import type { Lead } from "../../core/leads/lead.ts";
import type { Seen } from "../../core/leads/signs.ts";
import { decodeText } from "../../core/source/decode.ts";
import type { Toolchains } from "../toolchains/toolchains.ts";
import { type FoundFix, inOrder } from "./foundFix.ts";
import { type CandidateRun, createSearchRuns, type Reach, type SearchRequest } from "./searchRuns.ts";

/** What a search found, best first; `starts` are changes after which the program starts and does not pass all. */
export type SearchResult = {
  fixes: FoundFix[];
  starts: FoundFix[];
  tried: number;
  seconds: number;
  /** Why nothing was searched for, in words for a person. */
  notSearched?: string;
};

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
  spectrum?: ReadonlyMap<number, number>;
  seen?: Seen | null;
  /** How promising it is beside the program itself, which has 1. */
  worth: number;
};

type Task = { state: State; text: string; edits: Edit[]; worth: number };

/** Candidates that are tried at once, if nobody says otherwise: more than cores, since a part of every run is waiting. */
const usuallyAtOnce = 4;
/** The same for each job that goes on, where many are tried in one: two jobs' worth. */
export const forEachJob = { refused: 512, running: 128 } as const;
const mostStates = 12;
const mostSteps = 4;
const mostPaired = 40;
const mostFixes = 4;
/** What is so much less likely than a mending that was found is not tried any more. */
const notWorthIt = 0.2;
/** Longer programs are not searched: their candidates would not be tried in the time. */
const mostLines = 500;

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

  const runs = createSearchRuns(toolchains, request);
  const over = () => Date.now() >= until || request.signal?.aborted === true;
  const meant = [
    ...checks.map((check) => check.expected ?? ""),
    ...checks.map((check) => check.input),
    ...checks.flatMap((check) => Object.keys(check.surroundings ?? {})),
  ];

  const known = await runs.begin(original);
  if (!known) return none("The program could not be run, so nothing was searched for.");
  if (known.reaches.every((each) => each === 3)) return none("Every check passes; there is nothing to mend.");
  const { quick } = known;
  const start: State = { ...known, text: original, steps: [], words: [], lines: [], worth: 1 };

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
      seen: state.seen ?? null,
      ...(state.ran ? { ran: state.ran } : {}),
      ...(state.spectrum ? { spectrum: state.spectrum } : {}),
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
    // What comes further with the check that tells most is run with all others at once.
    let others: ReadonlyMap<number, Promise<CandidateRun | null>> = new Map();
    for (const [place, at] of order.entries()) {
      const ran = await (others.get(at) ?? runs.reachOfMany(task.text, at, quick, until, false));
      if (!ran) return;
      const was = before[at] ?? 0;
      if (ran.reach < was) return;
      if (ran.reach === 0) {
        // It is refused still: worth going on from only if the reader comes further.
        const line = ran.reportedLine;
        if (line === null || task.state.reported === null || line <= task.state.reported + 1) return;
        reaches.fill(0);
        reported = ran.reportedLine;
        leads = line === null ? [] : [{ line, why: "", weight: 100 }];
        return goOn(task, reaches, reported, leads, 0.35);
      }
      if (place === 0 && ran.reach === was) return;
      if (place === 0 && runs.inCompany) others = withOthers(task.text, order.slice(1));
      improved ||= ran.reach > was;
      reaches[at] = ran.reach;
      if (ran.reach < 3 && leads.length === 0) {
        reported = ran.reportedLine;
        leads = reported === null ? [] : [{ line: reported, why: "", weight: 100 }];
      }
    }
    if (!improved) return;
    if (reaches.every((each) => each === 3)) {
      const fix = toFix(task, reaches);
      found.push(fix);
      if (fix.repairs !== "hides") bestWhole = Math.max(bestWhole, task.worth);
      if (fix.steps.length > 1) tryPartsOf(fix);
      request.onFound?.(fix);
      return;
    }
    const further = Math.min(...before) === 0 && Math.min(...reaches) > 0;
    if (further) starts.push(toFix(task, reaches));
    await goOn(task, reaches, reported, leads, further ? 0.4 : 0.45);
  };

  /** Runs of a text with further checks, all at once; who comes to an end before does not hear of them. */
  const withOthers = (text: string, further: readonly number[]): Map<number, Promise<CandidateRun | null>> => {
    const asked = further.map((at) => [at, runs.reachOfMany(text, at, quick, until, true)] as const);
    for (const [, run] of asked) run.catch(() => undefined);
    return new Map(asked);
  };

  /** A step on the way to a mending may have been none of it: each place of it alone is tried next, if it waits to be tried. */
  const tryPartsOf = (fix: FoundFix): void => {
    const places = fix.hunks.flatMap(atomsOf);
    if (places.length < 2) return;
    const parts = new Set(places.map((place) => applyHunks(original, [place])));
    const next = tasks.filter((task) => parts.has(task.text));
    for (const task of next) task.worth = Math.max(task.worth, fix.worth);
    tasks.unshift(...next);
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
      const judged = over()
        ? null
        : await runs.judgeWith(
            task.text,
            reaches.findIndex((each) => each < 3),
          );
      if (judged) ({ leads: state.leads, reportedLine: state.reported } = judged.judgement);
    }
    open(state);
  };

  const wordsOf = (task: Task): Array<{ words: string; lines: number[] }> => {
    const context = editContext(language, task.state.text);
    if (!context) return [];
    return task.edits.map((edit) => ({ words: sayEdit(context, edit), lines: linesOfEdit(context, edit) }));
  };

  const toFix = (task: Task, reaches: readonly Reach[]): FoundFix => {
    const last = wordsOf(task);
    const steps = [...task.state.words, ...last.map((each) => each.words)];
    const lines = [...new Set([...task.state.lines, ...last.flatMap((each) => each.lines)])];
    const families = [...new Set([...task.state.steps, ...task.edits].map((edit) => edit.family))];
    const passed = checks.filter((_, at) => reaches[at] === 3);
    const repair = repairsOf({
      language,
      before: original,
      after: task.text,
      refused: Math.min(...start.reaches) === 0 && task.state.steps.length === 0,
      passed,
    });
    return {
      ...repair,
      ...{ text: task.text, hunks: findHunks(original, task.text), steps, lines, families, worth: task.worth },
      why: steps.join(" Then: "),
      checks: { passed: passed.length, of: checks.length },
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
      if (task.worth < bestWhole * notWorthIt) return;
      running += 1;
      try {
        await attempt(task);
      } finally {
        running -= 1;
      }
    }
  };
  let running = 1;
  const waiting = forEachJob[Math.min(...start.reaches) === 0 ? "refused" : "running"];
  const atOnce = runs.inCompany ? (request.atOnce ?? availableParallelism()) * waiting : request.atOnce;
  await Promise.all(Array.from({ length: atOnce ?? usuallyAtOnce }, worker));
  // What is shown as whole was run once more in the ordinary way, alone and with the usual limits.
  const fixes: FoundFix[] = [];
  for (const fix of inOrder(found).slice(0, mostFixes)) {
    let passes = true;
    for (const at of checks.keys()) passes &&= (await runs.reach(fix.text, at))?.reach === 3;
    if (passes) fixes.push(fix);
  }
  return { fixes, starts: inOrder(starts).slice(0, 3), tried, seconds: (Date.now() - begun) / 1000 };
}
