import { afterAll, beforeAll, expect, test } from "vitest";
import type { ExerciseContent } from "../../core/exercises/exercise.ts";
import { inputsOf, neutralOf } from "../../core/exercises/planting/neutral/neutralPrograms.ts";
import { slipsIn } from "../../core/exercises/planting/slips.ts";
import { findLanguage } from "../../core/languages/languages.ts";
import { runProgram } from "../judge/run.ts";
import { openTestServices } from "../testServices.ts";
import { checksOfProgram } from "./checksOfProgram.ts";
import { exerciseOfPrograms } from "./exerciseOfPrograms.ts";
import { inequality } from "./remake.ts";
import { isIntended, runOfText } from "./runForCheck.ts";
import { twinOf } from "./twinOf.ts";

let services: Awaited<ReturnType<typeof openTestServices>>;
beforeAll(async () => {
  services = await openTestServices();
});
afterAll(() => services.close());

/** Exercises of small changes that a check notices, each of another family, in one of the neutral programs of a language. */
async function planted(id: string, at: number, count: number): Promise<ExerciseContent[]> {
  const language = findLanguage(id);
  const neutral = neutralOf(id)[at];
  if (!language || !neutral) throw new Error(id);
  const { mainName: fileName } = language;
  const mended = neutral.program;
  const checks = await checksOfProgram(services, language, fileName, mended, inputsOf(neutral));
  const tasks = ["classify", "point", "trace", "mend"].map((kind) => ({ kind, marks: 3 }));
  const made: ExerciseContent[] = [];
  for (const family of ["comparison", "constant", "arithmetic", "start-value", "terminator", "colon"]) {
    const slip = slipsIn(language, mended).find(({ edit }) => edit.family === family);
    if (!slip || made.length === count) continue;
    const content = { language: id, fileName };
    const shown = await Promise.all(
      checks.map((check) => runProgram(services.toolchains, runOfText(content, slip.program, check))),
    );
    const isNoticed = shown.some(({ outcome }, place) => {
      const check = checks[place];
      return outcome?.stoppedBy === "refused" || (outcome?.finished && check && !isIntended(outcome, check));
    });
    if (!isNoticed) continue;
    const order = { language, fileName, intro: "", program: slip.program, mended, checks, tasks };
    made.push((await exerciseOfPrograms(services, order)).content);
  }
  return made;
}

const twinned: [language: string, program: number][] = [
  ["python", 3],
  ["python", 7],
  ["c", 4],
];

test.each(twinned)("two neighbours get equal and different exercises: %s, program %i", async (id, at) => {
  const made = await planted(id, at, 3);
  expect(made.length).toBeGreaterThan(1);
  let found = 0;
  for (const content of made) {
    const twin = await twinOf(services, content, 11);
    if (typeof twin === "string") {
      console.log(twin, content.program);
      continue;
    }
    found += 1;
    expect(twin.reasons).toEqual([]);
    expect(inequality(content, twin.content)).toEqual([]);
    expect(twin.content.program).not.toBe(content.program);
  }
  expect(found).toBeGreaterThanOrEqual(Math.max(1, made.length - 1));
  const [first] = made;
  if (!first || id !== "python") return;
  // The same seed gives the same one, so that it can be asked for again; another one gives another.
  const programOf = async (seed: number) => {
    const twin = await twinOf(services, first, seed);
    return typeof twin === "string" ? twin : twin.content.program;
  };
  const once = await programOf(11);
  expect(await programOf(11)).toBe(once);
  expect(await programOf(12)).not.toBe(once);
});
