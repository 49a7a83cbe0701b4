import { withSurroundings } from "../core/cases/surroundings.ts";
import type { Language } from "../core/languages/language.ts";
import { findLanguage } from "../core/languages/languages.ts";
import { type Limits, type Outcome, unknownBecause } from "../core/outcome/outcome.ts";
import type { Trace } from "../core/trace/trace.ts";
import { type Judgement, judge, wantsTrace } from "../core/verdict/judge.ts";
import type { FaultClass } from "../core/verdict/verdict.ts";
import { readLimits } from "./limits.ts";
import type { Services } from "./services.ts";
import { type ProgramCheck, type Version, type WholeCase, workedBefore } from "./stores/cases.ts";
import { findCourse } from "./stores/courses.ts";
import { findRun, saveRun } from "./stores/runs.ts";

const limits: Limits = readLimits();

/** A check with what a version did under it. `passes` is null where it is not decided. */
export type CheckResult = { check: ProgramCheck; outcome: Outcome | null; judgement: Judgement; passes: boolean | null };

/** A version judged: the check that decides comes first in `deciding`; `otherClasses` are what other checks show beside it. */
export type VersionJudgement = {
  version: Version;
  results: CheckResult[];
  deciding: CheckResult;
  otherClasses: FaultClass[];
  /** Why it was not run, in words; null if it was. */
  notRun: string | null;
  /** Why a run told nothing this time although programs do run here, in words: what is found without it is no ground for a change. */
  unknown: string | null;
  allPass: boolean;
};

/** The language of a case; every case was collected in a known one. */
export function languageOf(found: { language: string }): Language {
  const language = findLanguage(found.language);
  if (!language) throw new Error(`unknown language ${found.language}`);
  return language;
}

export function versionOf(found: WholeCase, key: string): Version {
  const version = found.versions.find((each) => each.key === key);
  if (!version) throw new Error(`no version ${key}`);
  return version;
}

/** The recording of a version with a check's input, made or taken from those kept. */
export async function recordVersion(services: Services, language: Language, version: Version, check: ProgramCheck): Promise<Trace | null> {
  const toolchain = services.toolchains.find(language.id);
  const state = await toolchain?.available();
  if (!toolchain || !state?.ready) return null;
  const key = `${version.key} ${check.key} ${check.input} ${state.version} ${JSON.stringify(check.surroundings)}`;
  const trace = await services.traces.get(key, () =>
    toolchain.trace({ files: withSurroundings(version.files, check.surroundings), input: check.input, limits }),
  );
  return unknownBecause(trace.outcome) === null ? trace : null;
}

/** What became of a run: its outcome, or why there is none; `unknown` as in VersionJudgement. */
type Ran = { outcome: Outcome | null; notRun: string | null; unknown: string | null };

/** Runs a version with a check, or takes the stored run of the same version, check, translator and limits. */
async function runVersion(services: Services, found: WholeCase, version: Version, check: ProgramCheck): Promise<Ran> {
  const cannot = (notRun: string): Ran => ({ outcome: null, notRun, unknown: null });
  if (languageOf(found).runs === false) return cannot("steps in words are gone through on paper; no translator runs them");
  const toolchain = services.toolchains.find(found.language);
  const state = toolchain ? await toolchain.available() : null;
  if (!toolchain || !state?.ready) return cannot(state && !state.ready ? state.reason : "this language cannot be run here yet");
  const identity = { version: version.key, check: check.key, checksEdition: found.checks_edition, translator: state.version, limits };
  const stored = await findRun(services.database, identity);
  if (stored) return { outcome: stored, notRun: null, unknown: null };
  const outcome = await toolchain.run({ files: withSurroundings(version.files, check.surroundings), input: check.input, limits });
  // A run that tells nothing is made again when the case is looked at next.
  const unknown = unknownBecause(outcome);
  if (unknown === null) await saveRun(services.database, identity, outcome);
  return outcome.stoppedBy === "person" || unknown === null ? { outcome, notRun: null, unknown } : { outcome: null, notRun: unknown, unknown };
}

async function judgeCheck(
  services: Services,
  found: WholeCase,
  version: Version,
  check: ProgramCheck,
  endlessClass: "logic" | "runtime",
): Promise<{ result: CheckResult; notRun: string | null; unknown: string | null }> {
  const language = languageOf(found);
  const { outcome, notRun, unknown } = await runVersion(services, found, version, check);
  // The pasted output belongs to the version that it was handed in with.
  const pasted = check.handed_in ? found.outputs.find((output) => output.version === version.key) : undefined;
  const shared = {
    language,
    mainName: version.files[0]?.name ?? "",
    files: Object.fromEntries(version.files.map((file) => [file.name, file.text])),
    expected: check.expected ?? undefined,
    ignorePrompts: check.ignore_prompts,
    pastedText: pasted?.content,
    firstLine: found.first_line,
    working: workedBefore(found, version)?.files[0]?.text,
    symptom: check.handed_in ? (found.symptom ?? undefined) : undefined,
    endlessClass,
    outcome: outcome ?? undefined,
  };
  let judgement = judge(shared);
  if (outcome && wantsTrace(judgement, outcome)) {
    const trace = await recordVersion(services, language, version, check);
    if (trace) judgement = judge({ ...shared, trace });
  }
  const gates = judgement.gates.map((gate) => gate.passes);
  const passes = gates.includes(false) ? false : gates.every((gate) => gate === true) ? true : null;
  return { result: { check, outcome, judgement, passes }, notRun, unknown };
}

/** Judges a version with every check of its case, by stored runs where there are any. */
export async function judgeVersion(services: Services, found: WholeCase, version: Version): Promise<VersionJudgement> {
  const course = found.course ? await findCourse(services.database, found.course) : null;
  const judged = await Promise.all(found.checks.map((check) => judgeCheck(services, found, version, check, course?.endless_class ?? "logic")));
  const results = judged.map((each) => each.result);
  const handedIn = results.find((result) => result.check.handed_in && result.judgement.class !== null);
  const deciding = handedIn ?? results.find((result) => result.judgement.class !== null) ?? results[0];
  if (!deciding) throw new Error("a case without checks");
  const otherClasses = [...new Set(results.filter((result) => result !== deciding).map((result) => result.judgement.class))].filter(
    (each): each is FaultClass => each !== null && each !== deciding.judgement.class,
  );
  return {
    version,
    results,
    deciding,
    otherClasses,
    notRun: judged[0]?.notRun ?? null,
    unknown: judged.find((each) => each.unknown !== null)?.unknown ?? null,
    allPass: results.every((result) => result.passes === true),
  };
}
