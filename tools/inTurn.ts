import { isLongRun, todaysShare } from "./share.ts";

/**
 * Files of unit tests that take half a minute or more each, or belong to those: four days, each about three minutes long, one
 * of them each day, and whole then. (A share within such a file would go by the same day, and leave cases out for ever.)
 */
const unitTests = [
  [
    ...["server/toolchains/basicMacro", "server/backup/backup", "server/toolchains/hosted"],
    ...["server/toolchains/expressions/c", "server/toolchains/expressions/basicForms"],
    ...["server/exercises/markedAnswers/bill"],
  ],
  [
    ...["server/exercises/twinOf", "server/exercises/neutralPrograms", "server/http/start"],
    ...["server/judge/policies", "server/toolchains/sketch"],
    ...["server/toolchains/expressions/java", "server/toolchains/expressions/octave"],
    ...["server/exercises/markedAnswers/crossing", "server/exercises/markedAnswers/fare"],
  ],
  ["server/http/kills", "server/judge/vectors", "server/toolchains/recorders"],
  [
    ...["app/plans/planPages", "server/judge/vectorsLanguages"],
    ...["server/database/owner", "server/toolchains/changes", "server/toolchains/together"],
    ...["server/toolchains/probes", "server/sandbox/isolation", "server/sandbox/ownTime"],
    ...["server/judge/sketchClasses", "server/classwork/strength"],
    ...["server/toolchains/expressions/python", "server/toolchains/expressions/basicMacro"],
    ...["server/exercises/markedAnswers/loads", "server/exercises/markedAnswers/ramp"],
  ],
].map((day) => day.map((name) => `${name}.test.ts`));

/** Browser tests of rooms and languages that few changes reach: those of one day each day. */
const browserTests = [
  ["macros", "dryRun"],
  ["restore", "plans", "taskKinds", "forms"],
  ["lessons", "worst", "casebook", "sketches"],
  ["pseudocode", "ownPython", "whole-class", "room"],
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
