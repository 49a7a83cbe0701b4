import { compareOutput } from "../../core/assignments/compareOutput.ts";
import type { Comparison } from "../../core/assignments/comparison.ts";
import { generateInputs } from "../../core/assignments/generateInputs.ts";
import { guessShape } from "../../core/assignments/guessShape.ts";
import type { InputShape } from "../../core/assignments/inputShape.ts";
import { limitsIn } from "../../core/assignments/limitsIn.ts";
import { isPlain, type Surroundings } from "../../core/cases/surroundings.ts";
import { editContext } from "../../core/edits/context.ts";
import { applyEdit, type Edit } from "../../core/edits/edit.ts";
import { findFamily, proposeEdits } from "../../core/edits/families.ts";
import { sayEdit } from "../../core/edits/words.ts";
import type { Language } from "../../core/languages/language.ts";
import { consoleText, type Limits, type Outcome, type ProgramFiles } from "../../core/outcome/outcome.ts";
import { decodeText } from "../../core/source/decode.ts";
import { quickLimits, runProgram, runVariants, usualLimits } from "../judge/run.ts";
import type { Toolchains } from "../toolchains/toolchains.ts";

/** How many small changes of a model are tried, and how many inputs where no check notices one. */
const mostChanges = 120;
const mostInputs = 200;
const usuallyAtOnce = 4;

/** A small change of a model that no check notices, as a sentence, with an input that would notice it. */
export type Unnoticed = { says: string; line: number; input: string };

/**
 * How strong checks are. `noticed` of `killable` changes are told apart from the model by a check; those of `alike` are
 * not told apart by any of the inputs that were tried (so they may be no change of meaning). `missing`: inputs that
 * together notice every change that no check does.
 */
export type Strength = {
  noticed: number;
  killable: number;
  alike: string[];
  unnoticed: Unnoticed[];
  missing: string[];
  tried: number;
  inputs: number;
  seconds: number;
  notMeasured?: string;
};

export type StrengthRequest = {
  language: Language;
  files: ProgramFiles;
  checks: ReadonlyArray<{ input: string; surroundings: Surroundings; comparison: Comparison }>;
  /** What is typed in; guessed from the model where it is empty. */
  shape: InputShape;
  seconds: number;
  /** How many changes are tried at once. */
  atOnce?: number;
  signal?: AbortSignal;
  onTried?: (tried: number, of: number) => void;
};

/** Families whose slips are no matter of checks: words of outputs, and what hardly any check would have to notice, since it is not read or not found. */
const notOfChecks = new Set(["text-literal", "other-blocks", "other-forms"]);

/** Changes of as many families and lines as there is room for: each family's likeliest first, in turn. */
function chosen(edits: readonly Edit[]): Edit[] {
  const byFamily = new Map<string, Edit[]>();
  for (const edit of [...edits].sort((one, other) => other.odds - one.odds || one.from - other.from))
    byFamily.set(edit.family, [...(byFamily.get(edit.family) ?? []), edit]);
  const found: Edit[] = [];
  for (let round = 0; found.length < mostChanges && [...byFamily.values()].some((each) => each.length > round); round++)
    for (const each of byFamily.values())
      if (each[round] && found.length < mostChanges) found.push(each[round] as Edit);
  return found;
}

/** Inputs that are tried in one job. */
const together = 25;

/**
 * Makes small changes of a model and looks which of them no check notices (mutation analysis: DeMillo, Lipton and Sayward
 * 1978), and for those looks for an input that would.
 */
export async function measureStrength(toolchains: Toolchains, request: StrengthRequest): Promise<Strength> {
  const begun = Date.now();
  const until = begun + request.seconds * 1000;
  const { language, files, checks } = request;
  const main = files[0];
  const text = main ? decodeText(main.bytes).text : "";
  const context = editContext(language, text);
  const result: Strength = {
    noticed: 0,
    killable: 0,
    alike: [],
    unnoticed: [],
    missing: [],
    tried: 0,
    inputs: 0,
    seconds: 0,
  };
  const end = (notMeasured?: string): Strength => ({
    ...result,
    seconds: (Date.now() - begun) / 1000,
    ...(notMeasured ? { notMeasured } : {}),
  });
  if (!main || !context)
    return end(`Programs in ${language.name} are not taken apart here, so small changes of a model cannot be made.`);
  if (checks.length === 0) return end("There are no checks yet.");
  const over = () => Date.now() >= until || request.signal?.aborted === true;

  const runOf = async (
    program: string,
    input: string,
    surroundings: Surroundings,
    limits: Limits,
  ): Promise<Outcome | null> => {
    const changed = files.map((file, at) => (at === 0 ? { ...file, bytes: Buffer.from(program, "utf8") } : file));
    const { outcome, unknown } = await runProgram(toolchains, {
      language,
      files: changed,
      input,
      surroundings,
      limits,
      hurried: true,
    });
    return unknown === null ? outcome : null;
  };
  /** What a program does with several inputs in one job, by input; what that does not tell is asked of its own run. */
  const runsOf = async (
    program: string,
    inputs: readonly string[],
    limits: Limits,
  ): Promise<ReadonlyMap<string, Outcome>> => {
    const variants = inputs.map((input) => ({ main: Buffer.from(program, "utf8"), input }));
    const run = { language, files, limits, hurried: true };
    const left = Math.max(0.5, (until - Date.now()) / 1000);
    const outcomes = variants.length > 1 ? await runVariants(toolchains, run, variants, left) : null;
    const told = inputs.map((input, at) => [input, outcomes?.[at]] as const);
    return new Map(told.flatMap(([input, outcome]) => (outcome ? [[input, outcome]] : [])));
  };
  const models = new Map<string, Promise<Outcome | null>>();
  const settingOf = (input: string, surroundings: Surroundings) => JSON.stringify([input, surroundings]);
  const modelWith = (input: string, surroundings: Surroundings) => {
    const key = settingOf(input, surroundings);
    const known = models.get(key) ?? runOf(text, input, surroundings, usualLimits);
    models.set(key, known);
    return known;
  };
  const first = await modelWith(checks[0]?.input ?? "", checks[0]?.surroundings ?? {});
  if (!first) return end("The model could not be run.");
  if (!first.finished) return end("The model does not come to its end with the first check.");
  const start = toolchains.find(language.id)?.startSeconds ?? 1;
  const limits = quickLimits(first.milliseconds, start, 64 << 10);
  /** True if a changed program shows something else than the model; null where that could not be told. */
  const differs = async (
    program: string,
    input: string,
    surroundings: Surroundings,
    comparison: Comparison,
    known?: Outcome,
  ) => {
    const meant = await modelWith(input, surroundings);
    if (!meant?.finished || meant.inputRanOut) return null;
    const outcome = known ?? (await runOf(program, input, surroundings, limits));
    if (!outcome) return null;
    if (outcome.stoppedBy === "refused") return "refused" as const;
    if (!outcome.finished) return true;
    return !compareOutput(outcome.console, consoleText(meant.console, ["out"]), comparison).same;
  };

  const shape = request.shape.length > 0 ? request.shape : guessShape(language, text);
  const inputs = generateInputs(shape, limitsIn(language, text, shape), mostInputs);
  result.inputs = inputs.length;
  const rules = checks[0]?.comparison ?? {};
  // A change that the translator refuses is noticed by nobody's checks: it never runs.
  const edits = chosen(
    proposeEdits(context, "plant").filter(
      (edit) => findFamily(edit.family)?.reads !== "text" && !notOfChecks.has(edit.family),
    ),
  );
  for (let from = 0; from < inputs.length && !over(); from += together) {
    const some = inputs.slice(from, from + together);
    for (const [input, outcome] of await runsOf(text, some, usualLimits))
      if (outcome.finished) models.set(settingOf(input, {}), Promise.resolve(outcome));
  }
  const plainInputs = [...new Set(checks.filter(isPlain).map((check) => check.input))];
  let next = 0;
  const tell = async (edit: Edit): Promise<void> => {
    const program = applyEdit(text, edit);
    const byChecks = await runsOf(program, plainInputs, limits);
    for (const check of checks) {
      const known = isPlain(check) ? byChecks.get(check.input) : undefined;
      const told = await differs(program, check.input, check.surroundings, check.comparison, known);
      if (told === "refused") return;
      if (told) {
        result.noticed += 1;
        result.killable += 1;
        return;
      }
    }
    const says = sayEdit(context, edit);
    // What notices another change often notices this one, too.
    const all = [...new Set([...result.missing, ...inputs])];
    for (let from = 0; from < all.length; from += together) {
      const some = all.slice(from, from + together);
      const known = over() ? new Map<string, Outcome>() : await runsOf(program, some, limits);
      for (const input of some) {
        if (over()) return;
        if ((await differs(program, input, {}, rules, known.get(input))) !== true) continue;
        // What is told to the teacher was seen in a run of its own.
        if (known.has(input) && (await differs(program, input, {}, rules)) !== true) continue;
        result.killable += 1;
        result.unnoticed.push({ says, line: context.lineOf(edit.from), input });
        if (!result.missing.includes(input)) result.missing.push(input);
        return;
      }
    }
    result.alike.push(says);
  };
  const worker = async () => {
    while (!over()) {
      const edit = edits[next++];
      if (!edit) return;
      await tell(edit);
      result.tried += 1;
      request.onTried?.(result.tried, edits.length);
    }
  };
  await Promise.all(Array.from({ length: request.atOnce ?? usuallyAtOnce }, worker));
  result.unnoticed.sort((one, other) => one.line - other.line);
  return end();
}
