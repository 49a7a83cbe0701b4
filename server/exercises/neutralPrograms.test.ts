import { afterAll, beforeAll, expect, test } from "vitest";
import { inputsOf, neutralOf } from "../../core/exercises/planting/neutral/neutralPrograms.ts";
import { languages } from "../../core/languages/languages.ts";
import { measureStrength } from "../classwork/strength.ts";
import { openTestServices } from "../testServices.ts";
import { checksOfProgram } from "./checksOfProgram.ts";

let services: Awaited<ReturnType<typeof openTestServices>>;
beforeAll(async () => {
  services = await openTestServices();
});
afterAll(() => services.close());

const with12 = languages.filter((language) => neutralOf(language.id).length > 0);
/** All of them in a long run, else one of each language, another one each day. */
const wanted = (count: number) => {
  if (process.env.BENT_NAIL_LONG) return Array.from({ length: count }, (_, at) => at);
  return [Math.floor(Date.now() / 86_400_000) % count];
};

test("every language that runs has twelve programs of levels 1 to 5 each, of the same scene", () => {
  expect(with12.map((language) => language.id).sort()).toEqual(
    "basic-forms basic-macro c csharp java octave pascal pseudocode python sketch".split(" "),
  );
  for (const { id } of with12) {
    expect(neutralOf(id).length).toBeGreaterThanOrEqual(12);
    expect(new Set(neutralOf(id).map((each) => each.level))).toEqual(new Set([1, 2, 3, 4, 5]));
  }
});

test.each(with12.flatMap((language) => wanted(neutralOf(language.id).length).map((at) => [language.id, at] as const)))(
  "%s, program %d: it comes to its end, and its checks notice small changes of it",
  async (id, at) => {
    const language = with12.find((each) => each.id === id);
    const program = neutralOf(id)[at];
    if (!language || !program) throw new Error("no program");
    const checks = await checksOfProgram(services, language, language.mainName, program.program, inputsOf(program));
    expect(checks.length).toBe(inputsOf(program).length);
    if (!process.env.BENT_NAIL_LONG) return;
    const strength = await measureStrength(services.toolchains, {
      ...{
        language,
        files: [{ name: language.mainName, bytes: Buffer.from(program.program) }],
        shape: [],
        seconds: 60,
      },
      checks: checks.map(({ input }) => ({ input, surroundings: {}, comparison: {} })),
    });
    expect(
      strength.noticed / Math.max(1, strength.killable),
      JSON.stringify(strength.unnoticed),
    ).toBeGreaterThanOrEqual(0.95);
  },
);
