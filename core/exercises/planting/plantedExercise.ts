import { findHunks } from "../../fixes/hunks.ts";
import type { ExerciseContent } from "../exercise.ts";
import { levelOf } from "../level.ts";
import type { PlantedFault, PlantRequest } from "./planted.ts";

/** The exercise that a planted fault makes, without tasks. */
export function contentOf(
  request: Pick<PlantRequest, "language" | "fileName" | "checks">,
  planted: PlantedFault,
): ExerciseContent {
  const hunks = findHunks(planted.program, planted.mended);
  return {
    ...{ language: request.language.id, fileName: request.fileName, intro: "", userActions: [], handTable: "" },
    ...{
      program: planted.program,
      mended: planted.mended,
      checks: [...request.checks],
      hiddenChecks: [],
      given: [],
      tasks: [],
    },
    faults: [
      {
        ...{ class: planted.class, symptom: planted.symptom, message: planted.message, hunks },
        ...{ reportedLine: planted.reportedLine, faultyLines: planted.lines, noticed: planted.noticed },
      },
    ],
  };
}

/** A planted fault with its level and the reasons for that. */
export function withLevel(request: PlantRequest, planted: PlantedFault): PlantedFault {
  const { level, points, reasons } = levelOf(contentOf(request, planted));
  return { ...planted, level, points, why: reasons.map((reason) => reason.words) };
}
