import type { Command } from "commander";
import type { SeenMessage } from "../server/casebook/seen.ts";
import { askRunning, whereDataIs, withData } from "./data.ts";
import { chooseLanguage, MaterialProblem, readStandardInput } from "./material.ts";

function table({ message, says, seen }: SeenMessage): string {
  const lines = [message, ...(says ? [`  ${says}`] : [])];
  if (seen.length === 0) lines.push("Not seen before.");
  for (const each of seen) {
    const where = [each.title, each.student, each.course, each.collected.slice(0, 10)]
      .filter((part) => part)
      .join(", ");
    lines.push(
      `${each.state.padEnd(8)}  ${(each.class ?? "").padEnd(7)}  ${where}${each.pattern ? `  ${each.pattern.name}` : ""}`,
    );
    for (const { start, before, after } of each.fix)
      lines.push(
        ...before.map((line, at) => `    ${start + at} - ${line}`),
        ...after.map((line, at) => `    ${start + at} + ${line}`),
      );
    if (each.explanation) lines.push(`    ${each.explanation}`);
  }
  return `${lines.join("\n")}\n`;
}

/** Adds `bent-nail seen`: what was done about a message before. */
export function addSeenCommand(program: Command): void {
  program
    .command("seen")
    .description("look for earlier cases with the message of an output on standard input, and what was done then")
    .option("--language <id>", "language of the program; else whatever the output fits")
    .option("--json", "as JSON")
    .action(async (options: { language?: string; json?: boolean }) => {
      const language = options.language === undefined ? undefined : chooseLanguage(options.language, undefined).id;
      const output = await readStandardInput();
      const folder = await whereDataIs();
      const form = new FormData();
      form.set("output", output);
      if (language) form.set("language", language);
      const asked = await askRunning(folder, "/api/seen", { method: "POST", body: form });
      const { seenForMessage } = await import("../server/casebook/seen.ts");
      const found: SeenMessage | null = asked
        ? await asked.json()
        : await withData(folder, (database) => seenForMessage(database, output, language));
      if (!found) throw new MaterialProblem("no tool's message is in this output");
      process.stdout.write(options.json ? `${JSON.stringify(found, null, 2)}\n` : table(found));
    });
}
