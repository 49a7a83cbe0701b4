import type { Comparison } from "../assignments/comparison.ts";
import type { IntendedPiece } from "../assignments/intended.ts";
import type { Language } from "../languages/language.ts";
import { wrongLanguageWords } from "../languages/recognise.ts";
import type { Lead } from "../leads/lead.ts";
import { findLeads } from "../leads/leads.ts";
import type { Diagnostic, Outcome } from "../outcome/outcome.ts";
import { lineTexts } from "../source/lines.ts";
import { lastState } from "../trace/lastState.ts";
import { withRecordedLines } from "../trace/sameRun.ts";
import type { Trace } from "../trace/trace.ts";
import type { CameOut } from "./cameOut.ts";
import { findEndlessLoop, isToGoOn } from "./endless.ts";
import { suggestVerdict, type Verdict } from "./verdict.ts";

/**
 * What is known of one program: its main file as text, what should come out, what was pasted, and what runs here gave.
 */
export type JudgeInput = {
  language: Language;
  /** Name and text of the main file, and of all files. */
  mainName: string;
  files: Readonly<Record<string, string>>;
  expected?: string;
  /** The intended output as a model gave it, where one did. */
  intended?: readonly IntendedPiece[];
  comparison?: Comparison;
  pastedText?: string;
  cameOut?: CameOut;
  symptom?: "never ends" | "nothing appears";
  endlessClass?: "logic" | "runtime";
  outcome?: Outcome;
  trace?: Trace;
  /** The number that the pasted output gives to the first line of the main file; fragments may start above 1. */
  firstLine?: number;
  /** Main file of the last version that worked. */
  working?: string;
  /** True where only the class is asked for: no line is looked for. */
  glance?: boolean;
};

/** `goesOn`: nothing is said of the end before the run has gone on for longRunSeconds. */
export type Judgement = Verdict & { leads: Lead[]; goesOn: boolean };

/**
 * True when a verdict would gain from a recording: it gave a wrong result or did not end; and, looked at closely, where it
 * stopped, for where its values came from, and where no fault is shown, since only a recording tells which lines never ran.
 */
export function wantsTrace(verdict: Verdict, outcome: Outcome, closely: boolean): boolean {
  if (outcome.stoppedBy === "time" || outcome.stoppedBy === "output" || verdict.class === "logic") return true;
  return closely && ((verdict.class === null && outcome.finished) || verdict.class === "runtime");
}

/** Messages about a fragment with the lines that its text here has; lines before it do not belong to it. */
export function ownLines(diagnostics: readonly Diagnostic[], firstLine: number): Diagnostic[] {
  if (firstLine <= 1) return [...diagnostics];
  const own = (line: number | undefined) => (line === undefined || line < firstLine ? undefined : line - firstLine + 1);
  return diagnostics.map(({ line, endLine, ...rest }) => ({
    ...rest,
    ...(own(line) ? { line: own(line) } : {}),
    ...(own(endLine) ? { endLine: own(endLine) } : {}),
    ...(rest.frames
      ? { frames: rest.frames.map((frame) => ({ ...frame, line: frame.own ? own(frame.line) : frame.line })) }
      : {}),
  }));
}

/** A verdict without its leads, and with them: those are looked for when they are asked for. */
export type Drawn = { verdict: Omit<Judgement, "leads">; withLeads: () => Judgement };

/** Draws verdict and leads from all that is known. Pure: runs are made by the caller. */
export function judge(input: JudgeInput): Judgement {
  return draw(input).withLeads();
}

/** The same, for a caller who may run the program once more before the lines are asked for. */
export function draw(input: JudgeInput): Drawn {
  const { language, trace } = input;
  const outcome = input.outcome && withRecordedLines(language, input.outcome, trace);
  const program = input.files[input.mainName] ?? "";
  const stoppedByLimit = outcome !== undefined && ["time", "steps", "output"].includes(outcome.stoppedBy);
  const endless = stoppedByLimit && trace ? findEndlessLoop(language, program, trace) : null;
  const messagesOf = (text: string) => ownLines(language.readMessages(text, input.files), input.firstLine ?? 1);
  // What came out may have been a message, or have ended in one.
  const told = input.cameOut && input.pastedText === undefined ? messagesOf(input.cameOut.text) : [];
  const isMessage = told.some((each) => each.primary);
  const pastedText = isMessage ? input.cameOut?.text : input.pastedText;
  const pasted = isMessage ? told : pastedText === undefined ? undefined : messagesOf(pastedText);
  const warned = [...(outcome?.diagnostics ?? []), ...(outcome ? [] : (pasted ?? []))].filter(
    (each) => each.severity === "warning",
  );
  const verdict = suggestVerdict({
    language,
    outcome,
    expected: input.expected,
    intended: input.intended,
    comparison: input.comparison,
    pasted,
    pastedText,
    cameOut: isMessage ? undefined : input.cameOut,
    symptom: input.symptom,
    endless,
    endlessClass: input.endlessClass,
    lastState: stoppedByLimit && trace ? lastState(trace) : null,
    fileNames: [input.mainName, ...Object.keys(input.files).filter((name) => name !== input.mainName)],
    lineCount: input.mainName in input.files ? lineTexts(program).length : undefined,
  });
  const doubt = wrongLanguageWords(language, program);
  if (doubt && verdict.gates[0]?.passes !== true) verdict.reasons.unshift(doubt);
  const goesOn =
    outcome?.stoppedBy === "time" &&
    endless !== null &&
    verdict.gates[1]?.passes === null &&
    isToGoOn(endless, outcome.milliseconds);
  const leads = () =>
    findLeads({
      ...{ language, verdict, outcome, trace, warned, mainName: input.mainName },
      // Suspected lines are looked for in the file that the message is about.
      program: verdict.reportedFile ? (input.files[verdict.reportedFile] ?? "") : program,
      working: verdict.reportedFile ? undefined : input.working,
    });
  return {
    verdict: { ...verdict, goesOn },
    withLeads: () => ({ ...verdict, goesOn, leads: input.glance ? [] : leads() }),
  };
}
