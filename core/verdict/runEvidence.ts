import { compareOutput, type OutputComparison } from "../assignments/compareOutput.ts";
import type { Outcome } from "../outcome/outcome.ts";
import { isToGoOn } from "./endless.ts";
import type { Evidence, GateNumber } from "./evidence.ts";
import type { Observations } from "./observations.ts";
import { messageOf, otherFile, placeWords, stop } from "./words.ts";

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

/** The evidence of a run for the three gates, and how its output compares with the intended one. */
export function judgeRun(
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
      stop(`It was refused before any line ran${where}${primary ? `: ${messageOf(primary)}` : ""}`),
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
    add(1, "fails", stop(`A file of the program is refused ${when}, at ${place}: ${messageOf(refused)}`));
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
        `${stop(`It was stopped${at} by ${messageOf(primary)}`)}${primary.line ? "" : foundWords(outcome)}`,
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
  const comparison = compareOutput(
    outcome.console,
    observations.intended ?? observations.expected,
    observations.comparison,
  );
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
