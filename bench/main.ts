import { benchAssignment } from "./assignment.ts";
import { benchBackup } from "./backup.ts";
import { benchBatch } from "./batch.ts";
import { benchCandidates } from "./candidates.ts";
import { benchCasebook } from "./casebook.ts";
import { benchClassroom } from "./classroom.ts";
import { benchCollect } from "./collect.ts";
import { benchDryRun } from "./dryRun.ts";
import { benchExercises } from "./exercises.ts";
import { benchLanguages } from "./languages.ts";
import { benchLesson } from "./lesson.ts";
import { benchMacros } from "./macros.ts";
import type { Measure } from "./measure.ts";
import { benchMending } from "./mending.ts";
import { benchOwnPython } from "./ownPython.ts";
import { benchPages } from "./pages.ts";
import { benchProposals } from "./proposals.ts";
import { benchPseudocode } from "./pseudocode.ts";
import { benchReading } from "./reading.ts";
import { benchRecorder } from "./recorder.ts";
import { benchSketches } from "./sketches.ts";
import { benchStrength } from "./strength.ts";
import { benchWorking } from "./working.ts";

/** Every benchmark; a new one is one file and one line here. */
const benchmarks: Readonly<Record<string, () => Promise<Measure[]>>> = {
  // First, while nothing else lives in this process.
  reading: benchReading,
  batch: benchBatch,
  assignment: benchAssignment,
  languages: benchLanguages,
  recorder: benchRecorder,
  pseudocode: benchPseudocode,
  macros: benchMacros,
  sketches: benchSketches,
  pages: benchPages,
  working: benchWorking,
  casebook: benchCasebook,
  dryRun: benchDryRun,
  collect: benchCollect,
  backup: benchBackup,
  classroom: benchClassroom,
  lesson: benchLesson,
  ownPython: benchOwnPython,
  candidates: benchCandidates,
  mending: benchMending,
  exercises: benchExercises,
  strength: benchStrength,
  proposals: benchProposals,
};
/** Names on the command line choose some of them. */
const wanted = process.argv.slice(2);

/** A share is to be as large as its bound, everything else no larger. */
function isKept({ value, atMost, unit }: Measure): boolean {
  return unit === "%" ? value >= atMost : value <= atMost;
}

const measures: Measure[] = [];
for (const [name, benchmark] of Object.entries(benchmarks))
  if (wanted.length === 0 || wanted.includes(name)) measures.push(...(await benchmark()));
const rows = measures.map((measure) => [
  measure.work,
  measure.against,
  `${measure.value.toFixed(measure.unit === "rows" ? 0 : measure.value < 10 ? 2 : 1)} ${measure.unit}`,
  `${measure.atMost} ${measure.unit}`,
  isKept(measure) ? "yes" : "NO",
]);
const head = ["work", "against", "measured", "bound", "kept"];
const widths = head.map((title, column) => Math.max(title.length, ...rows.map((row) => row[column]?.length ?? 0)));
for (const row of [head, ...rows]) console.log(row.map((cell, column) => cell.padEnd(widths[column] ?? 0)).join("  "));
process.exitCode = measures.every(isKept) ? 0 : 1;
process.exit();
