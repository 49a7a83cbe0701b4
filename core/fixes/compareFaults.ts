import type { KeptVerdict } from "../cases/case.ts";

/** How what shows after a change is to the fault that it was meant to mend. */
export type FaultRelation =
  | "gone"
  | "same error"
  | "same error on another line"
  | "another error"
  | "does not start any more";

/**
 * Compares what a judgement shows with the fault before. `lineMap` says where the lines of the text before are now (see
 * mapLines); a wrong result stays the same fault, whatever the result is.
 */
export function compareFaults(
  before: Pick<KeptVerdict, "gate" | "message" | "reportedLine">,
  now: Pick<KeptVerdict, "gate" | "message" | "reportedLine">,
  lineMap: ReadonlyArray<number | null>,
): FaultRelation {
  if (now.gate === null) return "gone";
  if (now.gate === 1 && before.gate !== 1) return "does not start any more";
  if (now.gate !== before.gate) return "another error";
  if (now.gate === 3) return "same error";
  if (now.message !== before.message) return "another error";
  const carried = before.reportedLine === null ? null : (lineMap[before.reportedLine] ?? null);
  // A line that was itself changed is still the same place, if the line that is named now stands where it stood.
  const stands = now.reportedLine === null || now.reportedLine === carried || now.reportedLine === before.reportedLine;
  return stands ? "same error" : "same error on another line";
}
