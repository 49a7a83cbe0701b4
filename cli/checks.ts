import type { Command } from "commander";
import { mergeComparison } from "../core/assignments/comparison.ts";
import { findLanguage } from "../core/languages/languages.ts";
import { measureStrength, type Strength } from "../server/classwork/strength.ts";
import { createToolchains } from "../server/toolchains/toolchains.ts";
import { readAssignmentAt } from "./assignment.ts";
import { MaterialProblem } from "./material.ts";
import { secondsOf } from "./seconds.ts";

/** The strength of an assignment's checks as it is printed: how many of a hundred changes are noticed. */
function percentOf({ noticed, killable }: Strength): number | null {
  return killable === 0 ? null : Math.round((1000 * noticed) / killable) / 10;
}

/** Adds `bent-nail checks`. */
export function addChecksCommand(program: Command): void {
  program
    .command("checks")
    .description("how strong the checks of an assignment are: which small changes of its model no check notices")
    .requiredOption("--assignment <file>", "the assignment: its JSON, or a folder or zip that holds it")
    .option("--seconds <number>", "the longest time to look for", secondsOf, 60)
    .option("--json", "print JSON")
    .action(async (options: { assignment: string; seconds: number; json?: boolean }) => {
      const toolchains = createToolchains();
      const say = (words: string) => void process.stderr.write(`bent-nail: ${words}\n`);
      try {
        const assignment = await readAssignmentAt(options.assignment, say);
        const model = assignment.models.find((each) => findLanguage(each.language));
        const language = model && findLanguage(model.language);
        if (!model || !language)
          throw new MaterialProblem("this assignment has no model, so nothing says what is right for another input");
        const strength = await measureStrength(toolchains, {
          ...{ language, files: model.files, shape: assignment.inputs, seconds: options.seconds },
          checks: assignment.checks
            .filter((check) => check.confirmed)
            .map(({ input, surroundings, comparison }) => ({
              input,
              surroundings,
              comparison: mergeComparison(assignment.comparison, comparison),
            })),
        });
        const result = { strength: percentOf(strength), ...strength };
        process.stdout.write(options.json ? `${JSON.stringify(result, null, 2)}\n` : table(result));
      } finally {
        await toolchains.close();
      }
    });
}

function table({
  strength,
  noticed,
  killable,
  alike,
  unnoticed,
  missing,
  tried,
  inputs,
  seconds,
  notMeasured,
}: Strength & { strength: number | null }): string {
  if (notMeasured) return `${notMeasured}\n`;
  const lines = [
    `${strength ?? "no"} % of the small changes that can be told apart are noticed: ${noticed} of ${killable}`,
  ];
  for (const each of unnoticed)
    lines.push(`  not noticed: ${each.says}`, `    this input would: ${JSON.stringify(each.input)}`);
  if (missing.length > 0) lines.push(`${missing.length} inputs more would notice all of them`);
  if (alike.length > 0) lines.push(`${alike.length} changes that none of ${inputs} inputs tells apart from the model`);
  lines.push(`${tried} changes tried in ${seconds.toFixed(1)} s`);
  return `${lines.join("\n")}\n`;
}
