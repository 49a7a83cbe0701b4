import type { Language } from "../languages/language.ts";
import type { ConsolePiece, Outcome } from "../outcome/outcome.ts";
import type { Trace } from "./trace.ts";

/** What a console shows, with words left aside that differ from build to build. */
function steadyText(language: Language, pieces: readonly ConsolePiece[]): string {
  const text = pieces.map((piece) => piece.text).join("");
  return language.machineWords ? text.replace(language.machineWords, "") : text;
}

/**
 * True if a recorded run went as the plain run did: the same console, stopped by the same. A recording that was cut is
 * not compared.
 */
export function isSameRun(language: Language, plain: Outcome, trace: Trace): boolean {
  if (trace.outcome.stoppedBy === "steps") return true;
  return (
    plain.stoppedBy === trace.outcome.stoppedBy &&
    steadyText(language, plain.console) === steadyText(language, trace.outcome.console)
  );
}

/**
 * The plain run's outcome with the lines that wrote and asked, taken from its recording, where the plain run does not
 * tell them itself. Only a recording whose output is the same is used; anything else leaves the outcome as it is.
 */
export function withRecordedLines(language: Language, plain: Outcome, trace: Trace | undefined): Outcome {
  if (!trace || plain.console.some((piece) => piece.line !== undefined) || !isSameRun(language, plain, trace))
    return plain;
  const lined = trace.outcome.console.some((piece) => piece.line !== undefined);
  if (!lined || trace.outcome.stoppedBy === "steps") return plain;
  const errors = plain.console.filter((piece) => piece.kind === "err");
  // Errors keep the plain run's own words.
  return { ...plain, console: [...trace.outcome.console.filter((piece) => piece.kind !== "err"), ...errors] };
}
