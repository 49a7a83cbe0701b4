import { readdir, readFile, stat } from "node:fs/promises";
import { basename, join } from "node:path";
import { contradictions } from "../core/assignments/combineChecks.ts";
import { combineJudged } from "../core/assignments/combineJudged.ts";
import { compareOutput } from "../core/assignments/compareOutput.ts";
import { mergeComparison } from "../core/assignments/comparison.ts";
import { textOfResults } from "../core/assignments/intended.ts";
import { alikeOf, type Cell, cellOf, groupAlike } from "../core/assignments/overview.ts";
import { isPlain } from "../core/cases/surroundings.ts";
import type { Entry } from "../core/collecting/entries.ts";
import type { AssignmentContent, FileCheck } from "../core/formats/assignmentFile.ts";
import type { Language } from "../core/languages/language.ts";
import { findLanguage } from "../core/languages/languages.ts";
import { languageOfName } from "../core/languages/recognise.ts";
import type { Outcome } from "../core/outcome/outcome.ts";
import { decodeText } from "../core/source/decode.ts";
import { answerOf } from "../server/classwork/models.ts";
import { type Judged, judgeProgram } from "../server/judge/judge.ts";
import { holdsForAll, runWithInputs } from "../server/judge/run.ts";
import type { Toolchains } from "../server/toolchains/toolchains.ts";
import { MaterialProblem, readMaterial } from "./material.ts";

/** The files below a folder, by their paths in it; those deeper than a few folders are not looked for. */
async function entriesBelow(folder: string, prefix = "", depth = 0): Promise<Entry[]> {
  const found: Entry[] = [];
  for (const each of await readdir(folder, { withFileTypes: true })) {
    const path = join(folder, each.name);
    if (each.isDirectory() && depth < 4) found.push(...(await entriesBelow(path, `${prefix}${each.name}/`, depth + 1)));
    else if (each.isFile()) found.push({ path: `${prefix}${each.name}`, bytes: await readFile(path) });
  }
  return found;
}

/**
 * Reads an assignment: an assignment.json, or a folder or zip that holds one or NAME.in with NAME.out. `say` is told what
 * was left out.
 */
export async function readAssignmentAt(path: string, say: (words: string) => void): Promise<AssignmentContent> {
  const isFolder = (await stat(path).catch(() => null))?.isDirectory() ?? false;
  const entries = isFolder ? await entriesBelow(path) : [{ path: basename(path), bytes: await readMaterial(path) }];
  // Only here: what opens archives is large.
  const { readUpload } = await import("../server/collect/readUpload.ts");
  const read = await readUpload(entries);
  if (!read.ok) throw new MaterialProblem(`${path}: ${read.message}`);
  if (read.leftOut.length > 0) say(`${path}: not known here and left out: ${read.leftOut.join(", ")}`);
  return read.assignment;
}

/** A check with its intended output said or worked out; null: nobody knows it. */
type ReadyCheck = Omit<FileCheck, "confirmed">;

/** The confirmed checks of an assignment: a model works out what nobody said. One that fails a check is told of and not used. */
export async function workedOut(
  toolchains: Toolchains,
  assignment: AssignmentContent,
  say: (words: string) => void,
): Promise<ReadyCheck[]> {
  const checks = assignment.checks.filter((check) => check.confirmed);
  if (checks.every((check) => check.expected !== null)) return checks;
  for (const [index, model] of assignment.models.entries()) {
    const name = model.files[0]?.name ?? `model ${index + 1}`;
    const language = findLanguage(model.language);
    if (!language) {
      say(`${name}: the language ${model.language} is not known, so this model is not used`);
      continue;
    }
    const plain = checks.filter(isPlain).map((check) => check.input);
    const known = await runWithInputs(toolchains, { language, files: model.files }, plain);
    const answers = await Promise.all(
      checks.map((check) => {
        const { input, surroundings } = check;
        return answerOf(toolchains, model, { input, surroundings }, isPlain(check) ? known.get(input) : undefined);
      }),
    );
    const fails = checks.filter((check, place) => {
      const answer = answers[place];
      if (check.expected === null || !answer || "notRun" in answer) return false;
      const rules = mergeComparison(assignment.comparison, check.comparison);
      return !compareOutput(answer.outcome.console, check.pieces ?? check.expected, rules).same;
    });
    if (fails.length > 0) {
      say(`${name} fails ${fails.map((check) => check.name || "a check").join(", ")}, so it is not used as a model`);
      continue;
    }
    const notRun = answers.find((answer) => "notRun" in answer);
    if (notRun && "notRun" in notRun) {
      say(`${name} was not run: ${notRun.notRun}`);
      continue;
    }
    return checks.map((check, place) => {
      const answer = answers[place];
      if (check.expected !== null || !answer || "notRun" in answer || !answer.pieces) return check;
      return { ...check, pieces: answer.pieces, expected: textOfResults(answer.pieces) };
    });
  }
  return checks;
}

/** As many programs are worked on at once; more than the cores, so that no worker waits. */
const atOnce = 12;

/**
 * Judges programs by the checks of an assignment. Rows stand in the order of the programs; a program that cannot be read
 * has a row with its problem.
 */
export async function judgeByAssignment(
  toolchains: Toolchains,
  assignment: AssignmentContent,
  paths: readonly string[],
  given: { language?: Language; say: (words: string) => void },
) {
  const checks = await workedOut(toolchains, assignment, given.say);
  for (const [one, other] of contradictions(checks))
    if (one < other)
      given.say(
        `checks ${one + 1} and ${other + 1} contradict one another: the same is typed in, another output is meant`,
      );
  if (checks.length === 0) throw new MaterialProblem("this assignment has no checks");
  const names = checks.map((check, index) => check.name || `check ${index + 1}`);
  const judgeOne = async (path: string) => {
    const bytes = await readMaterial(path);
    if (decodeText(bytes).binary) throw new MaterialProblem(`${path} is no program text`);
    const language = given.language ?? languageOfName(path) ?? findLanguage(assignment.languages[0] ?? "");
    if (!language) throw new MaterialProblem(`the language of ${path} is not clear; name it with --language`);
    const results: Judged[] = [];
    let refused: Outcome | null = null;
    const plain = checks.filter(isPlain);
    const files = [{ name: basename(path), bytes }];
    const together = await runWithInputs(
      toolchains,
      { language, files },
      plain.map((check) => check.input),
    );
    for (const check of checks) {
      const known = plain.includes(check) ? (refused ?? together.get(check.input) ?? null) : null;
      const judged = await judgeProgram(
        toolchains,
        {
          ...{ language, files, policies: { endlessClass: "logic" } },
          ...{ input: check.input, surroundings: check.surroundings, expected: check.expected ?? undefined },
          ...{ intended: check.pieces ?? undefined, glance: true },
          comparison: mergeComparison(assignment.comparison, check.comparison),
        },
        { run: { found: known, keep: async () => {} } },
      );
      results.push(judged);
      if (isPlain(check)) refused ??= holdsForAll(judged.outcome);
    }
    const cells = results.map(
      (judged, index): Cell => cellOf({ key: names[index] ?? "", edition: 1 }, judged.judgement, judged.outcome),
    );
    const { class: faultClass, kind } = combineJudged(results.map((judged) => judged.judgement));
    return { program: path, class: faultClass, kind, cells };
  };
  const rows: Array<Awaited<ReturnType<typeof judgeOne>> | { program: string; error: string }> = [];
  let next = 0;
  const worker = async () => {
    for (let index = next++; index < paths.length; index = next++) {
      const path = paths[index] ?? "";
      rows[index] = await judgeOne(path).catch((problem: unknown) => {
        if (problem instanceof MaterialProblem) return { program: path, error: problem.message };
        throw problem;
      });
    }
  };
  await Promise.all(Array.from({ length: atOnce }, worker));
  const judged = rows.flatMap((row) => ("error" in row ? [] : [row]));
  const groups = groupAlike(
    judged.map((row) => ({ key: row.program, class: row.class, cells: row.cells, alike: alikeOf(row.cells) })),
    names,
  );
  return {
    rows: rows.map((row) =>
      "error" in row
        ? row
        : {
            ...{ program: row.program, class: row.class, kind: row.kind },
            passed: row.cells.filter((cell) => cell.result === "passes").length,
            cells: row.cells.map((cell) => ({
              ...{ check: cell.check, result: cell.result, firstDifference: cell.firstDifference ?? null },
            })),
          },
    ),
    groups: groups.map(({ class: faultClass, checks: fails, programs, shows }) => ({
      ...{ class: faultClass, checks: fails, programs, shows },
    })),
  };
}

const short = {
  ...{ passes: "+", syntax: "S", runtime: "R", logic: "L", "does not end": "E", open: "?", "not run": "-" },
} as const;

/** The overview as a table for people: a letter a check. */
export function overviewTable({ rows, groups }: Awaited<ReturnType<typeof judgeByAssignment>>): string {
  const width = Math.max(7, ...rows.map((row) => row.program.length));
  const lines = rows.map((row) =>
    "error" in row
      ? `${row.program.padEnd(width)}  ${row.error}`
      : `${row.program.padEnd(width)}  ${(row.class ?? "none shown").padEnd(10)}  ${row.cells.map((cell) => short[cell.result]).join(" ")}  ${row.passed} of ${row.cells.length}`,
  );
  const alike = groups.map(
    (group) =>
      `${(group.class ?? "open").padEnd(10)}  ${group.shows || "in every check"}: ${group.programs.join(", ")}`,
  );
  const signs = "+ passes, S syntax, R runtime, L logic, E does not end, ? open, - not run";
  return `${lines.join("\n")}\n${signs}\n${alike.length > 0 ? `fail alike\n${alike.map((line) => `  ${line}`).join("\n")}\n` : ""}`;
}
