import { consoleText, type Outcome } from "../outcome/outcome.ts";
import type { FaultClass } from "../verdict/verdict.ts";
import { messageOf } from "../verdict/words.ts";
import type { CheckRun } from "./taskKind.ts";

/** What is seen of a run: the class of what it shows, the message with the line that it names, what was printed. */
export type Seen = { class: FaultClass | "none"; message: string; line: number | null; output: string };

/** What a run with a check shows; null where it told nothing. A run that never ends shows a wrong result. */
export function seenIn(run: CheckRun): Seen | null {
  if ("notRun" in run) return null;
  const { outcome, passes } = run;
  const primary = outcome.diagnostics.find((each) => each.primary && each.severity === "error");
  const output = consoleText(outcome.console, ["out"]);
  const message = primary ? messageOf(primary) : "";
  const line = primary?.line ?? null;
  if (outcome.stoppedBy === "refused") return { class: "syntax", message, line, output };
  if (outcome.stoppedBy === "fault") return { class: "runtime", message, line, output };
  return { class: passes ? "none" : "logic", message: "", line: null, output };
}

/** How a run ended, in words. */
export function endingOf({ stoppedBy }: Pick<Outcome, "stoppedBy">): string {
  if (stoppedBy === "none") return "It ends by itself.";
  if (stoppedBy === "refused") return "It is refused before any line runs.";
  return stoppedBy === "fault" ? "It stops with an error message." : "It does not come to its end.";
}

/** True for a run that was cut off, or that asked for more than was typed in: what it shows is not the program's own. */
export const isCutOff = ({ stoppedBy, inputRanOut }: Pick<Outcome, "stoppedBy" | "inputRanOut">): boolean =>
  inputRanOut || stoppedBy === "time" || stoppedBy === "output" || stoppedBy === "memory";

export const classOptions = [
  { value: "syntax", words: "syntax error" },
  { value: "runtime", words: "runtime error" },
  { value: "logic", words: "logic error" },
] as const;

/** The share of the words and numbers of one text that are in another, case aside: 0 to 1. */
export function wordsShared(wanted: string, written: string): number {
  const wordsOf = (text: string) => text.toLowerCase().match(/[\p{L}\p{N}_]+/gu) ?? [];
  const own = new Set(wordsOf(written));
  const all = [...new Set(wordsOf(wanted))];
  return all.length === 0 ? 0 : all.filter((word) => own.has(word)).length / all.length;
}
