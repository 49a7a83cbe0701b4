import { basename } from "node:path";
import { type Command, InvalidArgumentError } from "commander";
import type { PlantedFault } from "../core/exercises/planting/planted.ts";
import { findPattern } from "../core/patterns/patterns.ts";
import type { FaultClass } from "../core/verdict/verdict.ts";
import { plantFaults } from "../server/exercises/plantFaults.ts";
import { createToolchains } from "../server/toolchains/toolchains.ts";
import { exerciseChecksAt } from "./exerciseChecks.ts";
import { chooseLanguage, MaterialProblem, readText } from "./material.ts";
import { secondsOf } from "./seconds.ts";

/** A number of faults as an option is given. */
function countOf(text: string): number {
  const count = Number(text);
  if (!Number.isInteger(count) || count < 1 || count > 50)
    throw new InvalidArgumentError("a whole number from 1 to 50");
  return count;
}

function levelOf(text: string): number {
  const level = Number(text);
  if (!Number.isInteger(level) || level < 1 || level > 5) throw new InvalidArgumentError("a level from 1 to 5");
  return level;
}

const classNames: readonly FaultClass[] = ["syntax", "runtime", "logic"];

function classesOf(text: string): FaultClass[] {
  return text.split(",").map((each) => {
    const found = classNames.find((name) => name === each.trim());
    if (!found) throw new InvalidArgumentError("classes are syntax, runtime, logic, with commas between them");
    return found;
  });
}

type Options = {
  language?: string;
  checks?: string;
  count: number;
  classes?: FaultClass[];
  pattern?: string;
  level?: number;
  seconds: number;
  json?: boolean;
};

/** Adds `bent-nail plant`. */
export function addPlantCommand(program: Command): void {
  program
    .command("plant <program>")
    .description("plant faults in a right program, each proven by runs, in rising level")
    .option("--language <id>", "the language, if the file name does not tell")
    .option("--checks <file>", "checks as JSON, or an assignment; without it what the program prints is intended")
    .option("--count <number>", "how many", countOf, 10)
    .option("--classes <list>", "only these classes: syntax,runtime,logic", classesOf)
    .option("--pattern <id>", "only this kind of mistake")
    .option("--level <number>", "only this level, from 1 to 5", levelOf)
    .option("--seconds <number>", "the longest time to take", secondsOf, 30)
    .option("--json", "print JSON")
    .action(async (path: string, options: Options) => {
      const language = chooseLanguage(options.language, basename(path));
      if (options.pattern !== undefined && !findPattern(options.pattern))
        throw new MaterialProblem(`there is no pattern ${options.pattern}; bent-nail patterns lists them`);
      const toolchains = createToolchains();
      try {
        const text = await readText(path);
        const { classes, pattern, level, count, seconds } = options;
        const planting = await plantFaults(toolchains, {
          ...{ language, fileName: basename(path), program: text, count, seconds },
          checks: await exerciseChecksAt(toolchains, language, basename(path), text, options.checks),
          ...(classes ? { classes } : {}),
          ...(pattern === undefined ? {} : { pattern }),
          ...(level === undefined ? {} : { level }),
        });
        for (const words of planting.said) process.stderr.write(`bent-nail: ${words}\n`);
        const result = planting.planted.map(printed);
        process.stdout.write(options.json ? `${JSON.stringify(result, null, 2)}\n` : result.map(line).join(""));
        if (planting.planted.length === 0) process.exitCode = 1;
      } finally {
        await toolchains.close();
      }
    });
}

function printed({ effect: _, points: __, ...fault }: PlantedFault) {
  return fault;
}

function line({ level, class: faultClass, lines, message, family, why }: ReturnType<typeof printed>): string {
  const place = lines.map((each) => `line ${each}`).join(", ");
  return `level ${level}  ${faultClass.padEnd(7)} ${place.padEnd(8)} ${family}${message ? `  ${message}` : ""}\n          ${why.join("; ")}\n`;
}
