import { isLongRun, todaysShare } from "./share.ts";

/**
 * Files of unit tests that take half a minute or more each: they come in turn, a third of them each day, and whole then. (A share
 * within such a file would go by the same day, and leave cases out for ever.)
 */
const unitTests = [
  ...["toolchains/basicMacro", "toolchains/hosted", "toolchains/together", "toolchains/recorders"],
  ...["toolchains/expressions", "toolchains/probes", "toolchains/changes", "toolchains/sketch"],
  ...["judge/vectors", "judge/vectorsLanguages", "judge/macroClasses", "judge/sketchClasses", "judge/policies"],
  ...["sandbox/isolation", "sandbox/ownTime", "backup/backup", "http/kills", "http/start", "database/owner"],
  ...["exercises/markedAnswers", "exercises/twinOf", "exercises/neutralPrograms", "classwork/strength"],
].map((name) => `server/${name}.test.ts`);

/** Browser tests of rooms and languages that few changes reach: a third of them each day. */
const browserTests = [
  ...["restore", "taskKinds", "sketches", "macros", "forms", "pseudocode", "dryRun", "lessons", "ownPython", "worst"],
  ...["room", "whole-class", "plans", "casebook"],
].map((name) => `e2e/${name}.spec.ts`);

/** What of a list is not today's: nothing in the long run, and nothing where a person names what is to be tested. */
function notToday(files: readonly string[], names: readonly string[]): string[] {
  // A word or a path; a number is what an option is set to.
  const isNamed = names.some((name) => !name.startsWith("-") && /[./]|^\w{4,}$/.test(name));
  const today = new Set(todaysShare(files, 3));
  return isLongRun || isNamed ? [] : files.filter((file) => !today.has(file));
}

/** The files of unit tests that `npm test` leaves for another day; `given`: what stands behind the command's own word. */
export const unitTestsOfOtherDays = (given: readonly string[]): string[] => notToday(unitTests, given);

/** The same for browser tests. */
export const browserTestsOfOtherDays = (given: readonly string[]): string[] => notToday(browserTests, given);
