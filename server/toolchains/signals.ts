import type { Diagnostic } from "../../core/outcome/outcome.ts";

/** Signals that end a program, by their POSIX names, with the words that shells print. */
const signals: Readonly<Record<number, readonly [name: string, words: string]>> = {
  4: ["SIGILL", "Illegal instruction"],
  5: ["SIGTRAP", "Trace/breakpoint trap"],
  6: ["SIGABRT", "Aborted"],
  7: ["SIGBUS", "Bus error"],
  8: ["SIGFPE", "Floating point exception"],
  9: ["SIGKILL", "Killed"],
  11: ["SIGSEGV", "Segmentation fault"],
  13: ["SIGPIPE", "Broken pipe"],
  14: ["SIGALRM", "Alarm clock"],
  15: ["SIGTERM", "Terminated"],
  24: ["SIGXCPU", "CPU time limit exceeded"],
  25: ["SIGXFSZ", "File size limit exceeded"],
};

/** Signals by which a program ends itself (signal(7)): SIGILL, SIGABRT, SIGBUS, SIGFPE, SIGSEGV. */
export const faultSignals: ReadonlySet<number> = new Set([4, 6, 7, 8, 11]);

/** What a shell would have said of a program that a signal ended: no line is given, and none is invented. */
export function signalDiagnostic(signal: number): Diagnostic {
  const [errorName, message] = signals[signal] ?? [`signal ${signal}`, "Ended by a signal"];
  return { severity: "error", errorName, message, stage: "run", primary: true };
}
