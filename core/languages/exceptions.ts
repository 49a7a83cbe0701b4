import type { Diagnostic, StackFrame } from "../outcome/outcome.ts";

/** One exception as a run-time system tells it: its name with its package, its words, the calls oldest first. */
export type ExceptionTold = { errorName: string; message: string; frames: StackFrame[] };

/**
 * An exception that stopped a program, as a diagnostic placed at the innermost frame of the student's own that has a
 * line.
 */
export function exceptionDiagnostic({ errorName, message, frames }: ExceptionTold): Diagnostic {
  const place = frames.findLast((each) => each.own && each.line !== undefined);
  return {
    severity: "error",
    errorName: errorName.split(".").pop() ?? errorName,
    message,
    frames,
    stage: "run",
    primary: false,
    ...(place ? { file: place.file } : {}),
    ...(place?.line ? { line: place.line } : {}),
  };
}
