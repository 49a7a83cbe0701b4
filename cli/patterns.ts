import type { Command } from "commander";
import { patterns } from "../core/patterns/patterns.ts";

/** Adds `bent-nail patterns`: the catalogue of kinds of mistake. */
export function addPatternsCommand(program: Command): void {
  program
    .command("patterns")
    .description("list the kinds of mistake that are known, each with what it is and how it is mended")
    .option("--json", "as JSON")
    .action((options: { json?: boolean }) => {
      const listed = patterns.map(({ id, name, says, mends, fault }) => ({ id, name, says, mends, fault }));
      if (options.json) process.stdout.write(`${JSON.stringify({ patterns: listed }, null, 1)}\n`);
      else for (const { id, name, says } of listed) process.stdout.write(`${id}\n    ${name}. ${says}\n`);
    });
}
