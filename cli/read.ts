import type { Command } from "commander";
import type { Language } from "../core/languages/language.ts";
import type { Lead } from "../core/leads/lead.ts";
import { readOutput } from "../core/reading/reading.ts";
import { judge } from "../core/verdict/judge.ts";
import { runBatch } from "./batch.ts";
import { chooseLanguage, MaterialProblem, readMaterial, readStandardInput, readText } from "./material.ts";

/**
 * Reads an error output: the messages in it taken apart, the primary one, and what follows for class and line. Runs
 * nothing.
 */
export function readGiven(language: Language, output: string, program: Readonly<Record<string, string>> | undefined) {
  const mainName = Object.keys(program ?? {})[0] ?? "";
  const reading = readOutput(language, output, program);
  const judgement = judge({ language, mainName, files: program ?? {}, pastedText: output });
  const diagnostics = reading.messages.map((message) => message.diagnostic);
  return {
    recognised: reading.recognised,
    diagnostics,
    primary: reading.primary?.diagnostic ?? null,
    class: judgement.class,
    kind: judgement.kind,
    reasons: judgement.reasons,
    meaning: reading.primary?.meaning?.says ?? null,
    reportedLine: reading.primary?.diagnostic.line ?? null,
    leads: program ? leadsOf(judgement.leads) : [],
    counts: reading.counts,
    state: reading.state,
    normalOutput: reading.normalOutput,
    messages: reading.messages.map(({ diagnostic, meaning, standing, tokens, chain, folded }) => ({
      line: diagnostic.line ?? null,
      group: standing.group,
      why: standing.why,
      kind: meaning?.kind ?? null,
      words: meaning?.words ?? [],
      meaning: meaning && {
        says: meaning.says,
        usually: meaning.usually,
        unsaid: meaning.unsaid,
        misleads: meaning.misleads,
      },
      token: tokens?.at ?? null,
      tokenBefore: tokens?.before ?? null,
      chain,
      folded,
    })),
  };
}

/** A reading as a table for people. */
function table(result: ReturnType<typeof readGiven>): string {
  const lines = [
    `class    ${result.class ?? "not decided"}`,
    `line     ${result.reportedLine ?? "none given"}`,
    `found    ${result.counts.errors} errors, ${result.counts.warnings} warnings, ${result.counts.notes} notes`,
  ];
  for (const [index, message] of result.messages.entries()) {
    const diagnostic = result.diagnostics[index];
    if (!diagnostic) continue;
    lines.push(
      `${message.group.padEnd(8)} ${diagnostic.line ? `line ${diagnostic.line}${diagnostic.column ? `:${diagnostic.column}` : ""}  ` : ""}${diagnostic.errorName ? `${diagnostic.errorName}: ` : ""}${diagnostic.message.split("\n")[0]}`,
    );
    if (message.group === "primary") {
      for (const words of [
        message.meaning?.says,
        message.meaning?.usually,
        message.meaning?.unsaid,
        message.meaning?.misleads,
      ])
        if (words) lines.push(`         ${words}`);
    } else if (message.why) lines.push(`         ${message.why}`);
  }
  for (const reason of result.reasons) lines.push(`reason   ${reason}`);
  if (result.normalOutput) lines.push(`printed  ${result.normalOutput.proves}`);
  for (const lead of result.leads) lines.push(`look at  line ${lead.line}  ${lead.why}`);
  return `${lines.join("\n")}\n`;
}

/** Leads as the command line prints them. */
export function leadsOf(leads: readonly Lead[]): Array<Pick<Lead, "file" | "line" | "why">> {
  return leads.map(({ file, line, why }) => ({ ...(file ? { file } : {}), line, why }));
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
          readGiven(
            language,
            line.output ?? "",
            typeof line.program === "string" ? { [language.mainName]: line.program } : line.program,
          ),
        );
        return;
      }
      const language = chooseLanguage(options.language, options.program);
      const text = options.program === undefined ? undefined : await readText(options.program);
      const result = readGiven(
        language,
        await readStandardInput(),
        text === undefined || options.program === undefined
          ? undefined
          : { [options.program.split("/").pop() ?? options.program]: text },
      );
      if (options.json) {
        process.stdout.write(`${JSON.stringify(result, null, 2)}\n`);
        return;
      }
      if (!result.primary) throw new MaterialProblem("no message was recognised in this text");
      process.stdout.write(table(result));
    });
}
