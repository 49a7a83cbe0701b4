import * as z from "zod";
import type { Comparison } from "../../core/assignments/comparison.ts";
import type { IntendedPiece } from "../../core/assignments/intended.ts";
import { isPlain } from "../../core/cases/surroundings.ts";
import type { Language } from "../../core/languages/language.ts";
import { findLanguage } from "../../core/languages/languages.ts";
import { languageKey, rulesOfWay } from "../../core/languages/ways.ts";
import type { Outcome, ProgramFiles } from "../../core/outcome/outcome.ts";
import { textStateOf } from "../../core/reading/reading.ts";
import { decodeText } from "../../core/source/decode.ts";
import type { Trace } from "../../core/trace/trace.ts";
import { draw, type Judgement, judge, wantsTrace } from "../../core/verdict/judge.ts";
import type { FaultClass } from "../../core/verdict/verdict.ts";
import type { ProgramCheck } from "../assignments/checkStore.ts";
import {
  findCase,
  setTextState,
  startVersion,
  type WholeCase,
  withAllFiles,
  workedBefore,
} from "../cases/caseStore.ts";
import type { Version, VersionHead } from "../cases/versionStore.ts";
import type { Services } from "../services.ts";
import type { Toolchains } from "../toolchains/toolchains.ts";
import { defineJob } from "../work/job.ts";
import { leftoversThatFit } from "./leftovers.ts";
import {
  holdsForAll,
  type KeptRun,
  type KeptTrace,
  longLimits,
  type ProgramRun,
  type Ran,
  recordProgram,
  runProgram,
  runWithInputs,
  translatorFor,
  usualLimits,
} from "./run.ts";
import { listRuns, saveRun } from "./runStore.ts";

/** What a course has decided about how its programs are judged. */
export type Policies = { endlessClass: "logic" | "runtime" };

/** A program to be judged with one check; the fields beside those of a run are as in core/verdict/judge.ts. */
export type JudgeRequest = ProgramRun & {
  policies: Policies;
  expected?: string;
  intended?: readonly IntendedPiece[];
  comparison?: Comparison;
  pastedText?: string;
  symptom?: "never ends" | "nothing appears";
  /** What came out, by the word of who handed it in. */
  cameOut?: string;
  firstLine?: number;
  working?: string;
  /** Whether a run that stopped, or shows no fault, is recorded, too. */
  closely?: boolean;
  /** True where only the class is asked for and not its line: a wrong result is not recorded. */
  glance?: boolean;
};

export type Judged = Ran & { judgement: Judgement; trace: Trace | null };

/** The language of a case or an exercise; every one was collected in a known one. */
export function languageOf(found: { language: string; way?: string }): Language {
  const language = findLanguage(languageKey(found.language, found.way ?? ""));
  if (!language) throw new Error(`unknown language ${found.language}`);
  return language;
}

/** The texts of a program's files by name. */
export function fileTexts(files: ProgramFiles): Record<string, string> {
  return Object.fromEntries(files.map((file) => [file.name, decodeText(file.bytes).text]));
}

/**
 * Runs a program (if its language runs here) and draws the verdict, the one way in which all of the product does. The
 * run is recorded as well where that helps to find the line. Without a run the pasted output and the text alone are
 * read, and `notRun` says why. A run that is to go on before anything is said of its end does so now, or, with `goOn`,
 * whenever that likes.
 */
export async function judgeProgram(
  toolchains: Toolchains,
  request: JudgeRequest,
  kept: { run?: KeptRun; trace?: KeptTrace; goOn?: () => Promise<void> } = {},
): Promise<Judged> {
  const ran = await runProgram(toolchains, request, kept.run);
  const leftovers = await leftoversThatFit(toolchains, request, ran.outcome, kept.run);
  const known = {
    ...request,
    mainName: request.files[0]?.name ?? "",
    files: fileTexts(request.files),
    endlessClass: request.policies.endlessClass,
    outcome: ran.outcome ?? undefined,
    cameOut: request.cameOut?.trim() ? { text: request.cameOut, leftovers } : undefined,
  };
  const { verdict, withLeads } = draw(known);
  const isSeen = request.glance && ran.outcome?.finished && !request.closely;
  if (!ran.outcome || isSeen || !wantsTrace(verdict, ran.outcome, request.closely ?? false))
    return { ...ran, judgement: withLeads(), trace: null };
  const recorded = await recordProgram(toolchains, request, kept.trace);
  if ("notRun" in recorded) return { ...ran, judgement: withLeads(), trace: null };
  const { trace } = recorded;
  const recordedJudgement = judge({ ...known, trace });
  if (!recordedJudgement.goesOn) return { ...ran, judgement: recordedJudgement, trace };
  if (kept.goOn) {
    await kept.goOn();
    return { ...ran, judgement: recordedJudgement, trace };
  }
  const longer = await runProgram(toolchains, { ...request, limits: longLimits(request.limits) });
  if (!longer.outcome) return { ...ran, judgement: recordedJudgement, trace };
  return { ...longer, judgement: judge({ ...known, outcome: longer.outcome, trace }), trace };
}

/** A check with what a version did under it. `passes` is null where it is not decided. */
export type CheckResult = Judged & { check: ProgramCheck; passes: boolean | null };

/**
 * A version judged: the check that decides comes first in `deciding`; `otherClasses` are what other checks show beside
 * it. `notRun` and `unknown` as in Ran.
 */
export type VersionJudgement = {
  version: Version;
  results: CheckResult[];
  deciding: CheckResult;
  otherClasses: FaultClass[];
  notRun: string | null;
  unknown: string | null;
  allPass: boolean;
};

/** Where the recording of a version with a check is kept. */
function keptTrace(services: Services, found: WholeCase, version: Version, check: ProgramCheck): KeptTrace {
  const rules = rulesOfWay(languageOf(found));
  return { traces: services.traces, key: `${version.key} ${check.key} ${check.edition} ${rules} ${check.input}` };
}

/** The recording of a version with a check's input, made or taken from those kept; null where there is none. */
export async function recordVersion(
  services: Services,
  found: WholeCase,
  version: Version,
  check: ProgramCheck,
): Promise<Trace | null> {
  const run = { language: languageOf(found), files: version.files, ...requestOfCheck(check) };
  const recorded = await recordProgram(services.toolchains, run, keptTrace(services, found, version, check));
  return "trace" in recorded ? recorded.trace : null;
}

/** A run that goes on behind the pages; what it gives is kept in the place of the shorter one. */
export const goOn = defineJob({
  name: "go-on",
  schema: z.object({ case: z.string(), version: z.string(), check: z.string() }),
  about: (data) => `${data.version} ${data.check}`,
  atOnce: 1,
  retries: 0,
  retryAfter: 0,
  work: async (services, data) => {
    const found = await findCase(services.database, data.case);
    const version =
      found && (await withAllFiles(services.database, found)).loaded.find(({ key }) => key === data.version);
    const check = found?.checks.find((each) => each.key === data.check);
    if (!found || !version || !check) return;
    const language = languageOf(found);
    const translator = await translatorFor(services.toolchains, language);
    if ("notRun" in translator) return;
    await services.toolchains.desk.behind("a long run", async () => {
      const run = { language, files: version.files, ...requestOfCheck(check), limits: longLimits() };
      const { outcome, unknown } = await runProgram(services.toolchains, run);
      if (!outcome || unknown !== null) return;
      const identity = { version: version.key, check: check.key, edition: check.edition, limits: usualLimits };
      await saveRun(services.database, { ...identity, translator: translator.version }, outcome);
    });
  },
});

export function requestOfCheck(check: ProgramCheck) {
  return { input: check.input, surroundings: check.surroundings };
}

/** True for the version that was handed in, which what came out belongs to. */
function isFirst(found: WholeCase, version: VersionHead): boolean {
  return startVersion(found)?.key === version.key;
}

/** Everything that is known of a version of a case with one of its checks. */
export function requestFor(found: WholeCase, version: Version, check: ProgramCheck): JudgeRequest {
  // The pasted output belongs to the version that it was handed in with.
  const pasted = check.handed_in ? found.outputs.find((output) => output.version === version.key) : undefined;
  return {
    language: languageOf(found),
    files: version.files,
    ...requestOfCheck(check),
    policies: { endlessClass: found.endless_class },
    expected: check.expected ?? undefined,
    intended: check.pieces ?? undefined,
    comparison: check.comparison,
    pastedText: pasted?.content,
    firstLine: found.first_line,
    working: workedBefore(found, version)?.files[0]?.text,
    closely: check.handed_in,
    symptom: check.handed_in ? (found.symptom ?? undefined) : undefined,
    cameOut: check.handed_in && isFirst(found, version) ? found.came_out : undefined,
    onlyRead: found.only_read,
  };
}

/**
 * Judges a version with every check of its case, by kept runs where there are any. `quick`: runs with several inputs share a
 * job, and only classes are asked for. `alone`: a kept run that shared a job is made again by itself, as verifying asks.
 */
export async function judgeVersion(
  services: Services,
  found: WholeCase,
  version: Version,
  { quick = false, alone = false }: { quick?: boolean; alone?: boolean } = {},
): Promise<VersionJudgement> {
  const translator = await translatorFor(services.toolchains, languageOf(found));
  const usable = (outcome: Outcome | undefined) => (outcome && !(alone && outcome.inCompany) ? outcome : null);
  const identity =
    "notRun" in translator ? null : { version: version.key, translator: translator.version, limits: usualLimits };
  const runs = identity ? await listRuns(services.database, identity) : null;
  const keptRun = (check: ProgramCheck): KeptRun | undefined =>
    identity
      ? {
          found: usable(runs?.get(check.key)),
          keep: async (outcome) => {
            await saveRun(services.database, { ...identity, check: check.key, edition: check.edition }, outcome);
            if (check.handed_in && isFirst(found, version))
              await setTextState(services.database, found.key, textStateOf(outcome));
          },
        }
      : undefined;
  let refused: Outcome | null = null;
  let together: ReadonlyMap<string, Outcome> = new Map();
  const judgeCheck = async (check: ProgramCheck): Promise<CheckResult> => {
    const run = keptRun(check);
    // Other files beside the program may change what is refused; what is typed in does not.
    const known = isPlain(check) ? (refused ?? together.get(check.input) ?? null) : null;
    // What several inputs gave in one job is kept as any run is.
    if (known?.inCompany && !run?.found) await run?.keep(known);
    const kept = {
      run: run && { ...run, found: run.found ?? known },
      trace: keptTrace(services, found, version, check),
      goOn: () => services.queue.add(goOn, [{ case: found.key, version: version.key, check: check.key }]),
    };
    const judged = await judgeProgram(
      services.toolchains,
      { ...requestFor(found, version, check), glance: quick },
      kept,
    );
    const gates = judged.judgement.gates.map((gate) => gate.passes);
    const passes = gates.includes(false) ? false : gates.every((gate) => gate === true) ? true : null;
    const result = { ...judged, check, passes };
    return saysNothing(found, result) ? { ...result, passes: null } : result;
  };
  const [firstCheck, ...others] = found.checks;
  if (!firstCheck) throw new Error("a case without checks");
  const first = await judgeCheck(firstCheck);
  if (isPlain(firstCheck)) refused = holdsForAll(first.outcome);
  if (quick && identity && !refused) {
    const unknown = others.filter((check) => isPlain(check) && !usable(runs?.get(check.key)));
    together = await runTogether(services, found, version, unknown);
  }
  const results = [first, ...(await Promise.all(others.map(judgeCheck)))];
  const telling = results.filter((result) => !saysNothing(found, result));
  const handedIn = telling.find((result) => result.check.handed_in && result.judgement.class !== null);
  const deciding = handedIn ?? telling.find((result) => result.judgement.class !== null) ?? telling[0] ?? first;
  const otherResults = telling.filter((result) => result !== deciding).map((result) => result.judgement.class);
  return {
    version,
    results,
    deciding,
    otherClasses: [...new Set(otherResults)].filter(
      (each): each is FaultClass => each !== null && each !== deciding.judgement.class,
    ),
    notRun: results[0]?.notRun ?? null,
    unknown: results.find((each) => each.unknown !== null)?.unknown ?? null,
    allPass: telling.length > 0 && telling.every((result) => result.passes === true),
  };
}

/** Runs with the inputs of several checks in one job, those that students see apart: no run of theirs meets another input. */
async function runTogether(
  services: Services,
  found: WholeCase,
  version: Version,
  checks: readonly ProgramCheck[],
): Promise<ReadonlyMap<string, Outcome>> {
  const run = { language: languageOf(found), files: version.files, onlyRead: found.only_read };
  const kinds = [true, false].map((visible) =>
    checks.filter((check) => check.visible === visible).map((check) => check.input),
  );
  const outcomes = await Promise.all(kinds.map((inputs) => runWithInputs(services.toolchains, run, inputs)));
  return new Map(outcomes.flatMap((each) => [...each]));
}

/**
 * True for the run as handed in where its assignment has checks and nobody said what was typed in or meant to come out:
 * it judges nothing if it asked for more input than nobody gave, or ended well.
 */
export function saysNothing(found: WholeCase, { check, outcome, passes }: CheckResult): boolean {
  if (!check.handed_in || check.recorded !== null || check.expected !== null) return false;
  if (!found.checks.some((each) => each.of_assignment)) return false;
  return passes === null || (check.input === "" && outcome?.inputRanOut === true);
}
