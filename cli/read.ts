import type { Command } from "commander";
import type { Language } from "../core/languages/language.ts";
import { judge } from "../core/verdict/judge.ts";
import { runBatch } from "./batch.ts";
import { chooseLanguage, MaterialProblem, readMaterial, readStandardInput, readText } from "./material.ts";

/** Reads an error output: the diagnostics in it, the primary one, and what follows for class and line. Runs nothing. */
export function readOutput(language: Language, output: string, program: Readonly<Record<string, string>> | undefined) {
  const mainName = Object.keys(program ?? {})[0] ?? "";
  const diagnostics = language.readMessages(output, program);
  const judgement = judge({ language, mainName, files: program ?? {}, pastedText: output });
  const reading = program ? judgement : judge({ language, mainName, files: { [mainName]: "\n".repeat(100_000) }, pastedText: output });
  const primary = diagnostics.find((diagnostic) => diagnostic.primary) ?? null;
  return {
    diagnostics,
    primary,
    class: reading.class,
    kind: reading.kind,
    reasons: reading.reasons,
    meaning: primary ? language.meaning(primary) : null,
    reportedLine: primary?.line ?? null,
    leads: program ? leadsOf(judgement.leads) : [],
  };
}

/** Leads as the command line prints them. */
export function leadsOf(leads: readonly { line: number; why: string }[]): { line: number; why: string }[] {
  return leads.map(({ line, why }) => ({ line, why }));
}

/** Adds `bent-nail read`. */
export function addReadCommand(program: Command): void {
  program
    .command("read")
    .description("read an error output from standard input and say what it tells")
    .option("--language <id>", "language of the program")
    .option("--program <file>", "the program it belongs to")
    .option("--batch <list>", "one JSON object a line: {id, language, output, program?}")
    .option("--json", "print JSON")
    .action(async (options: { language?: string; program?: string; batch?: string; json?: boolean }) => {
      if (options.batch !== undefined) {
        if (options.batch !== "-") await readMaterial(options.batch);
        await runBatch(options.batch, async (line, language) =>
          readOutput(language, line.output ?? "", typeof line.program === "string" ? { [language.mainName]: line.program } : line.program),
        );
        return;
      }
      const language = chooseLanguage(options.language, options.program);
      const text = options.program === undefined ? undefined : await readText(options.program);
      const result = readOutput(
        language,
        await readStandardInput(),
        text === undefined || options.program === undefined ? undefined : { [options.program.split("/").pop() ?? options.program]: text },
      );
      if (options.json) {
        process.stdout.write(`${JSON.stringify(result, null, 2)}\n`);
        return;
      }
      if (!result.primary) throw new MaterialProblem("no message was recognised in this text");
      process.stdout.write(
        `class   ${result.class ?? "not decided"}\nmessage ${result.primary.errorName ?? ""}: ${result.primary.message}\nline    ${result.reportedLine ?? "none given"}\n`,
      );
      if (result.meaning) process.stdout.write(`meaning ${result.meaning}\n`);
      for (const reason of result.reasons) process.stdout.write(`        ${reason}\n`);
    });
}
