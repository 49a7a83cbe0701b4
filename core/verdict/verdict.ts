import type { Language } from "../languages/language.ts";
import type { Diagnostic, Outcome } from "../outcome/outcome.ts";
import type { LastState } from "../trace/lastState.ts";
import { type CameOut, readCameOut } from "./cameOut.ts";
import { compareOutput, type OutputComparison } from "./compareOutput.ts";
import { type EndlessFinding, isToGoOn } from "./endless.ts";
import type { Evidence, GateNumber } from "./evidence.ts";

export type { Evidence, GateNumber };

export type FaultClass = "syntax" | "runtime" | "logic";
/** A gate: true passed, false failed, null open or not reached. */
export type Gate = { gate: GateNumber; passes: boolean | null; evidence: Evidence[] };

/** A suggested class with its grounds. `class` null: no fault shown, or not decided; `reasons` says which. */
export type Verdict = {
  gates: Gate[];
  class: FaultClass | null;
  kind: "form" | "meaning" | null;
  symptom: string;
  reasons: string[];
  reportedLine: number | null;
  /** The file that the reported line is one of; null: the main file. */
  reportedFile: string | null;
  diagnostic: Diagnostic | null;
  comparison: OutputComparison | null;
};

/** What a verdict is drawn from. Everything is optional but the language: what is unknown stays open. */
export type Observations = {
  language: Language;
  outcome?: Outcome;
  /** Intended standard output; "" means that nothing is to be printed, undefined that it is not known. */
  expected?: string;
  ignorePrompts?: boolean;
  /** What was read in the pasted error output, and that text itself. */
  pasted?: readonly Diagnostic[];
  pastedText?: string;
  /** What came out, where no message did. */
  cameOut?: CameOut;
  /** The student's or teacher's word: it never ends, or nothing appears. */
  symptom?: "never ends" | "nothing appears";
  endless?: EndlessFinding | null;
  /** Where a recorded run was when a limit stopped it. */
  lastState?: LastState | null;
  /** A course may call a loop without end a runtime error. */
  endlessClass?: "logic" | "runtime";
  /** Names of the program's files, the main one first. */
  fileNames?: readonly string[];
  /** Number of lines of the main file, to notice output of another version. */
  lineCount?: number;
};

/** How a fault shows of which the translator says that it cannot begin. */
export const refusedSymptom = "refused before it ran";

const limitWords = { time: "time", memory: "memory", output: "output", steps: "step" } as const;

/** The first few words of what the program itself printed, with the line that printed it. */
function firstOutput(outcome: Outcome): { text: string; line: number | undefined } | null {
  const piece =
    outcome.console.find((each) => each.kind === "out" && each.text.trim() !== "" && each.line !== undefined) ??
    outcome.console.find((each) => each.kind === "out" && each.text.trim() !== "");
  if (!piece) return null;
  const text = piece.text.trim().split("\n")[0] ?? "";
  return { text: text.length > 40 ? `${text.slice(0, 40)}…` : text, line: piece.line };
}

function message(diagnostic: Diagnostic): string {
  return diagnostic.errorName
    ? `${diagnostic.errorName}${diagnostic.message ? `: ${diagnostic.message}` : ""}`
    : diagnostic.message;
}

/** The file that a message is about, if it is one of the program beside its main file. */
function otherFile(diagnostic: Diagnostic | null | undefined, fileNames: readonly string[] = []): string | null {
  const file = diagnostic?.file;
  return file !== undefined && file !== fileNames[0] && fileNames.includes(file) ? file : null;
}

/** A line with the file that it is one of, where that is not the main one: "line 4", "line 4 of fares.py". */
export function placeWords(line: number, file: string | null | undefined): string {
  return file ? `line ${line} of ${file}` : `line ${line}`;
}

/** A sentence that ends in a message has one full stop, whatever the message ends in. */
function stop(text: string): string {
  return /[.?!]$/.test(text) ? text : `${text}.`;
}

/**
 * What a debugger found where the tool named no line, and text that was lost with the program's buffer; "" if there is
 * nothing.
 */
function foundWords(outcome: Outcome): string {
  const place = outcome.found?.frames.findLast((frame) => frame.own && frame.line !== undefined);
  if (!outcome.found) return " No line was told.";
  const lost = outcome.found.unprinted.trim();
  return `${place ? ` No line was told; a debugger found it at line ${place.line}${place.name ? `, in ${place.name}` : ""}.` : " No line was told."}${lost ? ` It had also handed over “${lost.slice(0, 80)}” for printing, which was lost with it.` : ""}`;
}

function judgeRun(
  observations: Observations,
  outcome: Outcome,
): { evidence: Evidence[]; comparison: OutputComparison | null } {
  const evidence: Evidence[] = [];
  const add = (gate: GateNumber, speaks: Evidence["speaks"], text: string, line?: number) =>
    evidence.push({ gate, source: "run", speaks, text, ...(line ? { line } : {}) });
  const primary = outcome.diagnostics.find((diagnostic) => diagnostic.primary);
  const elsewhere = otherFile(primary, observations.fileNames);
  const ownLine = elsewhere ? undefined : primary?.line;
  const at = primary?.line ? ` at ${placeWords(primary.line, elsewhere)}` : "";
  if (outcome.stoppedBy === "refused") {
    const where = elsewhere ? at : "";
    add(
      1,
      "fails",
      stop(`It was refused before any line ran${where}${primary ? `: ${message(primary)}` : ""}`),
      ownLine,
    );
    return { evidence, comparison: null };
  }
  const printed = firstOutput(outcome);
  const refused = outcome.diagnostics.find(
    (each) => each.severity === "error" && each.stage === "translation" && otherFile(each, observations.fileNames),
  );
  if (outcome.started && refused) {
    if (printed)
      add(
        1,
        "open",
        `${printed.line ? `Line ${printed.line}` : "It"} had printed “${printed.text}”: the main file had begun.`,
      );
    const place = refused.line ? placeWords(refused.line, refused.file) : refused.file;
    const when =
      outcome.stoppedBy === "fault"
        ? "where it is needed by the running program"
        : "though this run came to its end without it";
    add(1, "fails", stop(`A file of the program is refused ${when}, at ${place}: ${message(refused)}`));
    add(1, "open", "Every file of a program has to be accepted, so this counts as not starting, whatever ran before.");
    return { evidence, comparison: null };
  }
  if (outcome.stoppedBy === "person")
    add(1, "open", "The run was stopped by hand; whether it had started is not known.");
  else if (printed && !outcome.finished) {
    add(
      1,
      "passes",
      printed.line
        ? `Line ${printed.line} had printed “${printed.text}” before it stopped, so the program had started.`
        : `It had printed “${printed.text}”, so the program had started.`,
      printed.line,
    );
  } else {
    add(1, "passes", `${outcome.translator} accepted the whole text and began to run it.`);
  }
  if (outcome.stoppedBy === "fault") {
    if (primary)
      add(
        2,
        "fails",
        `${stop(`It was stopped${at} by ${message(primary)}`)}${primary.line ? "" : foundWords(outcome)}`,
        ownLine,
      );
    else
      add(
        2,
        "fails",
        outcome.exit.signal
          ? `It was stopped by signal ${outcome.exit.signal}; no line was given.`
          : "It was stopped without a message.",
      );
    return { evidence, comparison: null };
  }
  if (outcome.stoppedBy === "person") {
    add(2, "open", "The run was stopped by hand before it ended. That decides nothing.");
    return { evidence, comparison: null };
  }
  if (outcome.stoppedBy !== "none") {
    const limit = limitWords[outcome.stoppedBy as keyof typeof limitWords];
    if (outcome.stoppedBy === "memory")
      add(2, "fails", "It used up the memory that a run may have and was stopped.", primary?.line);
    else if (
      observations.endless &&
      observations.symptom !== "never ends" &&
      outcome.stoppedBy === "time" &&
      isToGoOn(observations.endless, outcome.milliseconds)
    )
      add(2, "open", observations.endless.text, observations.endless.line);
    else if (observations.endless) add(2, "fails", observations.endless.text, observations.endless.line);
    else if (observations.symptom === "never ends")
      evidence.push({
        gate: 2,
        source: "teacher",
        speaks: "fails",
        text: `It does not end, by the word of who handed it in; the run here was stopped at the ${limit} limit.`,
      });
    else add(2, "open", `It had not ended at the ${limit} limit. That alone does not show that it never ends.`);
    // What the recording saw last; it runs slower than the plain run, so it may be at an earlier point.
    const state = observations.lastState;
    if (state && outcome.stoppedBy !== "memory") {
      const values = state.values.map(({ name, text }) => `${name} = ${text}`).join(", ");
      add(
        2,
        "open",
        `When its recording was stopped it was at line ${state.line}${values ? `, with ${values}` : ""}.`,
        state.line,
      );
    }
    return { evidence, comparison: null };
  }
  add(
    2,
    "passes",
    outcome.exit.code === 0
      ? "It ended by itself."
      : `It ended by itself with exit code ${outcome.exit.code}; a code alone is no fault.`,
  );
  if (observations.expected === undefined) {
    add(3, "open", "No intended output is recorded. Give a case with a known answer to decide this.");
    return { evidence, comparison: null };
  }
  const comparison = compareOutput(outcome.console, observations.expected, observations.ignorePrompts);
  if (comparison.same)
    add(
      3,
      "passes",
      comparison.promptsIgnored ? "The output is as intended, prompts left aside." : "The output is as intended.",
    );
  else if (comparison.onlyPromptsDiffer)
    add(
      3,
      "fails",
      "Only the prompts differ from the intended output. If they do not matter, let this check ignore prompts.",
    );
  else {
    const show = (text: string | null) => (text === null ? "nothing more" : `“${text}”`);
    const line = outputLine(outcome, comparison);
    add(
      3,
      "fails",
      `Output line ${comparison.line} is ${show(comparison.actual)}; intended is ${show(comparison.intended)}.`,
      line,
    );
  }
  return { evidence, comparison };
}

/**
 * The program line that printed the given 1-based place of the output (what the program wrote on standard output, lines
 * ended by LF), if known.
 */
export function outputLine(outcome: Outcome, place: { line: number; column: number }): number | undefined {
  let line = 1;
  let column = 1;
  let last: number | undefined;
  for (const piece of outcome.console) {
    if (piece.kind !== "out") continue;
    for (const [index, text] of piece.text.split("\n").entries()) {
      if (index > 0) {
        line += 1;
        column = 1;
      }
      if (line === place.line && column + text.length > place.column) return piece.line;
      if (line > place.line) return last;
      column += text.length;
    }
    last = piece.line ?? last;
  }
  return last;
}

function judgePasted(observations: Observations): Evidence[] {
  const evidence: Evidence[] = [];
  const primary = observations.pasted?.find((diagnostic) => diagnostic.primary);
  const add = (gate: GateNumber, speaks: Evidence["speaks"], text: string, line?: number) =>
    evidence.push({ gate, source: "pasted output", speaks, text, ...(line ? { line } : {}) });
  if (!primary) {
    if (observations.pastedText?.trim())
      add(1, "open", "The pasted output holds no message that is recognised. It is kept whole.");
    return evidence;
  }
  const elsewhere = otherFile(primary, observations.fileNames);
  const ownLine = elsewhere ? undefined : primary.line;
  if (ownLine && observations.lineCount !== undefined && ownLine > observations.lineCount) {
    add(
      1,
      "open",
      `The pasted message names line ${ownLine}, but the program has ${observations.lineCount} lines: it seems to belong to another version.`,
    );
    return evidence;
  }
  const stage =
    primary.stage === "unknown"
      ? observations.language.namesCheckedAt === "run"
        ? "run"
        : "translation"
      : primary.stage;
  if (stage === "result") {
    add(1, "passes", "The pasted message is about a result, so the program had started.");
    add(2, "passes", "The pasted message is about a result, so the program had come to it.");
    add(3, "fails", stop(`A test in the pasted output got another result: ${message(primary)}`), ownLine);
  } else if (stage === "translation")
    add(1, "fails", stop(`The pasted message says it was refused: ${message(primary)}`), ownLine);
  else {
    add(1, "passes", "The pasted message comes from a running program, so it had started.");
    add(
      2,
      "fails",
      stop(
        `The pasted message says it was stopped${primary.line ? ` at ${placeWords(primary.line, elsewhere)}` : ""}: ${message(primary)}`,
      ),
      ownLine,
    );
  }
  return evidence;
}

/** The value of one gate from its evidence: a run weighs more than pasted text, pasted text more than a reading. */
function settle(evidence: readonly Evidence[]): boolean | null {
  for (const source of ["teacher", "run", "pasted output", "reading"] as const) {
    const spoken = evidence.filter((each) => each.source === source && each.speaks !== "open");
    if (spoken.length > 0) return spoken.every((each) => each.speaks === "passes");
    if (source === "run" && evidence.some((each) => each.source === "run")) return null;
  }
  return null;
}

/** Suggests a verdict: the gates in order, the first that fails decides. See docs/architecture.md, "The verdict". */
export function suggestVerdict(observations: Observations): Verdict {
  const { language, outcome } = observations;
  const run = outcome ? judgeRun(observations, outcome) : { evidence: [], comparison: null };
  const evidence = [
    ...run.evidence,
    ...judgePasted(observations),
    ...(observations.cameOut ? readCameOut(observations.cameOut, observations.expected, outcome) : []),
  ];
  const gates = ([1, 2, 3] as const).map((gate): Gate => {
    const own = evidence.filter((each) => each.gate === gate);
    return { gate, passes: settle(own), evidence: own };
  });
  const failed = gates.findIndex((gate) => gate.passes === false);
  const open = gates.findIndex((gate) => gate.passes === null);
  const decided = failed >= 0 && (open < 0 || open > failed) ? gates[failed] : undefined;
  for (const gate of gates) if (decided && gate.gate > decided.gate) gate.passes = null;

  const runPrimary = outcome?.diagnostics.find((diagnostic) => diagnostic.primary);
  const pastedPrimary = observations.pasted?.find((diagnostic) => diagnostic.primary);
  const diagnostic = (outcome ? runPrimary : pastedPrimary) ?? null;
  const reasons = gates.flatMap((gate) =>
    decided && gate.gate > decided.gate ? [] : gate.evidence.map((each) => each.text),
  );
  const conflict = evidence.find(
    (each) =>
      each.source === "pasted output" &&
      each.speaks !== "open" &&
      gates[each.gate - 1]?.passes !== null &&
      (each.speaks === "passes") !== gates[each.gate - 1]?.passes,
  );
  if (conflict && outcome) reasons.push("The pasted output and the run here do not agree; the run here weighs more.");

  const endless =
    decided?.gate === 2 &&
    outcome !== undefined &&
    (outcome.stoppedBy === "time" || outcome.stoppedBy === "steps" || outcome.stoppedBy === "output");
  // Known by proof or by somebody's word; else only suggested.
  const endlessKnown = observations.symptom === "never ends" || observations.endless?.proof === true;
  let faultClass: FaultClass | null = null;
  if (decided?.gate === 1) faultClass = "syntax";
  else if (decided?.gate === 2) faultClass = endless ? (observations.endlessClass ?? "logic") : "runtime";
  else if (decided?.gate === 3) faultClass = "logic";
  if (!decided)
    reasons.push(
      gates.every((gate) => gate.passes)
        ? "No fault is shown by this check. That is not proof that there is none."
        : "Not decided yet.",
    );

  const symptoms = {
    1: refusedSymptom,
    2: endless ? (endlessKnown ? "does not end" : "has not ended") : "stopped while running",
    3: observations.symptom === "nothing appears" ? "nothing appears" : "wrong result",
  } as const;
  return {
    gates,
    class: faultClass,
    kind: faultClass === "syntax" ? (diagnostic ? language.kindOfRefusal(diagnostic) : "form") : null,
    symptom: decided ? symptoms[decided.gate] : gates.every((gate) => gate.passes) ? "no fault shown" : "not decided",
    reasons,
    reportedLine: diagnostic && (decided?.gate === 1 || decided?.gate === 2) ? (diagnostic.line ?? null) : null,
    reportedFile: decided?.gate === 1 || decided?.gate === 2 ? otherFile(diagnostic, observations.fileNames) : null,
    diagnostic: decided ? diagnostic : null,
    comparison: run.comparison,
  };
}
