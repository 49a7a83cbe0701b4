import type { Comparison } from "../assignments/comparison.ts";
import type { IntendedPiece } from "../assignments/intended.ts";
import type { Language } from "../languages/language.ts";
import type { Diagnostic, Outcome } from "../outcome/outcome.ts";
import type { LastState } from "../trace/lastState.ts";
import type { CameOut } from "./cameOut.ts";
import type { EndlessFinding } from "./endless.ts";

/** What a verdict is drawn from. Everything is optional but the language: what is unknown stays open. */
export type Observations = {
  language: Language;
  outcome?: Outcome;
  /** Intended standard output; "" means that nothing is to be printed, undefined that it is not known. */
  expected?: string;
  /** The same as a model gave it, where one did. */
  intended?: readonly IntendedPiece[];
  comparison?: Comparison;
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
