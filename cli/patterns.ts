import type { Command } from "commander";
import { exampleRecords } from "../core/patterns/exampleRecords.ts";
import { patterns } from "../core/patterns/patterns.ts";
import { chooseLanguage } from "./material.ts";

/** Adds `bent-nail patterns`: the catalogue of kinds of mistake. */
export function addPatternsCommand(program: Command): void {
  program
    .command("patterns")
    .description("list the kinds of mistake that are known, each with what it is and how it is mended")
    .option("--language <language>", "only those that have an example in this language")
    .option("--json", "as JSON, with the examples")
    .action((options: { json?: boolean; language?: string }) => {
      const language = options.language === undefined ? null : chooseLanguage(options.language, "").id;
      const listed = patterns
        .map(({ id, name, says, mends, cause, avoid, fault, examples }) => ({
          ...{ id, name, says, mends, cause, avoid, fault },
          examples: examples
            .map((each, at) => ({ ...each, recorded: exampleRecords[id]?.[at] ?? null }))
            .filter((each) => language === null || each.language === language),
        }))
        .filter(({ examples }) => language === null || examples.length > 0);
      if (options.json) process.stdout.write(`${JSON.stringify({ patterns: listed }, null, 1)}\n`);
      else for (const { id, name, says } of listed) process.stdout.write(`${id}\n    ${name}. ${says}\n`);
    });
}
