import type { OutputComparison } from "../assignments/compareOutput.ts";
import { pictureAt } from "../outcome/drawing.ts";
import type { Diagnostic } from "../outcome/outcome.ts";
import { isDrawn } from "../outcome/pictureFacts.ts";
import { readCameOut } from "./cameOut.ts";
import type { Evidence, GateNumber } from "./evidence.ts";
import type { Observations } from "./observations.ts";
import { judgePasted } from "./pastedEvidence.ts";
import { judgeRun } from "./runEvidence.ts";
import { otherFile } from "./words.ts";

export type { Evidence, GateNumber };

export type FaultClass = "syntax" | "runtime" | "logic";
/** A gate: true passed, false failed, null open or not reached. */
export type Gate = { gate: GateNumber; passes: boolean | null; evidence: Evidence[] };

/** A suggested class with its grounds. `class` null: no fault shown, or not decided; `reasons` says which. */
export type Verdict = {
  gates: Gate[];
  class: FaultClass | null;
  kind: "form" | "meaning" | null;
  symptom: string;
  reasons: string[];
  reportedLine: number | null;
  /** The file that the reported line is one of; null: the main file. */
  reportedFile: string | null;
  diagnostic: Diagnostic | null;
  comparison: OutputComparison | null;
};

/** How a fault shows of which the translator says that it cannot begin. */
export const refusedSymptom = "refused before it ran";

/** The value of one gate from its evidence: a run weighs more than pasted text, pasted text more than a reading. */
function settle(evidence: readonly Evidence[]): boolean | null {
  for (const source of ["teacher", "run", "pasted output", "reading"] as const) {
    const spoken = evidence.filter((each) => each.source === source && each.speaks !== "open");
    if (spoken.length > 0) return spoken.every((each) => each.speaks === "passes");
    if (source === "run" && evidence.some((each) => each.source === "run")) return null;
  }
  return null;
}

/** True where an intended output asks for anything of a picture. */
const expectsPicture = ({ expected }: Observations) => /^[ \t]*picture[ \t]/im.test(expected ?? "");

/** Suggests a verdict: the gates in order, the first that fails decides. See docs/architecture.md, "The verdict". */
export function suggestVerdict(observations: Observations): Verdict {
  const { language, outcome } = observations;
  const run = outcome ? judgeRun(observations, outcome) : { evidence: [], comparison: null };
  const evidence = [
    ...run.evidence,
    ...judgePasted(observations),
    ...(observations.cameOut ? readCameOut(observations.cameOut, observations.expected, outcome) : []),
  ];
  const gates = ([1, 2, 3] as const).map((gate): Gate => {
    const own = evidence.filter((each) => each.gate === gate);
    return { gate, passes: settle(own), evidence: own };
  });
  const failed = gates.findIndex((gate) => gate.passes === false);
  const open = gates.findIndex((gate) => gate.passes === null);
  const decided = failed >= 0 && (open < 0 || open > failed) ? gates[failed] : undefined;
  for (const gate of gates) if (decided && gate.gate > decided.gate) gate.passes = null;

  const runPrimary = outcome?.diagnostics.find((diagnostic) => diagnostic.primary);
  const pastedPrimary = observations.pasted?.find((diagnostic) => diagnostic.primary);
  const diagnostic = (outcome ? runPrimary : pastedPrimary) ?? null;
  const reasons = gates.flatMap((gate) =>
    decided && gate.gate > decided.gate ? [] : gate.evidence.map((each) => each.text),
  );
  const conflict = evidence.find(
    (each) =>
      each.source === "pasted output" &&
      each.speaks !== "open" &&
      gates[each.gate - 1]?.passes !== null &&
      (each.speaks === "passes") !== gates[each.gate - 1]?.passes,
  );
  if (conflict && outcome) reasons.push("The pasted output and the run here do not agree; the run here weighs more.");

  const endless =
    decided?.gate === 2 &&
    outcome !== undefined &&
    (outcome.stoppedBy === "time" || outcome.stoppedBy === "steps" || outcome.stoppedBy === "output");
  // Known by proof or by somebody's word; else only suggested.
  const endlessKnown = observations.symptom === "never ends" || observations.endless?.proof === true;
  let faultClass: FaultClass | null = null;
  if (decided?.gate === 1) faultClass = "syntax";
  else if (decided?.gate === 2) faultClass = endless ? (observations.endlessClass ?? "logic") : "runtime";
  else if (decided?.gate === 3) faultClass = "logic";
  if (!decided)
    reasons.push(
      gates.every((gate) => gate.passes)
        ? "No fault is shown by this check. That is not proof that there is none."
        : "Not decided yet.",
    );

  const { drawing } = outcome ?? {};
  const isBlank = drawing !== undefined && expectsPicture(observations) && !isDrawn(pictureAt(drawing, drawing.last));
  const symptoms = {
    1: refusedSymptom,
    2: endless ? (endlessKnown ? "does not end" : "has not ended") : "stopped while running",
    3: observations.symptom === "nothing appears" ? "nothing appears" : isBlank ? "nothing is drawn" : "wrong result",
  } as const;
  return {
    gates,
    class: faultClass,
    kind: faultClass === "syntax" ? (diagnostic ? language.kindOfRefusal(diagnostic) : "form") : null,
    symptom: decided ? symptoms[decided.gate] : gates.every((gate) => gate.passes) ? "no fault shown" : "not decided",
    reasons,
    reportedLine: diagnostic && (decided?.gate === 1 || decided?.gate === 2) ? (diagnostic.line ?? null) : null,
    reportedFile: decided?.gate === 1 || decided?.gate === 2 ? otherFile(diagnostic, observations.fileNames) : null,
    diagnostic: decided ? diagnostic : null,
    comparison: run.comparison,
  };
}
