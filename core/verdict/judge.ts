import type { Language } from "../languages/language.ts";
import { wrongLanguageWords } from "../languages/recognise.ts";
import { findLeads, type Lead } from "../leads/leads.ts";
import type { Outcome } from "../outcome/outcome.ts";
import { lineTexts } from "../source/lines.ts";
import { lastState } from "../trace/lastState.ts";
import { withRecordedLines } from "../trace/sameRun.ts";
import type { Trace } from "../trace/trace.ts";
import { findEndlessLoop } from "./endless.ts";
import { suggestVerdict, type Verdict } from "./verdict.ts";

/** What is known of one program: its main file as text, what should come out, what was pasted, and what runs here gave. */
export type JudgeInput = {
  language: Language;
  /** Name and text of the main file, and of all files. */
  mainName: string;
  files: Readonly<Record<string, string>>;
  expected?: string;
  ignorePrompts?: boolean;
  pastedText?: string;
  symptom?: "never ends" | "nothing appears";
  endlessClass?: "logic" | "runtime";
  outcome?: Outcome;
  trace?: Trace;
};

export type Judgement = Verdict & { leads: Lead[] };

/** True when a verdict would gain from a recording: it stopped while running, gave a wrong result or did not end. */
export function wantsTrace(verdict: Verdict, outcome: Outcome): boolean {
  return outcome.stoppedBy === "time" || outcome.stoppedBy === "output" || verdict.class === "logic";
}

/** Draws verdict and leads from all that is known. Pure: runs are made by the caller. */
export function judge(input: JudgeInput): Judgement {
  const { language, trace } = input;
  const outcome = input.outcome && withRecordedLines(language, input.outcome, trace);
  const program = input.files[input.mainName] ?? "";
  const stoppedByLimit = outcome !== undefined && ["time", "steps", "output"].includes(outcome.stoppedBy);
  const endless = stoppedByLimit && trace ? findEndlessLoop(language, program, trace) : null;
  const verdict = suggestVerdict({
    language,
    outcome,
    expected: input.expected,
    ignorePrompts: input.ignorePrompts,
    pasted: input.pastedText === undefined ? undefined : language.readMessages(input.pastedText, input.files),
    pastedText: input.pastedText,
    symptom: input.symptom,
    endless,
    endlessClass: input.endlessClass,
    lastState: stoppedByLimit && trace ? lastState(trace) : null,
    lineCount: input.mainName in input.files ? lineTexts(program).length : undefined,
  });
  const doubt = wrongLanguageWords(language, program);
  if (doubt && verdict.gates[0]?.passes !== true) verdict.reasons.unshift(doubt);
  return { ...verdict, leads: findLeads({ language, program, verdict, outcome, trace }) };
}
