import type { Decision, LinePlace } from "./case.ts";

/** What of a fault's record may be missing. */
type RecordOfFault = {
  decided: Decision | null;
  faultyLines: readonly LinePlace[] | readonly number[];
  place: string;
  pattern: string | null;
  explanation: string;
  mended: boolean;
  verified: unknown;
};

/**
 * What is missing until the record of a fault is complete, in words; nothing where a teacher said that it is none. A complete one has its class with a
 * reason (the evidence's, or the teacher's), its place, its kind, its fix and the run that proves it.
 */
export function missingOf({ decided, faultyLines, place, pattern, mended, verified }: RecordOfFault): string[] {
  if (decided && decided.outcome !== "fault") return [];
  return [
    decided ? "" : "the class is not confirmed",
    faultyLines.length > 0 || place === "outside" ? "" : "the faulty line",
    pattern ? "" : "the kind of mistake is not confirmed",
    mended ? "" : "the fix",
    mended && !verified ? "the run that proves the fix" : "",
  ].filter((words) => words !== "");
}
