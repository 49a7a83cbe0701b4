import { isLongRun, todaysShare } from "./share.ts";

/**
 * Files of unit tests that take a quarter of a minute or more each, or belong to those: twelve days, each about as long, one of them
 * each day, and whole then. (A share within such a file would go by the same day, and leave cases out for ever.)
 */
const unitTests = [
  ["server/backup/backup", "server/exercises/looks", "core/languages/pascal/slipsOfLines", "core/syntax/tree"],
  ["app/plans/planPages", "core/languages/basicForms/slips"],
  [
    ...["server/exercises/twinOf", "server/toolchains/expressions/python", "core/languages/java/slipsOfLines"],
    ...["server/exercises/markedAnswers/crossing"],
  ],
  ["server/toolchains/hosted", "core/patterns/plant", "core/languages/csharp/slipsOfLines"],
  ["server/toolchains/basicMacro", "server/http/kills", "core/languages/basicMacro/slips"],
  ["server/http/start", "cli/commands", "server/classwork/classwork", "core/languages/octave/slipsOfLines"],
  [
    ...["server/judge/policies", "server/toolchains/changes", "server/toolchains/probes"],
    ...["core/languages/c/slipsOfLines", "core/exercises/ownRun/ownFunctions"],
  ],
  [
    ...["server/database/owner", "server/exercises/neutralPrograms", "server/judge/vectorsLanguages"],
    ...["server/sandbox/isolation", "server/toolchains/together", "server/toolchains/expressions/pascal"],
  ],
  [
    ...["server/marks/markingWork", "server/toolchains/sketch", "server/classwork/strength"],
    ...["server/toolchains/expressions/java", "server/judge/sketchClasses", "server/toolchains/expressions/basicMacro"],
    ...["server/sandbox/ownTime", "server/toolchains/recursion", "core/syntax/hostile"],
  ],
  [
    ...["core/edits/otherLines", "app/backups/backups", "server/toolchains/languages", "server/toolchains/broken"],
    ...["server/toolchains/warmTranslators", "server/toolchains/builtOnce"],
    ...["server/toolchains/expressions/c", "server/toolchains/expressions/basicForms"],
    ...["server/toolchains/expressions/octave", "server/toolchains/expressions/csharp"],
  ],
  [
    ...["server/marks/sittings", "server/exercises/plantFaults", "server/exercises/markedAnswers/fare"],
    ...["server/collect/collections", "core/languages/pseudocode/syntax"],
  ],
  [
    ...["server/judge/vectors", "server/toolchains/recorders", "server/toolchains/recorderVersions"],
    ...["cli/dataCommands", "cli/manyLanguages", "server/exercises/partsKinds"],
    ...["server/exercises/markedAnswers/tides", "server/exercises/markedAnswers/loads"],
    ...["server/exercises/markedAnswers/bill", "server/exercises/markedAnswers/ramp"],
  ],
].map((day) => day.map((name) => `${name}.test.ts`));

/** Browser tests of rooms and languages that few changes reach: those of one day each day. */
const browserTests = [
  ["macros", "mending"],
  ["dryRun", "restore"],
  ["plans", "taskKinds", "working"],
  ["forms", "casebook"],
  ["lessons", "worst"],
  ["sketches", "whole-class", "rough"],
  ["pseudocode", "room"],
  ["ownPython", "assignment"],
  ["languages"],
].map((day) => day.map((name) => `e2e/${name}.spec.ts`));

/** What of days is not today's: nothing in the long run, and nothing where a person names what is to be tested. */
function notToday(days: ReadonlyArray<readonly string[]>, names: readonly string[]): string[] {
  // A word or a path; a number is what an option is set to.
  const isNamed = names.some((name) => !name.startsWith("-") && /[./]|^\w{4,}$/.test(name));
  const today = new Set(todaysShare(days, days.length).flat());
  return isLongRun || isNamed ? [] : days.flat().filter((file) => !today.has(file));
}

/** The files of unit tests that `npm test` leaves for another day; `given`: what stands behind the command's own word. */
export const unitTestsOfOtherDays = (given: readonly string[]): string[] => notToday(unitTests, given);

/** The same for browser tests. */
export const browserTestsOfOtherDays = (given: readonly string[]): string[] => notToday(browserTests, given);
