import type { Command } from "commander";
import { mergeComparison } from "../core/assignments/comparison.ts";
import type { Language } from "../core/languages/language.ts";
import type { ProgramFiles } from "../core/outcome/outcome.ts";
import type { Pattern } from "../core/patterns/pattern.ts";
import { withoutEnd } from "../core/source/lines.ts";
import { fileTexts, type Judged, judgeProgram } from "../server/judge/judge.ts";
import type { FoundFix } from "../server/mend/foundFix.ts";
import { searchFixes } from "../server/mend/search.ts";
import { createToolchains, type Toolchains } from "../server/toolchains/toolchains.ts";
import { readAssignmentAt, workedOut } from "./assignment.ts";
import { type BatchCheck, programFiles, runBatch } from "./batch.ts";
import { checksOfMaterial, optionalText, readChecksAt, searchCheckOf } from "./judge.ts";
import { chooseLanguage, readMaterial, readProgram } from "./material.ts";
import { readOwnPatterns } from "./ownPatterns.ts";
import { secondsOf } from "./seconds.ts";
import { suggestFor } from "./suggest.ts";

type Material = {
  files: ProgramFiles;
  input?: string;
  expected?: string;
  output?: string;
  checks?: BatchCheck[];
  /** A teacher's own kinds of mistake. */
  patterns?: readonly Pattern[];
};

/** Searches are heavy: each has the machine to itself. */
const searchesAtOnce = 1;

/** A fix as it is printed: each is a whole mending of the program given. */
function printed(fix: FoundFix) {
  return {
    hunks: fix.hunks.map(({ file, start, before, after }) => ({
      ...(file === undefined ? {} : { file }),
      ...{ start, before: before.map(withoutEnd), after: after.map(withoutEnd) },
    })),
    steps: fix.steps,
    why: `${fix.why} ${fix.because}`,
    checks: fix.checks,
    repairs: fix.repairs,
    families: fix.families,
  };
}

/** Looks for mendings of a program that pass the run as handed in and every check. */
export async function mendMaterial(toolchains: Toolchains, language: Language, material: Material, seconds: number) {
  const runs = checksOfMaterial(material);
  const checks = runs.map(searchCheckOf);
  const policies = { endlessClass: "logic" } as const;
  const judged: Judged[] = [];
  for (const [at, { expected, pieces, ...check }] of runs.entries())
    judged.push(
      await judgeProgram(toolchains, {
        ...{ ...check, language, files: material.files, policies, intended: pieces ?? undefined },
        ...(expected === undefined ? {} : { expected }),
        ...(at === 0 ? { pastedText: material.output } : {}),
      }),
    );
  const deciding = judged.findIndex(({ judgement }) => judgement.class !== null);
  const found = await searchFixes(toolchains, {
    ...{ language, files: material.files, checks, seconds, pastedText: material.output, judged, policies },
  });
  const shown = judged[deciding];
  const text = fileTexts(material.files)[material.files[0]?.name ?? ""] ?? "";
  const fixes = found.fixes.length > 0 ? found.fixes : found.starts;
  return {
    patterns: shown ? suggestFor(language, text, shown, fixes, runs[deciding]?.expected, material.patterns) : [],
    fixes: found.fixes.map(printed),
    ...(found.starts.length > 0 && found.fixes.length === 0 ? { starts: found.starts.map(printed) } : {}),
    ...(found.notSearched === undefined ? {} : { notSearched: found.notSearched }),
    tried: found.tried,
    seconds: Math.round(found.seconds * 100) / 100,
  };
}

/** Adds `bent-nail mend`. */
export function addMendCommand(program: Command): void {
  program
    .command("mend")
    .description("look for the smallest change after which a program passes its checks")
    .argument("[program]", "the program file")
    .option("--language <id>", "language of the program")
    .option("--input <file>", "what is typed in")
    .option("--expected <file>", "the intended output")
    .option("--checks <file>", "more checks: JSON, or a folder or zip of NAME.in with NAME.out")
    .option("--assignment <file>", "the checks of an assignment")
    .option("--seconds <number>", "the longest time to look for", secondsOf, 10)
    .option("--batch <list>", "one JSON object a line: {id, language, program, input?, expected?, output?, checks?}")
    .option("--patterns <file>", "kinds of mistake of your own, as JSON")
    .option("--json", "print JSON")
    .action(
      async (
        path: string | undefined,
        options: {
          language?: string;
          input?: string;
          expected?: string;
          checks?: string;
          assignment?: string;
          seconds: number;
          patterns?: string;
          batch?: string;
          json?: boolean;
        },
        command: Command,
      ) => {
        const toolchains = createToolchains();
        const say = (words: string) => void process.stderr.write(`bent-nail: ${words}\n`);
        try {
          const patterns = await readOwnPatterns(options.patterns);
          if (options.batch !== undefined) {
            if (options.batch !== "-") await readMaterial(options.batch);
            await runBatch(
              options.batch,
              async (line, language) => {
                if (line.program === undefined) throw new Error("program: missing");
                const { input, expected, output, checks } = line;
                const files = programFiles(line.program, language);
                return mendMaterial(
                  toolchains,
                  language,
                  { files, input, expected, output, checks, patterns },
                  options.seconds,
                );
              },
              searchesAtOnce,
            );
            return;
          }
          if (path === undefined) command.error("error: name a program or give --batch");
          const language = chooseLanguage(options.language, path);
          const assignment =
            options.assignment === undefined ? undefined : await readAssignmentAt(options.assignment, say);
          const ofAssignment =
            assignment &&
            (await workedOut(toolchains, assignment, say))
              .filter((check) => check.expected !== null)
              .map(({ expected, ...check }) => ({
                ...{ ...check, comparison: mergeComparison(assignment.comparison, check.comparison) },
                ...(expected === null ? {} : { expected }),
              }));
          const ofFile = options.checks === undefined ? undefined : await readChecksAt(options.checks, say);
          const checks = ofAssignment || ofFile ? [...(ofFile ?? []), ...(ofAssignment ?? [])] : undefined;
          const files = await readProgram(path);
          const [input, expected] = [await optionalText(options.input), await optionalText(options.expected)];
          const result = await mendMaterial(
            toolchains,
            language,
            { files, input, expected, checks, patterns },
            options.seconds,
          );
          process.stdout.write(options.json ? `${JSON.stringify(result, null, 2)}\n` : table(result));
        } finally {
          await toolchains.close();
        }
      },
    );
}

function table(result: Awaited<ReturnType<typeof mendMaterial>>): string {
  const lines: string[] = [];
  const show = (fix: (typeof result.fixes)[number], title: string) => {
    lines.push(title, `  ${fix.why}`);
    for (const hunk of fix.hunks) {
      lines.push(`  line ${hunk.start}`);
      lines.push(...hunk.before.map((line) => `  - ${line}`), ...hunk.after.map((line) => `  + ${line}`));
    }
  };
  for (const fix of result.fixes)
    show(
      fix,
      `${fix.repairs === "repairs" ? "repairs" : fix.repairs === "hides" ? "hides the fault" : "not decided"}: passes ${fix.checks.passed} of ${fix.checks.of}`,
    );
  for (const fix of result.starts ?? []) show(fix, `starts now: passes ${fix.checks.passed} of ${fix.checks.of}`);
  if (result.fixes.length === 0 && !result.starts)
    lines.push(result.notSearched ?? "No small change was found that passes every check.");
  lines.push(`${result.tried} changes tried in ${result.seconds} s`);
  return `${lines.join("\n")}\n`;
}
