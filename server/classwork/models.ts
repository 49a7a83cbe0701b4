import { compareOutput } from "../../core/assignments/compareOutput.ts";
import { type Comparison, mergeComparison } from "../../core/assignments/comparison.ts";
import { type IntendedPiece, intendedOf } from "../../core/assignments/intended.ts";
import type { Surroundings } from "../../core/cases/surroundings.ts";
import type { Language } from "../../core/languages/language.ts";
import { consoleText, type Outcome } from "../../core/outcome/outcome.ts";
import type { Assignment } from "../assignments/assignmentStore.ts";
import { type KeptCheck, listAssignmentChecks } from "../assignments/checkStore.ts";
import {
  findModelAnswer,
  listModelRuns,
  listModels,
  type Model,
  type ModelRun,
  saveModelRun,
  settingOf,
} from "../assignments/modelStore.ts";
import { fileTexts, languageOf } from "../judge/judge.ts";
import { recordProgram, runProgram } from "../judge/run.ts";
import type { Services } from "../services.ts";
import type { Toolchains } from "../toolchains/toolchains.ts";

/** What is typed in and what lies beside the program. */
export type Setting = { input: string; surroundings: Surroundings };

/** True if a run of a model came to its end well, so that an intended output follows from it. */
function isAnswer(language: Language, outcome: Outcome): boolean {
  const ranOut = outcome.inputRanOut && !language.inputForms?.readsAhead;
  return outcome.finished && outcome.stoppedBy === "none" && !ranOut;
}

/** True where something is written before something is read: it may be a prompt. */
function mayPrompt(console: Outcome["console"]): boolean {
  const written = console.findIndex((piece) => piece.kind === "out");
  return written >= 0 && console.slice(written).some((piece) => piece.kind === "in");
}

/**
 * Runs a model under a setting (`known`: what it did there, where that is known). Where it writes before it reads it is
 * recorded as well, since a recording tells which line wrote and which one read, and so what is a prompt. Words for a person
 * where it does not run here.
 */
export async function answerOf(
  toolchains: Toolchains,
  model: Pick<Model, "language" | "files">,
  setting: Setting,
  known?: Outcome,
): Promise<{ outcome: Outcome; pieces: IntendedPiece[] | null } | { notRun: string }> {
  const program = { language: languageOf(model), files: model.files, ...setting };
  const kept = known && { found: known, keep: async () => {} };
  const { outcome, notRun, unknown } = await runProgram(toolchains, program, kept);
  if (!outcome || unknown !== null) return { notRun: unknown ?? notRun ?? "It was not run." };
  let pieces: IntendedPiece[] | null = null;
  if (isAnswer(program.language, outcome)) {
    const recorded = mayPrompt(outcome.console) ? await recordProgram(toolchains, program) : null;
    const written = (console: Outcome["console"]) => consoleText(console, ["out", "in"]);
    const console =
      recorded && "trace" in recorded && written(recorded.trace.outcome.console) === written(outcome.console)
        ? recorded.trace.outcome.console
        : outcome.console;
    pieces = intendedOf(console, Object.values(fileTexts(model.files)).join("\n"));
  }
  return { outcome, pieces };
}

/** The same for a model that is kept; what it did is kept, too. */
async function runModel(
  services: Services,
  model: Model,
  setting: Setting,
): Promise<{ run: ModelRun } | { notRun: string }> {
  const answer = await answerOf(services.toolchains, model, setting);
  if ("notRun" in answer) return answer;
  const { outcome, pieces } = answer;
  const run = { model: model.key, setting: settingOf(setting), translator: outcome.translator, outcome, pieces };
  await saveModelRun(services.database, run);
  return { run };
}

/** Every model of an assignment with its runs; `notRun`: why it has none, in words. */
export type RunModel = Model & { runs: ReadonlyMap<string, ModelRun>; notRun: string | null };

/** The models of an assignment with the runs that are kept of them; nothing is run. */
export async function keptModels(services: Pick<Services, "database">, assignment: string): Promise<RunModel[]> {
  const [models, kept] = await Promise.all([
    listModels(services.database, assignment),
    listModelRuns(services.database, assignment),
  ]);
  return models.map((model) => {
    const own = kept.filter((run) => run.model === model.key);
    return { ...model, runs: new Map(own.map((run) => [run.setting, run])), notRun: null };
  });
}

/** Runs all models of an assignment under settings, but for what is kept already. */
export async function runModels(
  services: Services,
  assignment: string,
  settings: readonly Setting[],
): Promise<RunModel[]> {
  return Promise.all(
    (await keptModels(services, assignment)).map(async (model): Promise<RunModel> => {
      const runs = new Map(model.runs);
      const missing = settings.filter((setting) => !runs.has(settingOf(setting)));
      const made = await Promise.all(missing.map((setting) => runModel(services, model, setting)));
      for (const each of made) if ("run" in each) runs.set(each.run.setting, each.run);
      const failed = made.find((each) => "notRun" in each);
      return { ...model, runs, notRun: failed && "notRun" in failed ? failed.notRun : null };
    }),
  );
}

/** How a model does under a check. `passes` null: nothing is intended yet, or it was not run. `words`: what is wrong. */
export type ModelCell = { check: string; passes: boolean | null; words: string };

/** Why a model gives no intended output under a setting, in words. */
export function whyNoAnswer(outcome: Outcome): string {
  if (outcome.inputRanOut) return "it asks for more input than is typed in";
  if (outcome.stoppedBy === "refused") return "its translator refuses it";
  if (outcome.stoppedBy !== "none" && outcome.stoppedBy !== "fault") return "it does not end within the limits";
  const told = outcome.diagnostics.find((each) => each.primary)?.message;
  return told ? `it stops: ${told}` : "it stops";
}

/** How a model does under each check of its assignment. */
export function proofOf(model: RunModel, checks: readonly KeptCheck[], rules: Comparison): ModelCell[] {
  return checks.map((check): ModelCell => {
    const run = model.runs.get(settingOf(check));
    if (!run) return { check: check.key, passes: null, words: model.notRun ?? "not run yet" };
    if (!isAnswer(languageOf(model), run.outcome))
      return { check: check.key, passes: false, words: whyNoAnswer(run.outcome) };
    const intended = check.pieces ?? check.expected;
    if (intended === null) return { check: check.key, passes: null, words: "nothing is intended yet" };
    const compared = compareOutput(run.outcome.console, intended, mergeComparison(rules, check.comparison));
    if (compared.same) return { check: check.key, passes: true, words: "" };
    const show = (text: string | null) => (text === null ? "nothing more" : `“${text}”`);
    return {
      check: check.key,
      passes: false,
      words: `line ${compared.line} is ${show(compared.actual)}; intended is ${show(compared.intended)}`,
    };
  });
}

/** The models of an assignment, run under its checks, each with how it does. */
export async function proveModels(
  services: Services,
  assignment: Assignment,
): Promise<{ checks: KeptCheck[]; models: Array<RunModel & { cells: ModelCell[]; usable: boolean }> }> {
  const checks = await listAssignmentChecks(services.database, assignment.key);
  const models = await runModels(services, assignment.key, checks);
  const fixed = new Set(checks.filter((check) => check.confirmed).map((check) => check.key));
  return {
    checks,
    models: models.map((model) => {
      const cells = proofOf(model, checks, assignment.comparison);
      // What is only proposed proves nothing against a model.
      const usable = model.notRun === null && cells.every((cell) => cell.passes !== false || !fixed.has(cell.check));
      return { ...model, cells, usable };
    }),
  };
}

/**
 * Has the intended output for the input that came with a case worked out, if nobody said it and the assignment has a
 * model that passes all its checks. True where there is one now that was not there before.
 */
export async function workOutAnswer(services: Services, assignment: Assignment, setting: Setting): Promise<boolean> {
  if (await findModelAnswer(services.database, assignment.key, settingOf(setting))) return false;
  const { models } = await proveModels(services, assignment);
  const usable = models.find((model) => model.usable);
  if (!usable) return false;
  const made = await runModel(services, usable, setting);
  return "run" in made && made.run.pieces !== null;
}
