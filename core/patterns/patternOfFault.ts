import { familyOf } from "../edits/familyOf.ts";
import type { ExerciseContent, ExerciseFault } from "../exercises/exercise.ts";
import { hunksIfTheyFit } from "../fixes/hunks.ts";
import { findLanguage } from "../languages/languages.ts";
import type { Diagnostic } from "../outcome/outcome.ts";
import { evidenceOf } from "./evidence.ts";
import { suggestPatterns } from "./suggest.ts";

/** The message of a fault as it is kept ("NameError: name 'dek' is not defined") as a tool had said it; null where there is none. */
function diagnosticOf({ message, class: of, reportedLine }: ExerciseFault): Diagnostic | null {
  const last = message.trim().split("\n").at(-1) ?? "";
  if (last === "") return null;
  const named = /^([A-Za-z_.]\w*(?:Error|Exception)): (.*)$/.exec(last);
  return {
    ...{ severity: "error" as const, message: named?.[2] ?? last, ...(named?.[1] ? { errorName: named[1] } : {}) },
    ...(reportedLine === null ? {} : { line: reportedLine }),
    ...{ stage: of === "syntax" ? ("translation" as const) : ("run" as const), primary: true },
  };
}

/** The kind of mistake that a fault of an exercise is, by how it is mended and what is said of it; null where nothing tells. */
export function patternOfFault(
  { language: id, program }: Pick<ExerciseContent, "language" | "program">,
  fault: ExerciseFault,
): { id: string; name: string } | null {
  const language = findLanguage(id);
  if (!language) return null;
  const mended = fault.hunks.length === 0 ? null : hunksIfTheyFit(program, fault.hunks);
  const family = mended === null ? null : familyOf(language, program, mended);
  const fix = {
    hunks: fault.hunks,
    families: family ? [family] : [],
    lines: fault.faultyLines,
    repairs: "repairs" as const,
  };
  const evidence = evidenceOf(
    language,
    program,
    {
      ...{ class: fault.class, diagnostic: diagnosticOf(fault), symptom: fault.symptom },
      leads: fault.faultyLines.map((line) => ({ line })),
    },
    mended === null ? [] : [fix],
  );
  const [best] = suggestPatterns(evidence);
  return best ? { id: best.id, name: best.name } : null;
}
