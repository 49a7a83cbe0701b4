import { comparisonSchema } from "../core/assignments/comparison.ts";
import { editContext } from "../core/edits/context.ts";
import { findLanguage } from "../core/languages/languages.ts";
import { measureStrength } from "../server/classwork/strength.ts";
import { createToolchains } from "../server/toolchains/toolchains.ts";
import { rightPrograms } from "./collection/programs.ts";
import type { Measure } from "./measure.ts";

const seconds = 60;

/**
 * Right programs as models of assignments that have one check each: how many changes that can be told apart their checks
 * notice before and after one press adds the missing ones. BENT_NAIL_BENCH_LANGUAGE chooses a language, BENT_NAIL_BENCH_TELL
 * prints each program's own.
 */
export async function benchStrength(): Promise<Measure[]> {
  const toolchains = createToolchains();
  const wanted = process.env.BENT_NAIL_BENCH_LANGUAGE;
  const percents: Array<{ before: number; after: number }> = [];
  try {
    for (const program of rightPrograms) {
      const language = findLanguage(program.language);
      if (!language || (wanted && program.language !== wanted) || !editContext(language, program.text)) continue;
      const files = [{ name: language.mainName, bytes: Buffer.from(program.text) }];
      const checkOf = (input: string) => ({ input, surroundings: {}, comparison: comparisonSchema.parse({}) });
      const measured = (inputs: readonly string[]) =>
        measureStrength(toolchains, { language, files, checks: inputs.map(checkOf), shape: [], seconds });
      const inputs = program.inputs.slice(0, 1);
      const before = await measured(inputs);
      const after = await measured([...inputs, ...before.missing]);
      const percent = ({ noticed, killable }: typeof before) => (killable === 0 ? 100 : (100 * noticed) / killable);
      percents.push({ before: percent(before), after: percent(after) });
      if (process.env.BENT_NAIL_BENCH_TELL)
        console.log(
          `${program.language} ${program.name}: ${before.noticed} of ${before.killable}, then ${after.noticed} of ${after.killable} by ${before.missing.length} more checks; ${before.alike.length} alike, ${(before.seconds + after.seconds).toFixed(0)} s ${before.notMeasured ?? after.notMeasured ?? ""}`,
        );
    }
  } finally {
    await toolchains.close();
  }
  const least = (values: readonly number[]) => Math.min(100, ...values);
  const mean = (values: readonly number[]) => values.reduce((sum, each) => sum + each, 0) / Math.max(1, values.length);
  const row = (work: string, value: number, atMost: number): Measure => ({
    ...{ work: `strength of ${percents.length} assignments, ${work}`, against: "changes that can be told apart" },
    ...{ value, unit: "%", atMost },
  });
  return [
    row("one check, mean", mean(percents.map((each) => each.before)), 0),
    row("after one press, mean", mean(percents.map((each) => each.after)), 95),
    row("after one press, least", least(percents.map((each) => each.after)), 95),
  ];
}
