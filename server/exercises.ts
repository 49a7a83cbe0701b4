import { type Surroundings, withSurroundings } from "../core/cases/surroundings.ts";
import type { ExerciseContent, ExerciseFault, Task } from "../core/exercises/exercise.ts";
import { type Replacement, replaceNames } from "../core/exercises/names.ts";
import type { CheckRun } from "../core/exercises/taskKind.ts";
import { markedColumns, type TraceTask } from "../core/exercises/tasks/traceTable.ts";
import { findHunks, type Hunk } from "../core/fixes/hunks.ts";
import { consoleText, unknownBecause } from "../core/outcome/outcome.ts";
import { decodeText } from "../core/source/decode.ts";
import { buildTable } from "../core/trace/table.ts";
import { compareOutput } from "../core/verdict/compareOutput.ts";
import { languageOf, versionOf } from "./casework.ts";
import { judgeProgram } from "./judging.ts";
import { newKey } from "./keys.ts";
import { readLimits } from "./limits.ts";
import type { Services } from "./services.ts";
import type { WholeCase } from "./stores/cases.ts";

/** What a teacher asks for when making an exercise: kinds of task with their marks (0: leave out), and the agreed replacements. */
export type ExerciseOrder = { title: string; intro: string; replacements: readonly Replacement[]; marks: Readonly<Record<string, number>> };
export type MadeExercise = { content: ExerciseContent; surprises: string[] };

const limits = readLimits();
/** Longest trace table that is asked of a student. */
export const longestTable = 60;

/** The faults of a mended case on its first version, names replaced. Faults whose changes are tied to one another become one. */
function faultsOf(found: WholeCase, program: string, mended: string | null, rename: (text: string) => string): ExerciseFault[] {
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
  const linesOf = (hunks: readonly Hunk[]) =>
    hunks.flatMap((hunk) => (hunk.before.length > 0 ? hunk.before.map((_, index) => hunk.start + index) : [Math.max(1, hunk.start - 1)]));
  const separable = mended !== null && layers.every((layer) => layer.first_fix !== null && layer.first_fix.length > 0);
  if (separable) {
    return layers.map((layer, index) => {
      const hunks = renamed(layer.first_fix ?? []);
      // Lines that the teacher marked are counted in the version before the layer; only the first layer's are lines of this program.
      return faultFrom(layer, hunks, index === 0 && layer.faulty_lines.length > 0 ? layer.faulty_lines.map((place) => place.line) : linesOf(hunks));
    });
  }
  const hunks = mended === null ? [] : findHunks(program, mended);
  return [faultFrom(firstLayer, hunks, firstLayer.faulty_lines.length > 0 ? firstLayer.faulty_lines.map((place) => place.line) : linesOf(hunks))];
}

/**
 * Makes an exercise from a case: names replaced, every key taken from a run of the changed program. `surprises` says what does not
 * behave as the case did; an exercise with surprises is made all the same, for the teacher to look at.
 */
export async function makeExercise(services: Services, found: WholeCase, order: ExerciseOrder): Promise<MadeExercise> {
  const language = languageOf(found);
  const rename = (text: string) => replaceNames(text, order.replacements);
  const [first] = found.versions;
  const mendedWhole = found.layers.length > 0 && found.layers.every((layer) => layer.version_after !== null);
  const program = rename(first?.files[0]?.text ?? "");
  const mended = mendedWhole ? rename(versionOf(found, found.current_version).files[0]?.text ?? "") : null;
  const checks = found.checks.map((check) => ({
    input: rename(check.input),
    expected: check.expected === null ? null : rename(check.expected),
    kind: check.kind,
    ignorePrompts: check.ignore_prompts,
    // Other files of the case and what the check changes beside the program; texts are anonymised as everything else.
    files: Object.fromEntries(
      withSurroundings(first?.files ?? [], check.surroundings)
        .slice(1)
        .map((file) => [rename(file.name), rename(decodeText(file.bytes).text)]),
    ),
  }));
  const content: ExerciseContent = {
    language: found.language,
    fileName: rename(first?.files[0]?.name ?? language.mainName),
    intro: rename(order.intro),
    program,
    mended,
    faults: faultsOf(found, program, mended, rename),
    checks,
    tasks: [],
  };

  const surprises: string[] = [];
  const toolchain = services.toolchains.find(found.language);
  const [firstFault] = content.faults;
  if (firstFault && checks[0]) {
    const judged = await judgeProgram(toolchain, {
      language,
      files: withSurroundings([{ name: content.fileName, bytes: Buffer.from(program, "utf8") }], checks[0].files),
      input: checks[0].input,
      expected: checks[0].expected ?? undefined,
      ignorePrompts: checks[0].ignorePrompts,
    });
    const now = judged.judgement;
    if (now.class !== null && now.class !== firstFault.class && !found.layers[0]?.decided)
      surprises.push(`With the names replaced the program shows a ${now.class} error, not a ${firstFault.class} error.`);
    if (now.reportedLine !== firstFault.reportedLine)
      surprises.push(`The tool names line ${now.reportedLine ?? "none"} now, not ${firstFault.reportedLine ?? "none"}.`);
    firstFault.message = now.diagnostic ? [now.diagnostic.errorName, now.diagnostic.message].filter((part) => part).join(": ") : firstFault.message;
    firstFault.reportedLine = now.reportedLine;
  }
  if (mended !== null) {
    for (const [index, check] of checks.entries()) {
      if (check.expected === null) continue;
      const result = await runForCheck(services, content, mended, check);
      if ("notRun" in result) surprises.push(`Check ${index + 1} could not be tried: ${result.notRun}`);
      else if (!result.passes) surprises.push(`The mended program fails check ${index + 1} after the names were replaced.`);
    }
  }
  for (const kind of ["classify", "point", "predict", "trace", "mend"]) {
    const marks = order.marks[kind] ?? 0;
    if (marks <= 0) continue;
    const task = await makeTask(services, content, kind, marks);
    if (typeof task === "string") surprises.push(task);
    else content.tasks.push(task);
  }
  return { content, surprises };
}

/** Runs a text as the exercise's program with a check. Words for a person if its language does not run here, or the run tells nothing. */
export async function runForCheck(
  services: Services,
  content: Pick<ExerciseContent, "language" | "fileName">,
  text: string,
  check: { input: string; expected: string | null; ignorePrompts: boolean; files?: Surroundings },
): Promise<CheckRun> {
  const toolchain = services.toolchains.find(content.language);
  if (!toolchain || !(await toolchain.available()).ready) return { notRun: "programs of this language cannot be run here." };
  const files = withSurroundings([{ name: content.fileName, bytes: Buffer.from(text, "utf8") }], check.files ?? {});
  const outcome = await toolchain.run({ files, input: check.input, limits });
  const unknown = unknownBecause(outcome);
  if (unknown !== null) return { notRun: unknown };
  const passes = outcome.finished && (check.expected === null || compareOutput(outcome.console, check.expected, check.ignorePrompts).same);
  return { outcome, passes };
}

/** A task of a kind with its key from a real run, or words why it cannot be asked of this program. */
async function makeTask(services: Services, content: ExerciseContent, kind: string, marks: number): Promise<Task | string> {
  const key = newKey(8);
  if (kind === "classify" || kind === "point")
    return content.faults.length === 0 ? "The kind and place of the fault cannot be asked: the case has no verdict yet." : { key, kind, marks };
  if (kind === "mend")
    return content.mended === null
      ? "Mending cannot be asked: the case is not mended yet."
      : { key, kind, marks: Math.max(marks, content.faults.length), allowedExtraLines: 1, extraCost: 1 };
  const starts = content.faults[0]?.class !== "syntax";
  const program = starts ? ("faulty" as const) : ("mended" as const);
  if (!starts && content.mended === null) return "Output and trace table cannot be asked: the program does not start, and it is not mended yet.";
  const text = program === "faulty" ? content.program : (content.mended ?? "");
  if (kind === "predict") {
    const [check] = content.checks;
    const result = check ? await runForCheck(services, content, text, check) : null;
    if (!result || "notRun" in result) return `The output cannot be asked: ${result?.notRun ?? "there is no check."}`;
    const { outcome } = result;
    const endless = outcome.stoppedBy === "time" || outcome.stoppedBy === "output";
    if (endless) return "The output is not asked: this run does not end.";
    return {
      key,
      kind,
      marks: Math.max(2, marks),
      program,
      check: 0,
      answer: {
        output: consoleText(outcome.console, ["out"]),
        echoed: consoleText(outcome.console, ["out", "in"]),
        ending: outcome.stoppedBy === "none" ? "ends by itself" : "stops with an error message",
      },
    };
  }
  return traceTask(services, content, { key, marks, program, check: 0, linesGiven: true });
}

/** A trace-table task with the recorded run as its key. Given by default: the first row, so that the way of writing is seen. */
export async function traceTask(
  services: Services,
  content: ExerciseContent,
  wanted: Pick<TraceTask, "key" | "marks" | "program" | "check" | "linesGiven"> & { columns?: readonly string[] },
): Promise<(Task & TraceTask) | string> {
  const toolchain = services.toolchains.find(content.language);
  const text = wanted.program === "faulty" ? content.program : content.mended;
  if (!toolchain || !(await toolchain.available()).ready || text === null) return "The trace table cannot be asked: the program cannot be run here.";
  const trace = await toolchain.trace({
    files: withSurroundings([{ name: content.fileName, bytes: Buffer.from(text, "utf8") }], content.checks[wanted.check]?.files ?? {}),
    input: content.checks[wanted.check]?.input ?? "",
    limits,
  });
  const unknown = unknownBecause(trace.outcome);
  if (unknown !== null) return `The trace table cannot be asked: ${unknown}`;
  const table = buildTable(trace);
  if (table.rows.length === 0) return "The trace table cannot be asked: no line ran.";
  if (table.columns.length === 0) return "The trace table is not asked: no variable gets a value.";
  const rows = table.rows.slice(0, longestTable).map((row): { line: number; cells: Record<string, string> } => ({
    line: row.line,
    cells: { ...row.cells, ...(row.output === "" ? {} : { output: row.output.replace(/\r?\n$/, "") }) },
  }));
  const used = new Set(rows.flatMap((row) => Object.keys(row.cells)));
  const columns = table.columns
    .filter((column) => (wanted.columns ? wanted.columns.includes(column.key) : used.has(column.key)))
    .map((column) => ({ key: column.key, title: column.title, ...(column.functionName === undefined ? {} : { functionName: column.functionName }) }));
  const first = rows.findIndex((row) => Object.keys(row.cells).length > 0);
  const given =
    first < 0
      ? []
      : markedColumns({ columns })
          .filter((column) => rows[first]?.cells[column] !== undefined)
          .map((column) => `${first} ${column}`);
  return {
    kind: "trace",
    key: wanted.key,
    marks: wanted.marks,
    program: wanted.program,
    check: wanted.check,
    linesGiven: wanted.linesGiven,
    columns,
    rows,
    given,
  };
}
