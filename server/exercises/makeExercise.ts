import { withSurroundings } from "../../core/cases/surroundings.ts";
import type { ExerciseContent, ExerciseFault } from "../../core/exercises/exercise.ts";
import { makeTask } from "../../core/exercises/makeTask.ts";
import { type Replacement, replaceNames } from "../../core/exercises/names.ts";
import type { MakeContext } from "../../core/exercises/taskKind.ts";
import { taskKinds } from "../../core/exercises/taskKinds.ts";
import { findHunks, type Hunk, linesOfHunks } from "../../core/fixes/hunks.ts";
import { languageKey } from "../../core/languages/ways.ts";
import { decodeText } from "../../core/source/decode.ts";
import { messageOf } from "../../core/verdict/words.ts";
import { versionOf, type WholeCase, withAllFiles } from "../cases/caseStore.ts";
import { judgeProgram, languageOf } from "../judge/judge.ts";
import { recordProgram } from "../judge/run.ts";
import { newKey } from "../keys.ts";
import { mappingFromFirst } from "../mend/followLines.ts";
import { tableStyleOf } from "../people/tableStyleStore.ts";
import type { Services } from "../services.ts";
import { runOnce } from "../toolchains/runOnce.ts";
import { givenOfRuns, type ShownOfRuns } from "./givenOfRuns.ts";
import { makeHiddenChecks } from "./hiddenChecks.ts";
import { withLooks } from "./looks.ts";
import { runForCheck, runOfText } from "./runForCheck.ts";

/**
 * What a teacher asks for when making an exercise: kinds of task with their marks (0: leave out), and the agreed
 * replacements.
 */
export type ExerciseOrder = {
  title: string;
  intro: string;
  replacements: readonly Replacement[];
  marks: Readonly<Record<string, number>>;
  /** What students see of its runs; nothing if absent. */
  show?: ShownOfRuns;
};
export type MadeExercise = { content: ExerciseContent; surprises: string[] };

/**
 * The lines that are faulty in a layer, as lines of the first version; those that an earlier fix brought in are none of
 * it.
 */
function markedLines(found: WholeCase, layer: WholeCase["layers"][number]): number[] {
  const before = found.loaded.find((each) => each.key === layer.version_before);
  if (!before) return [];
  const mapping = mappingFromFirst(found, before);
  return layer.faulty_lines.flatMap(({ file, line }) => {
    const first = mapping.indexOf(line, 1);
    return file || first < 1 ? [] : [first];
  });
}

/**
 * The faults of a mended case on its first version, names replaced. Faults whose changes are tied to one another become
 * one.
 */
function faultsOf(
  found: WholeCase,
  program: string,
  mended: string | null,
  rename: (text: string) => string,
): ExerciseFault[] {
  const renamed = (hunks: readonly Hunk[]): Hunk[] =>
    hunks.map((hunk) => ({ start: hunk.start, before: hunk.before.map(rename), after: hunk.after.map(rename) }));
  const layers = found.layers.filter((layer) => layer.version_after !== null || mended === null);
  const [firstLayer] = layers;
  if (!firstLayer) return [];
  const faultFrom = (layer: (typeof layers)[number], hunks: Hunk[], lines: number[]): ExerciseFault => ({
    class: layer.decided?.class ?? layer.verdict.class ?? "logic",
    symptom: layer.verdict.symptom,
    message: rename(layer.verdict.message),
    reportedLine: layer.verdict.reportedLine,
    faultyLines: lines,
    hunks,
  });
  const separable = mended !== null && layers.every((layer) => layer.first_fix !== null && layer.first_fix.length > 0);
  if (separable) {
    return layers.map((layer) => {
      const hunks = renamed(layer.first_fix ?? []);
      const marked = markedLines(found, layer);
      return faultFrom(layer, hunks, marked.length > 0 ? marked : linesOfHunks(hunks));
    });
  }
  const whole = mended === null ? [] : findHunks(program, mended);
  const needed = layers.length === 1 ? firstLayer.fix?.filter((hunk) => !hunk.extra) : undefined;
  const hunks = needed && needed.length > 0 ? renamed(needed) : whole;
  return [
    faultFrom(
      firstLayer,
      hunks,
      firstLayer.faulty_lines.length > 0 ? firstLayer.faulty_lines.map((place) => place.line) : linesOfHunks(hunks),
    ),
  ];
}

/**
 * A case as an exercise without tasks: its first version and its mended one with names replaced, its faults and checks. What
 * students are shown of its runs, and checks that they never see, are not in it yet.
 */
export async function contentOfCase(
  services: Pick<Services, "database">,
  given: WholeCase,
  order: Pick<ExerciseOrder, "replacements" | "intro">,
): Promise<ExerciseContent> {
  const found = await withAllFiles(services.database, given);
  const language = languageOf(found);
  const rename = (text: string) => replaceNames(text, order.replacements);
  const head = found.versions[0];
  const first = head && versionOf(found, head.key);
  const mendedWhole = found.layers.length > 0 && found.layers.every((layer) => layer.version_after !== null);
  const program = rename(first?.files[0]?.text ?? "");
  const mended = mendedWhole ? rename(versionOf(found, found.current_version).files[0]?.text ?? "") : null;
  const checks = found.checks.map((check) => ({
    input: rename(check.input),
    expected: check.expected === null ? null : rename(check.expected),
    kind: check.kind,
    ignorePrompts: check.comparison.prompts === "ignored",
    comparison: check.comparison,
    ...(check.pieces ? { pieces: check.pieces.map(({ kind, text }) => ({ kind, text: rename(text) })) } : {}),
    // Other files of the case and what the check changes beside the program; texts are anonymised as everything else.
    files: Object.fromEntries(
      withSurroundings(first?.files ?? [], check.surroundings)
        .slice(1)
        .map((file) => [rename(file.name), rename(decodeText(file.bytes).text)]),
    ),
  }));
  return {
    language: languageKey(found.language, found.way),
    fileName: rename(first?.files[0]?.name ?? language.mainName),
    intro: rename(order.intro),
    handTable: rename(found.hand_table),
    tableStyle: await tableStyleOf(services.database, found.course),
    userActions: found.user_actions
      .split("\n")
      .filter((step) => step !== "")
      .map(rename),
    program,
    mended,
    faults: faultsOf(found, program, mended, rename),
    checks,
    hiddenChecks: [],
    given: [],
    tasks: [],
  };
}

/**
 * Judges the program of an exercise anew, sets what the tool says of it as its first fault's, gives its faults their paths of
 * looks, and says where it does not behave as the case did.
 */
async function lookAgainAtFirstFault(
  services: Pick<Services, "toolchains">,
  found: WholeCase,
  content: ExerciseContent,
): Promise<string[]> {
  const surprises: string[] = [];
  const [firstFault] = content.faults;
  const [check] = content.checks;
  if (firstFault && check) {
    const { judgement: now } = await judgeProgram(services.toolchains, {
      ...runOfText(content, content.program, check),
      policies: { endlessClass: found.endless_class },
      expected: check.expected ?? undefined,
      intended: check.pieces,
      comparison: check.comparison,
    });
    if (now.class !== null && now.class !== firstFault.class && !found.layers[0]?.decided)
      surprises.push(
        `With the names replaced the program shows a ${now.class} error, not a ${firstFault.class} error.`,
      );
    if (now.reportedLine !== firstFault.reportedLine)
      surprises.push(
        `The tool names line ${now.reportedLine ?? "none"} now, not ${firstFault.reportedLine ?? "none"}.`,
      );
    firstFault.message = now.diagnostic ? messageOf(now.diagnostic) : firstFault.message;
    firstFault.reportedLine = now.reportedLine;
  }
  content.faults = await withLooks(services, content);
  return surprises;
}

/** Says which checks the mended program of an exercise does not pass, or could not be tried with. */
async function checksThatFail(services: Pick<Services, "toolchains">, content: ExerciseContent): Promise<string[]> {
  const { mended, checks } = content;
  if (mended === null) return [];
  const tried = await Promise.all(
    checks.map(async (check, index) => {
      if (check.expected === null) return null;
      const result = await runForCheck(services, content, mended, check);
      if ("notRun" in result) return `Check ${index + 1} could not be tried: ${result.notRun}`;
      return result.passes ? null : `The mended program fails check ${index + 1} after the names were replaced.`;
    }),
  );
  return tried.filter((said) => said !== null);
}

/**
 * Makes an exercise from a case: names replaced, every key taken from a run of the changed program. `surprises` says
 * what does not behave as the case did; an exercise with surprises is made all the same, for the teacher to look at.
 */
export async function makeExercise(
  given: Pick<Services, "database" | "toolchains">,
  found: WholeCase,
  order: ExerciseOrder,
): Promise<MadeExercise> {
  const services = { database: given.database, toolchains: runOnce(given.toolchains) };
  const content = await contentOfCase(services, found, order);
  const show = order.show ?? {};
  const [hiddenChecks, shown, changed, failed] = await Promise.all([
    makeHiddenChecks(services, content),
    givenOfRuns(services, content, show),
    lookAgainAtFirstFault(services, found, content),
    checksThatFail(services, content),
  ]);
  content.hiddenChecks = hiddenChecks;
  content.given = shown;
  const surprises = [...changed, ...failed];
  const context = makeContext(services, content);
  for (const kind of taskKinds) {
    const marks = order.marks[kind.kind] ?? 0;
    if (marks <= 0) continue;
    const task = await makeTask(kind, context, { key: newKey(8), marks });
    if (typeof task === "string") surprises.push(task);
    else content.tasks.push(task);
  }
  return { content, surprises };
}

/** What making and changing the tasks of an exercise may ask for. */
export function makeContext(services: Pick<Services, "toolchains">, content: ExerciseContent): MakeContext {
  return {
    exercise: content,
    run: (text, check) => runForCheck(services, content, text, check),
    record: (text, check, change) =>
      recordProgram(services.toolchains, {
        ...runOfText(content, text, check ?? { input: "" }),
        ...(change ? { change } : {}),
      }),
  };
}
