import type { ConsolePiece, Diagnostic, Effect, Outcome, StepChange } from "../../outcome/outcome.ts";
import type { Step, Trace } from "../../trace/trace.ts";
import { applyChange, filesOf } from "./change.ts";
import type { CompiledProgram } from "./code.ts";
import { compileProgram } from "./compile.ts";
import type { Problem } from "./lexer.ts";
import {
  type Cut,
  type MachineConsole,
  type MachineLimits,
  runMachine,
  usualMachineLimits,
  type Watcher,
} from "./machine.ts";
import { parseProgram, type ReadingRules, usualReading } from "./parser.ts";
import { createRecorder, type Recorder } from "./record.ts";
import { type MachineState, newState } from "./state.ts";

/** How programs are read and checked, as a course has it. `namesBefore`: a name that is given no value anywhere is refused. */
export type PseudocodeRules = ReadingRules & { namesBefore: boolean };
export const usualRules: PseudocodeRules = { ...usualReading, namesBefore: false };

/** What is run: the text, what is typed in, the files beside it, and whether it is recorded. */
export type PseudocodeRun = {
  program: string;
  fileName: string;
  input: string;
  files?: Readonly<Record<string, string>>;
  rules?: PseudocodeRules;
  limits?: MachineLimits;
  /** Steps that are recorded at most; absent: nothing is recorded. */
  record?: number;
  /** What is changed before a step of the recording. */
  change?: StepChange;
};
/** `notChanged` and `filesAt` as recordings have them (core/trace/trace.ts). */
export type PseudocodeResult = { outcome: Outcome; steps: Step[]; cut?: string } & Pick<
  Trace,
  "notChanged" | "filesAt"
>;

export const translatorName = "Bent Nail's pseudocode";

/** A program read and compiled, or what is wrong with it. */
export function prepare(
  program: string,
  rules: PseudocodeRules = usualRules,
): { compiled: CompiledProgram } | { problems: Problem[] } {
  const { tree, problems } = parseProgram(program, rules);
  if (problems.length > 0) return { problems };
  const compiled = compileProgram(tree);
  const all = [...compiled.problems, ...(rules.namesBefore ? compiled.nameProblems : [])];
  return all.length > 0
    ? { problems: all.sort((one, other) => one.line - other.line) }
    : { compiled: compiled.program };
}

/** What the machine writes of a problem before the run, and of what stops it. */
export const problemLine = ({ line, column, name, says }: Problem): string =>
  `Not read, line ${line}, column ${column} (${name}): ${says}\n`;
export const stopLine = ({ line, errorName, says }: { line: number; errorName: string; says: string }): string =>
  `Stopped, line ${line} (${errorName}): ${says}\n`;

const nothing = {
  ...{ effects: [], inputRanOut: false, milliseconds: 0, translator: translatorName },
};

/** The outcome of a program that is not read. */
function refusal(problems: readonly Problem[], fileName: string): Outcome {
  const diagnostics = problems.map(
    ({ line, column, name, says }, index): Diagnostic => ({
      ...{ severity: "error", file: fileName, line, column, errorName: name, message: says, stage: "translation" },
      ...{ primary: index === 0, tool: "pseudocode" },
    }),
  );
  return {
    ...{ started: false, finished: false, stoppedBy: "refused", exit: { code: 1, signal: 0 }, diagnostics },
    console: [{ kind: "err", text: problems.map(problemLine).join("") }],
    ...nothing,
  };
}

/** Checks a program; nothing is run. */
export function checkPseudocode(run: Pick<PseudocodeRun, "program" | "fileName" | "rules">): Outcome {
  const prepared = prepare(run.program, run.rules);
  if ("problems" in prepared) return refusal(prepared.problems, run.fileName);
  return {
    ...{ started: null, finished: true, stoppedBy: "none", exit: { code: 0, signal: 0 }, diagnostics: [], console: [] },
    ...nothing,
  };
}

/** Files as a run left them, those that differ from before. */
function effectsOf(before: Readonly<Record<string, string>>, state: MachineState): Effect[] {
  const textOfLines = (lines: readonly string[]) => lines.map((line) => `${line}\n`).join("");
  return Object.entries(state.files).flatMap(([name, lines]): Effect[] => {
    const text = textOfLines(lines);
    if (before[name] === text || (before[name] !== undefined && `${before[name]}\n` === text)) return [];
    return [
      {
        name,
        change: before[name] === undefined ? "new" : "changed",
        size: new TextEncoder().encode(text).length,
        text,
      },
    ];
  });
}

/** Goes on up to the step before which something is to be changed, and changes it there. */
function goTo(
  program: CompiledProgram,
  state: MachineState,
  console: MachineConsole,
  limits: MachineLimits,
  recorder: Recorder,
  change: StepChange,
): { cut: Cut | null; watcher?: Watcher } & Pick<Trace, "notChanged" | "filesAt"> {
  while (recorder.count() < change.step) {
    // A line at a time; a call that is entered or left counts as a step as well.
    const cut = runMachine(program, state, console, limits, recorder.watcher, 1);
    if (cut !== null || state.ended !== null) return { cut, notChanged: "The run did not come to this step." };
  }
  if (recorder.count() > change.step)
    return {
      cut: null,
      notChanged: "Nothing can be changed where a routine is entered or left: choose the line behind.",
    };
  if (!change.put && !change.files) return { cut: null, filesAt: filesOf(state) };
  const done = applyChange(program, state, change);
  if ("why" in done) return { cut: null, notChanged: done.why };
  let told = false;
  const { watcher } = recorder;
  return {
    cut: null,
    watcher: {
      ...watcher,
      line: (...where) => {
        watcher.line(...where);
        if (!told) done.tell(watcher);
        told = true;
      },
    },
  };
}

/** Runs a program, and records it where that is wanted. Never throws for what a program does. */
export function runPseudocode(run: PseudocodeRun): PseudocodeResult {
  const prepared = prepare(run.program, run.rules);
  if ("problems" in prepared) return { outcome: refusal(prepared.problems, run.fileName), steps: [] };
  const limits = run.limits ?? usualMachineLimits;
  const state = newState(prepared.compiled, run.input, run.files);
  const pieces: ConsolePiece[] = [];
  const put = (kind: "out" | "in", text: string): void => {
    const last = pieces.at(-1);
    const line = Math.max(1, state.line);
    if (last?.kind === kind && last.line === line && kind === "out") last.text += text;
    else pieces.push({ kind, text, line });
  };
  const recorder = run.record === undefined ? null : createRecorder();
  const own: MachineLimits =
    run.record === undefined ? limits : { ...limits, steps: Math.min(limits.steps, run.record) };
  const console = { write: (text: string) => put("out", text), typed: (text: string) => put("in", text) };
  const changed = run.change && recorder ? goTo(prepared.compiled, state, console, own, recorder, run.change) : null;
  const cut =
    changed?.cut ?? runMachine(prepared.compiled, state, console, own, changed?.watcher ?? recorder?.watcher ?? null);
  const stop = state.ended !== null && state.ended !== "end" ? state.ended : null;
  recorder?.end(stop ? { errorName: stop.errorName, message: stop.says } : undefined);
  const diagnostics: Diagnostic[] = stop
    ? [
        {
          ...{ severity: "error", file: run.fileName, line: stop.line, errorName: stop.errorName, message: stop.says },
          ...{ stage: "run", primary: true, tool: "pseudocode" },
        },
      ]
    : [];
  if (stop) pieces.push({ kind: "err", text: stopLine(stop), line: Math.max(1, stop.line) });
  const stoppedBy = cut ?? (stop ? "fault" : "none");
  return {
    outcome: {
      ...{
        started: true,
        finished: stoppedBy === "none",
        stoppedBy,
        exit: { code: stoppedBy === "none" ? 0 : 1, signal: 0 },
      },
      ...{ diagnostics, console: pieces, effects: effectsOf(run.files ?? {}, state), inputRanOut: state.inputRanOut },
      ...{ milliseconds: 0, translator: translatorName },
    },
    steps: recorder?.steps ?? [],
    ...(changed?.notChanged === undefined ? {} : { notChanged: changed.notChanged }),
    ...(changed?.filesAt ? { filesAt: changed.filesAt } : {}),
    ...(cut === "steps"
      ? { cut: `The first ${recorder?.steps.length} steps; the program went on. The limit is ${own.steps} steps.` }
      : {}),
  };
}
