import { stat } from "node:fs/promises";
import type { Command } from "commander";
import * as z from "zod";
import { mergeComparison } from "../core/assignments/comparison.ts";
import type { Language, OwnWarning } from "../core/languages/language.ts";
import { languageOfName } from "../core/languages/recognise.ts";
import { withFixes } from "../core/leads/fixFound.ts";
import type { ProgramFiles } from "../core/outcome/outcome.ts";
import type { Pattern } from "../core/patterns/pattern.ts";
import { textStateOf } from "../core/reading/reading.ts";
import type { FaultClass } from "../core/verdict/verdict.ts";
import { ownWarnings } from "../core/warnings/ownWarning.ts";
import { fileTexts, type Judged, judgeProgram } from "../server/judge/judge.ts";
import type { FoundFix } from "../server/mend/foundFix.ts";
import { searchFixes } from "../server/mend/search.ts";
import type { SearchCheck } from "../server/mend/searchRuns.ts";
import { createToolchains, type Toolchains } from "../server/toolchains/toolchains.ts";
import { judgeByAssignment, overviewTable, readAssignmentAt } from "./assignment.ts";
import { type BatchCheck, type BatchLine, checksSchema, programFiles, runBatch } from "./batch.ts";
import { chooseLanguage, MaterialProblem, readMaterial, readProgram, readText } from "./material.ts";
import { readOwnPatterns } from "./ownPatterns.ts";
import { leadsOf } from "./read.ts";
import { secondsOf } from "./seconds.ts";
import { suggestFor } from "./suggest.ts";

/** Programs of a batch that are worked on at once where changes are searched for. */
const besideSearch = 1;

type Material = {
  /** The longest time to look for a small change after which all passes, in seconds; 0: none is looked for. */
  search?: number;
  endlessClass?: "logic" | "runtime";
  closely?: boolean;
  files: ProgramFiles;
  input?: string;
  expected?: string;
  output?: string;
  checks?: BatchCheck[];
  /** A teacher's own kinds of mistake. */
  patterns?: readonly Pattern[];
};

function resultOf({ judgement, outcome, notRun }: Judged, noticed: readonly OwnWarning[]) {
  const warned = outcome?.diagnostics ?? [];
  return {
    gates: judgement.gates.map(({ gate, passes, evidence }) => ({ gate, passes, evidence })),
    class: judgement.class,
    kind: judgement.kind,
    symptom: judgement.symptom,
    reasons: notRun ? [...judgement.reasons, `Nothing was run: ${notRun}.`] : judgement.reasons,
    reportedLine: judgement.reportedLine,
    ...(judgement.reportedFile ? { reportedFile: judgement.reportedFile } : {}),
    state: outcome ? textStateOf(outcome) : "unknown",
    warnings: warned
      .filter((each) => each.severity === "warning")
      .map(({ line, message }) => ({ line: line ?? null, message })),
    /** What we notice where the translator is silent. */
    noticed: noticed.map(({ line, kind, says }) => ({ line, kind, message: says })),
    leads: leadsOf(judgement.leads),
    console: outcome?.console ?? [],
  };
}

/** Searches are heavy: each has the machine to itself. */
let lastSearch: Promise<unknown> = Promise.resolve();
function oneAtATime<Result>(work: () => Promise<Result>): Promise<Result> {
  const mine = lastSearch.then(work, work);
  lastSearch = mine.catch(() => undefined);
  return mine;
}

/** True where the run as handed in is one to judge: there is an input or an intended output, or no check beside it. */
function isHandedIn({ input, expected, checks }: Pick<Material, "input" | "expected" | "checks">): boolean {
  return input !== undefined || expected !== undefined || !checks?.length;
}

/** The run as handed in, where it is one to judge, and the checks behind it. */
export function checksOfMaterial(material: Pick<Material, "input" | "expected" | "checks">): BatchCheck[] {
  const { input = "", expected, checks = [] } = material;
  return [...(isHandedIn(material) ? [{ input, expected, surroundings: {}, comparison: {} }] : []), ...checks];
}

/** A check as a search takes it. */
export function searchCheckOf({ pieces, ...check }: BatchCheck): SearchCheck {
  return { ...check, ...(pieces ? { intended: pieces } : {}) };
}

/**
 * Judges a program with its input as handed in and then with each check. The class is that of the run as handed in if
 * there is an input or an intended output, else of the first failing check; classes that other checks show are listed
 * beside it.
 */
export async function judgeMaterial(toolchains: Toolchains, language: Language, material: Material) {
  const runs = checksOfMaterial(material);
  const judged: Judged[] = [];
  for (const check of runs) {
    judged.push(
      await judgeProgram(toolchains, {
        language,
        files: material.files,
        surroundings: check.surroundings,
        comparison: check.comparison,
        intended: check.pieces ?? undefined,
        policies: { endlessClass: material.endlessClass ?? "logic" },
        input: check.input,
        expected: check.expected,
        closely: material.closely,
        pastedText: judged.length === 0 ? material.output : undefined,
      }),
    );
  }
  const deciding =
    (isHandedIn(material) && judged[0]?.judgement.class !== null
      ? judged[0]
      : judged.find((each) => each.judgement.class !== null)) ?? judged[0];
  if (!deciding) throw new MaterialProblem("nothing to judge");
  let found: readonly FoundFix[] = [];
  if (deciding.judgement.class !== null && material.search && deciding.outcome) {
    const { search, output } = material;
    const given = {
      language,
      files: material.files,
      policies: { endlessClass: material.endlessClass ?? "logic" },
    } as const;
    const { fixes, starts } = await oneAtATime(() =>
      searchFixes(toolchains, {
        ...given,
        seconds: search,
        pastedText: output,
        checks: runs.map(searchCheckOf),
        judged,
      }),
    );
    deciding.judgement.leads = withFixes(deciding.judgement.leads, fixes);
    found = fixes.length > 0 ? fixes : starts;
  }
  const others = [...new Set(judged.filter((each) => each !== deciding).map((each) => each.judgement.class))].filter(
    (each): each is FaultClass => each !== null && each !== deciding.judgement.class,
  );
  const text = fileTexts(material.files)[material.files[0]?.name ?? ""] ?? "";
  return {
    ...resultOf(deciding, ownWarnings(language, text)),
    patterns: suggestFor(language, text, deciding, found, runs[judged.indexOf(deciding)]?.expected, material.patterns),
    ...(material.checks ? { otherClasses: others } : {}),
  };
}

export async function optionalText(path: string | undefined): Promise<string | undefined> {
  return path === undefined ? undefined : await readText(path);
}

/** Adds `bent-nail judge`. */
export function addJudgeCommand(program: Command): void {
  program
    .command("judge")
    .description("run a program and find out by evidence what kind of fault it has")
    .argument("[programs...]", "the program file; with --assignment one or more")
    .option("--language <id>", "language of the program")
    .option("--input <file>", "what is typed in")
    .option("--expected <file>", "the intended output")
    .option("--output <file>", "the error output that was handed in")
    .option("--checks <file>", "more checks: JSON, or a folder or zip of NAME.in with NAME.out")
    .option(
      "--assignment <file>",
      "judge programs by an assignment: its JSON, or a folder or zip of NAME.in with NAME.out",
    )
    .option("--batch <list>", "one JSON object a line: {id, language, program, input?, expected?, output?, checks?}")
    .option(
      "--search <seconds>",
      "the longest time to look for a small change after which all passes, for the line of the fault; 0: do not look",
      secondsOf,
      2,
    )
    .option("--patterns <file>", "kinds of mistake of your own, as JSON")
    .option("--json", "print JSON")
    .action(
      async (
        paths: string[],
        options: {
          language?: string;
          input?: string;
          expected?: string;
          output?: string;
          checks?: string;
          assignment?: string;
          batch?: string;
          search: number;
          patterns?: string;
          json?: boolean;
        },
        command: Command,
      ) => {
        const toolchains = createToolchains();
        try {
          const patterns = await readOwnPatterns(options.patterns);
          if (options.batch !== undefined) {
            if (options.batch !== "-") await readMaterial(options.batch);
            const judgeLine = async (line: BatchLine, language: Language) => {
              if (line.program === undefined) throw new Error("program: missing");
              return judgeMaterial(toolchains, language, {
                files: programFiles(line.program, language),
                input: line.input,
                expected: line.expected,
                output: line.output,
                checks: line.checks,
                patterns,
                search: options.search,
                closely: options.search > 0,
              });
            };
            // A search is to have its seconds and the whole machine: nothing is judged beside it.
            await runBatch(options.batch, judgeLine, options.search > 0 ? besideSearch : undefined);
            return;
          }
          const say = (words: string) => void process.stderr.write(`bent-nail: ${words}\n`);
          if (options.assignment !== undefined) {
            if (paths.length === 0) command.error("error: name the programs that the assignment judges");
            const language = options.language === undefined ? undefined : chooseLanguage(options.language, undefined);
            // Its translator comes up while the assignment is read; whatever is wrong with it is said where it is needed.
            const likely = language ?? languageOfName(paths[0] ?? "");
            const translator = likely && toolchains.find(likely.id);
            void translator?.prepare?.().catch(() => undefined);
            const assignment = await readAssignmentAt(options.assignment, say);
            const overview = await judgeByAssignment(toolchains, assignment, paths, {
              ...(language ? { language } : {}),
              say,
            });
            process.stdout.write(options.json ? `${JSON.stringify(overview, null, 2)}\n` : overviewTable(overview));
            if (overview.rows.some((row) => "error" in row)) process.exitCode = 1;
            return;
          }
          const [path, ...more] = paths;
          if (path === undefined) command.error("error: name a program or give --batch");
          if (more.length > 0) command.error("error: several programs are judged with --assignment only");
          const language = chooseLanguage(options.language, path);
          const checks = options.checks === undefined ? undefined : await readChecksAt(options.checks, say);
          const result = await judgeMaterial(toolchains, language, {
            files: await readProgram(path),
            input: await optionalText(options.input),
            expected: await optionalText(options.expected),
            output: await optionalText(options.output),
            checks,
            patterns,
            search: options.search,
            closely: true,
          });
          process.stdout.write(options.json ? `${JSON.stringify(result, null, 2)}\n` : table(result));
        } finally {
          await toolchains.close();
        }
      },
    );
}

/** Checks at a path: an array of them or an assignment as JSON, or files NAME.in with NAME.out. */
export async function readChecksAt(path: string, say: (words: string) => void): Promise<BatchCheck[]> {
  const isFolder = (await stat(path).catch(() => null))?.isDirectory() ?? false;
  if (!isFolder && !/\.zip$/i.test(path)) return readChecks(await readText(path));
  const { checks, comparison } = await readAssignmentAt(path, say);
  return checks.map(({ expected, ...check }) => ({
    ...{ ...check, comparison: mergeComparison(comparison, check.comparison) },
    ...(expected === null ? {} : { expected }),
  }));
}

function readChecks(text: string): BatchCheck[] {
  try {
    return checksSchema.parse(JSON.parse(text));
  } catch (problem) {
    throw new MaterialProblem(
      `the checks cannot be read: ${problem instanceof z.ZodError ? z.prettifyError(problem) : problem instanceof Error ? problem.message : ""}`,
    );
  }
}

function table(result: Awaited<ReturnType<typeof judgeMaterial>>): string {
  const questions = ["starts?", "finishes?", "as intended?"];
  const lines = [
    `class          ${result.class ?? "none shown"}${result.kind ? ` (${result.kind})` : ""}`,
    `reported line  ${result.reportedLine ?? "none"}${result.reportedFile ? ` of ${result.reportedFile}` : ""}`,
    `state          ${result.state}`,
  ];
  for (const gate of result.gates)
    lines.push(
      `${(questions[gate.gate - 1] ?? "").padEnd(15)}${gate.passes === null ? "open" : gate.passes ? "yes" : "no"}`,
    );
  lines.push("reasons", ...result.reasons.map((reason) => `  ${reason}`));
  if (result.leads.length > 0)
    lines.push(
      "look at",
      ...result.leads.map(
        (lead) => `  line ${String(lead.line).padStart(4)}  ${lead.file ? `${lead.file}: ` : ""}${lead.why}`,
      ),
    );
  return `${lines.join("\n")}\n`;
}
