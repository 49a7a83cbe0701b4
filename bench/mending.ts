import { createHash } from "node:crypto";
import { editContext } from "../core/edits/context.ts";
import { applyEdit, type Edit, invertEdit } from "../core/edits/edit.ts";
import { proposeEdits } from "../core/edits/families.ts";
import { findLanguage } from "../core/languages/languages.ts";
import { withFixes } from "../core/leads/fixFound.ts";
import { consoleText } from "../core/outcome/outcome.ts";
import { type Judged, judgeProgram } from "../server/judge/judge.ts";
import { runProgram } from "../server/judge/run.ts";
import type { FoundFix } from "../server/mend/foundFix.ts";
import { searchFixes } from "../server/mend/search.ts";
import { createToolchains, type Toolchains } from "../server/toolchains/toolchains.ts";
import type { RightProgram } from "./collection/program.ts";
import { rightPrograms } from "./collection/programs.ts";
import type { Measure } from "./measure.ts";

/** A right program with one slip planted: what it is judged with, and with what a mending is proven that never saw it. */
type Planted = {
  program: RightProgram;
  family: string;
  text: string;
  /** Lines that are right answers to where the slip is. */
  lines: ReadonlySet<number>;
  checks: Array<{ input: string; expected: string }>;
  keptBack: Array<{ input: string; expected: string }>;
  half: "looked at" | "never looked at";
  judged: Judged[];
  class: "syntax" | "runtime" | "logic";
};

const perProgram = 7;
const seconds = 10;
/** A lead is shown at once, so a mending counts for it only if it was found this soon. */
const soon = 2000;

/** A number from 0 to 1 that a text always has. */
function chanceOf(text: string): number {
  return createHash("sha256").update(text).digest().readUInt32LE(0) / 2 ** 32;
}

async function expectedOf(toolchains: Toolchains, program: RightProgram, text = program.text) {
  const language = findLanguage(program.language);
  if (!language) throw new Error(program.language);
  const found: Array<{ input: string; expected: string }> = [];
  for (const input of program.inputs) {
    const files = [{ name: language.mainName, bytes: Buffer.from(text) }];
    const { outcome } = await runProgram(toolchains, { language, files, input });
    if (!outcome?.finished) throw new Error(`${program.language} ${program.name} does not end well`);
    found.push({ input, expected: consoleText(outcome.console, ["out"]) });
  }
  return found;
}

/** Slips of as many families as there are places for, the same ones every time. */
async function plant(toolchains: Toolchains, program: RightProgram): Promise<Planted[]> {
  const language = findLanguage(program.language);
  const context = language && editContext(language, program.text);
  if (!language || !context) throw new Error(program.language);
  const all = await expectedOf(toolchains, program);
  const [checks, keptBack] = [
    all.slice(0, Math.max(1, Math.ceil(all.length / 2))),
    all.slice(Math.ceil(all.length / 2)),
  ];
  const half = chanceOf(`${program.language} ${program.name}`) < 0.5 ? "looked at" : "never looked at";
  const edits = proposeEdits(context, "plant")
    .map((edit) => ({ edit, chance: chanceOf(`${program.name} ${edit.family} ${edit.from} ${edit.to} ${edit.text}`) }))
    .sort((one, other) => one.chance - other.chance);
  const found: Planted[] = [];
  const families = new Set<string>();
  for (const { edit } of edits) {
    if (found.length >= perProgram) break;
    if (families.has(edit.family)) continue;
    const text = applyEdit(program.text, edit);
    const judged: Judged[] = [];
    const files = [{ name: language.mainName, bytes: Buffer.from(text) }];
    for (const check of checks)
      judged.push(
        await judgeProgram(toolchains, {
          language,
          files,
          policies: { endlessClass: "logic" },
          ...check,
          closely: true,
        }),
      );
    const faultClass = judged.find((each) => each.judgement.class !== null)?.judgement.class;
    if (!faultClass) continue;
    families.add(edit.family);
    found.push({
      ...{ program, family: edit.family, text, checks, keptBack, half, judged, class: faultClass },
      lines: linesOf(text, program.text, edit),
    });
  }
  return found;
}

/** The lines of the faulty program that the slip touches; where something is missing, the lines on either side. */
function linesOf(faulty: string, right: string, edit: Edit): ReadonlySet<number> {
  const back = invertEdit(right, edit);
  const lineOf = (offset: number) => faulty.slice(0, offset).split("\n").length;
  const lines = new Set<number>();
  const [from, to] = [lineOf(back.from), lineOf(Math.max(back.from, back.to - 1))];
  const before = faulty.slice(back.from, back.to).split("\n");
  const after = back.text.split("\n");
  for (let line = from; line <= to; line++)
    if (before[line - from] !== after[line - from] || before.length !== after.length) lines.add(line);
  if (back.from === back.to && back.text.includes("\n")) lines.add(Math.max(1, from - 1));
  if (lines.size === 0) lines.add(from);
  return lines;
}

type Answer = { planted: Planted; leads: number[]; fix?: FoundFix; passesAll: boolean; seconds: number; tried: number };

async function answer(toolchains: Toolchains, planted: Planted): Promise<Answer> {
  const language = findLanguage(planted.program.language);
  if (!language) throw new Error(planted.program.language);
  const files = [{ name: language.mainName, bytes: Buffer.from(planted.text) }];
  const early: FoundFix[] = [];
  const begun = Date.now();
  const result = await searchFixes(toolchains, {
    ...{
      language,
      files,
      checks: planted.checks,
      policies: { endlessClass: "logic" },
      seconds,
      judged: planted.judged,
    },
    onFound: (fix) => void (Date.now() - begun < soon && early.push(fix)),
  });
  const deciding = planted.judged.find((each) => each.judgement.class !== null);
  const leads = withFixes(deciding?.judgement.leads ?? [], early).map((lead) => lead.line);
  const [fix] = result.fixes;
  let passesAll = fix !== undefined;
  for (const check of fix ? planted.keptBack : []) {
    const again = [{ name: language.mainName, bytes: Buffer.from(fix?.text ?? "") }];
    const judged = await judgeProgram(toolchains, {
      language,
      files: again,
      policies: { endlessClass: "logic" },
      ...check,
    });
    if (judged.judgement.class !== null) passesAll = false;
  }
  return { planted, leads, passesAll, seconds: result.seconds, tried: result.tried, ...(fix ? { fix } : {}) };
}

/**
 * Plants slips in right programs, judges and mends them, and tells how often the line of the slip is first, among the first
 * three, and how often a mending is found that passes checks kept back. By halves: one is never looked at while building.
 * BENT_NAIL_BENCH_LANGUAGE chooses a language, BENT_NAIL_BENCH_TELL prints what was not found of the half that is looked at.
 */
export async function benchMending(): Promise<Measure[]> {
  const toolchains = createToolchains();
  const wanted = process.env.BENT_NAIL_BENCH_LANGUAGE;
  const answers: Answer[] = [];
  try {
    for (const program of rightPrograms.filter((each) => !wanted || each.language === wanted))
      for (const planted of await plant(toolchains, program)) {
        const found = await answer(toolchains, planted);
        answers.push(found);
        if (
          process.env.BENT_NAIL_BENCH_TELL &&
          planted.half === "looked at" &&
          (!found.passesAll || !planted.lines.has(found.leads[0] ?? 0))
        )
          tell(found);
      }
  } finally {
    await toolchains.close();
  }
  const measures: Measure[] = [];
  const percent = (part: number, all: number) => (all === 0 ? 100 : (100 * part) / all);
  for (const half of ["looked at", "never looked at"] as const)
    for (const group of ["all", "syntax", "runtime", "logic", "python", "java", "c", "csharp", "pascal", "octave"]) {
      const own = answers.filter(
        ({ planted }) =>
          planted.half === half && (group === "all" || planted.class === group || planted.program.language === group),
      );
      if (own.length === 0) continue;
      const first = own.filter(({ planted, leads }) => planted.lines.has(leads[0] ?? 0)).length;
      const three = own.filter(({ planted, leads }) =>
        leads.slice(0, 3).some((line) => planted.lines.has(line)),
      ).length;
      const mended = own.filter((each) => each.passesAll && each.fix?.repairs !== "hides").length;
      const wants = { syntax: 85, runtime: 65, logic: 60 }[group] ?? 70;
      const row = (work: string, value: number, atLeast: number) =>
        measures.push({
          work: `${half}, ${group} (${own.length}): ${work}`,
          against: "all of them",
          value,
          unit: "%",
          atMost: atLeast,
        });
      row("line first", percent(first, own.length), group === "logic" ? 75 : 80);
      row("among three", percent(three, own.length), group === "logic" ? 90 : 95);
      row("mended", percent(mended, own.length), wants);
    }
  return measures;
}

function tell({ planted, leads, fix, passesAll, tried, seconds: took }: Answer): void {
  console.log(
    `${planted.program.language} ${planted.program.name} ${planted.family} (${planted.class}): lines ${[...planted.lines]}, leads ${leads.slice(0, 4)}; ${fix ? `${passesAll ? "mended" : "mended wrongly"} by ${fix.families}` : "not mended"} (${tried} in ${took.toFixed(1)} s)`,
  );
}
