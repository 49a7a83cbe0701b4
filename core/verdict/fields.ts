import * as z from "zod";
import type { FaultClass } from "./verdict.ts";

/** When a fault is noticed. */
export const moments = [
  "while typing",
  "on leaving the line",
  "on translating",
  "on reaching the line",
  "on examining the result",
  "only in some runs",
  "not yet",
] as const;
/** What decides whether a fault shows. "certain": every run that comes to it shows it. */
export const dependences = [
  "certain",
  "depends on input",
  "depends on surroundings",
  "depends on chance",
  "not reached",
] as const;
/** Where a fault comes from, as against how it shows, which is its class. */
export const causes = ["syntax", "runtime", "logic"] as const;

export const faultFieldsSchema = z.object({
  cause: z.enum(causes).nullable(),
  moment: z.enum(moments).nullable(),
  depends: z.enum(dependences).nullable(),
});
/** Where a fault comes from, when it is noticed, and on what it depends; null where nobody knows. */
export type FaultFields = z.infer<typeof faultFieldsSchema>;

/** What the fields are filled by. Lines are those of the main file, from 1. */
export type FieldEvidence = {
  /** How it shows. */
  class: FaultClass | null;
  /** Every check that judges something; `surroundings` as a key, "" where there are none. */
  runs: ReadonlyArray<{ passes: boolean | null; input: string; surroundings: string }>;
  /** Whether the program reads what is typed in, and whether it calls what draws on chance or the clock. */
  reads: boolean;
  chance: boolean;
  reportedLine: number | null;
  faultyLines: readonly number[];
  /** Name and words of the error that stopped it; "" where none did. */
  error: string;
  /** Lines that a whole recorded run never came to, first and last of each stretch; null where none was recorded. */
  neverRan: ReadonlyArray<{ from: number; to: number }> | null;
};

/** Each field with the reason for it in a sentence. */
export type SuggestedFields = { [Field in keyof FaultFields]: { value: FaultFields[Field]; why: string } };

/** Stops that a wrong bound, a missing case or a value never given brings about, by the words of their errors. */
const ofThought =
  /index|out of (?:range|bound)|subscript|recursion|stack ?overflow|none(?:type)?\b|null|nil\b|divi(?:sion|ded?)|nonconformant/i;

/** What the evidence says of a fault beside its class. */
export function suggestFields(evidence: FieldEvidence): SuggestedFields {
  return { cause: causeOf(evidence), moment: momentOf(evidence), depends: dependenceOf(evidence) };
}

function causeOf({ class: shows, reportedLine, faultyLines, error }: FieldEvidence): SuggestedFields["cause"] {
  if (shows !== "runtime") return { value: shows, why: shows === null ? "No fault shows." : "It shows as what it is." };
  const elsewhere = reportedLine !== null && faultyLines.length > 0 && !faultyLines.includes(reportedLine);
  if (ofThought.test(error))
    return {
      value: "logic",
      why: "Such a stop comes of a wrong bound, a missing case or a value that was never given.",
    };
  if (elsewhere)
    return {
      value: "logic",
      why: `It stops at line ${reportedLine}, and what is wrong stands at line ${faultyLines[0]}.`,
    };
  return { value: "runtime", why: "What stops it is wrong where it stops." };
}

/** True where every faulty line is one that never ran. */
function isNotReached({ faultyLines, neverRan }: FieldEvidence): boolean {
  const isIn = (line: number) => neverRan?.some(({ from, to }) => line >= from && line <= to) ?? false;
  return faultyLines.length > 0 && faultyLines.every(isIn);
}

function momentOf(evidence: FieldEvidence): SuggestedFields["moment"] {
  const { class: shows, runs } = evidence;
  if (shows === "syntax") return { value: "on translating", why: "It is refused before any line runs." };
  if (shows === null)
    return isNotReached(evidence)
      ? { value: "not yet", why: "The marked line never ran." }
      : { value: null, why: "No fault shows." };
  if (runs.some((run) => run.passes === true)) return { value: "only in some runs", why: "Other checks pass." };
  return shows === "runtime"
    ? { value: "on reaching the line", why: "It stops where it comes to the line." }
    : { value: "on examining the result", why: "It runs to its end; only its result shows it." };
}

function dependenceOf(evidence: FieldEvidence): SuggestedFields["depends"] {
  const { class: shows, runs, reads, chance } = evidence;
  if (shows === "syntax") return { value: "certain", why: "It is refused with any input." };
  if (shows === null)
    return isNotReached(evidence)
      ? { value: "not reached", why: "The marked line never ran in this run." }
      : { value: null, why: "No fault shows." };
  if (chance) return { value: "depends on chance", why: "The program draws on chance or the clock." };
  const failing = runs.filter((run) => run.passes === false);
  const passing = runs.filter((run) => run.passes === true);
  const bySurroundings = failing.some((one) =>
    passing.some((other) => other.input === one.input && other.surroundings !== one.surroundings),
  );
  if (bySurroundings)
    return { value: "depends on surroundings", why: "With the same input in other surroundings it passes." };
  if (passing.length > 0) return { value: "depends on input", why: `${passing.length} of ${runs.length} checks pass.` };
  if (!reads) return { value: "certain", why: "It reads no input, so every run is the same." };
  return failing.length > 1
    ? { value: "certain", why: `It shows with each of ${failing.length} inputs.` }
    : { value: "certain", why: "It shows in the one run that there is; another input may show otherwise." };
}

/** Why a cause does not go with a class, in words for a person; null where it does. */
export function causeRefusal(shows: FaultClass | null, cause: FaultClass | null): string | null {
  if (shows === "syntax" && cause !== null && cause !== "syntax")
    return "A program that is refused before it runs is refused for its text: a slip of the thinking never shows so. Change its class first, if it is another one.";
  if (shows !== "syntax" && shows !== null && cause === "syntax")
    return "A program that runs was not refused for its text, so that is not where its fault comes from.";
  return null;
}
