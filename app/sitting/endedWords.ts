import type { Outcome } from "../../core/outcome/outcome.ts";

/** How a run of a student's own ended, in words for the student. */
export const endedWords: Readonly<Record<Outcome["stoppedBy"], string>> = {
  none: "It ended by itself.",
  fault: "It was stopped by an error.",
  refused: "It was refused before any line ran.",
  time: "It was stopped at the time limit.",
  memory: "It was stopped: it used too much memory.",
  output: "It was stopped: it printed too much.",
  steps: "It was stopped.",
  person: "You stopped it.",
  "not taken": "It did not get its turn.",
  broken: "The run broke off.",
};
