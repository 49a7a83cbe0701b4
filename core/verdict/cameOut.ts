import { comparableLines, compareOutput } from "../assignments/compareOutput.ts";
import { consoleText, type Outcome } from "../outcome/outcome.ts";
import type { Evidence } from "./evidence.ts";

/** What came out by the word of who handed the program in, and whether a run here fits it. */
export type CameOut = {
  text: string;
  /** Names of files that an earlier run leaves: with them there, this is what comes out here, too. */
  leftovers?: readonly string[];
};

/** True if an output that was handed in is what came out of a run; of one that was cut off, its beginning. */
export function isOutputOf(cameOut: string, outcome: Outcome): boolean {
  if (compareOutput(outcome.console, cameOut).same) return true;
  // A screen shows messages and typed text among the output.
  const all = comparableLines(consoleText(outcome.console, ["out", "err", "in"]));
  const given = comparableLines(cameOut);
  if (given.length === all.length && given.every((line, index) => line === all[index])) return true;
  if (outcome.finished) return false;
  const printed = comparableLines(consoleText(outcome.console, ["out"]));
  // What was copied from a screen may end within a line.
  const isLast = (index: number) => index === given.length - 1;
  return (
    given.length > 0 &&
    given.length <= printed.length &&
    given.every(
      (line, index) => line === printed[index] || (isLast(index) && printed[index]?.startsWith(line) === true),
    )
  );
}

const quoted = (text: string | null) => (text === null ? "nothing more" : `“${text}”`);

function afterRun({ text, leftovers }: CameOut, outcome: Outcome): Evidence {
  const gate = outcome.finished ? 3 : 2;
  const said = (words: string): Evidence => ({ gate, source: "pasted output", speaks: "open", text: words });
  if (isOutputOf(text, outcome)) return said("What came out, by the word of who handed it in, comes out here, too.");
  if (leftovers && leftovers.length > 0)
    return said(
      `What came out, by the word of who handed it in, comes out here only when there is left what an earlier run made (${leftovers.join(", ")}): it was not run from an empty state.`,
    );
  const { line, actual, intended } = firstDifference(outcome, text);
  return said(
    `What came out, by the word of who handed it in, does not come out here: line ${line} was ${quoted(intended)}, here it is ${quoted(actual)}. Another version, another input or what an earlier run had left may be the reason; the run here weighs more.`,
  );
}

function firstDifference(outcome: Outcome, text: string) {
  const compared = compareOutput(outcome.console, text);
  return compared.same ? { line: 1, actual: null, intended: null } : compared;
}

/**
 * The evidence in an output that was handed in without a message. Beside a run it says whether the same came out here;
 * without one it speaks for itself: something had come out, so the program had started, and it is compared with what
 * should come out (`expected`; undefined where that is not known).
 */
export function readCameOut(cameOut: CameOut, expected: string | undefined, outcome: Outcome | undefined): Evidence[] {
  if (outcome) return outcome.started === null || outcome.stoppedBy === "refused" ? [] : [afterRun(cameOut, outcome)];
  const add = (gate: Evidence["gate"], speaks: Evidence["speaks"], text: string): Evidence => ({
    ...{ gate, source: "pasted output", speaks, text },
  });
  const evidence = [
    add(1, "passes", "An output was handed in with it, so it had started."),
    add(2, "passes", "It came to an output, and no message was handed in."),
  ];
  if (expected === undefined)
    return [...evidence, add(3, "open", "What should come out is not recorded, so nothing can be compared.")];
  const compared = compareOutput([{ kind: "out", text: cameOut.text }], expected);
  return [
    ...evidence,
    compared.same
      ? add(3, "passes", "What came out, by the word of who handed it in, is as intended.")
      : add(
          3,
          "fails",
          `Line ${compared.line} of what came out, by the word of who handed it in, is ${quoted(compared.actual)}; intended is ${quoted(compared.intended)}.`,
        ),
  ];
}
