import * as z from "zod";
import type { faultClassSchema } from "../cases/case.ts";
import type { Outcome } from "../outcome/outcome.ts";
import type { Judgement } from "../verdict/judge.ts";

/** What a program did under a check; "open": not decided, "not run": no run told anything. */
export const cellResults = ["passes", "syntax", "runtime", "logic", "does not end", "open", "not run"] as const;
export type CellResult = (typeof cellResults)[number];

/** Where an output first differs from what is intended, with both lines; null where there are no more lines. */
export const firstDifferenceSchema = z.object({
  line: z.number().int().positive(),
  intended: z.string().nullable(),
  actual: z.string().nullable(),
});
export type FirstDifference = z.infer<typeof firstDifferenceSchema>;

/**
 * One cell of an overview. `alike` is equal where two programs fail alike: the first line that differs with its numbers
 * masked, or the kind of message.
 */
export const cellSchema = z.object({
  check: z.string(),
  edition: z.number().int(),
  result: z.enum(cellResults),
  alike: z.string().default(""),
  firstDifference: firstDifferenceSchema.optional(),
  /** What the program's translator or run said, in short. */
  message: z.string().optional(),
});
export type Cell = z.infer<typeof cellSchema>;

/** What an overview draws of a cell. */
export type GlanceCell = Pick<Cell, "check" | "edition" | "result">;

const letters = {
  passes: "p",
  syntax: "s",
  runtime: "r",
  logic: "l",
  "does not end": "e",
  open: "o",
  "not run": "n",
} as const;

const resultOfLetter = new Map<string, CellResult>(cellResults.map((each) => [letters[each], each]));

/**
 * Cells in short: checks with their editions, "|", and a letter each in the same order. All programs of an assignment have
 * the same beginning. `readGlance` reads them. Keys hold no sign.
 */
export function glanceOf(cells: readonly GlanceCell[]): string {
  return cells.length === 0
    ? ""
    : `${cells.map((cell) => `${cell.check}:${cell.edition}`).join(" ")}|${lettersOf(cells.map((cell) => cell.result))}`;
}

/** Reads cells that `glanceOf` has written, many one after another; what is none is left out. */
export function createGlanceReader(): (glance: string) => GlanceCell[] {
  const known = new Map<string, Array<Pick<GlanceCell, "check" | "edition">>>();
  return (glance) => {
    const [head = "", letters] = glance.split("|");
    if (letters === undefined) return readSingly(glance);
    const checks =
      known.get(head) ??
      head.split(" ").map((written) => {
        const [check = "", edition] = written.split(":");
        return { check, edition: Number(edition) };
      });
    known.set(head, checks);
    return checks.flatMap(({ check, edition }, at) => {
      const result = resultOfLetter.get(letters[at] ?? "");
      return check && result ? [{ check, edition, result }] : [];
    });
  };
}

/** The former way to write them: check, edition and letter of each, with blanks between. */
function readSingly(glance: string): GlanceCell[] {
  return glance.split(" ").flatMap((written) => {
    const [check, edition, letter] = written.split(":");
    const result = resultOfLetter.get(letter ?? "");
    return check && result ? [{ check, edition: Number(edition), result }] : [];
  });
}

/** Results as one letter each, "-" where there is none; `readLetters` reads them. */
export function lettersOf(results: ReadonlyArray<CellResult | null>): string {
  return results.map((result) => (result === null ? "-" : letters[result])).join("");
}

/** The results that `lettersOf` has written. */
export function readLetters(text: string): Array<CellResult | null> {
  return [...text].map((letter) => resultOfLetter.get(letter) ?? null);
}

/** What the first failing cell shows; "" where none fails. */
export function alikeOf(cells: readonly Cell[]): string {
  return cells.find(isFailing)?.alike ?? "";
}

/** A line with its numbers masked, so that "Load: 19" and "Load: 23" are one. */
export function masked(line: string): string {
  return line.replace(/\d+(?:[.,]\d+)*/g, "#").slice(0, 200);
}

/** The cell of a judged run. */
export function cellOf(check: { key: string; edition: number }, judgement: Judgement, outcome: Outcome | null): Cell {
  const base = { check: check.key, edition: check.edition };
  if (!outcome) return { ...base, result: "not run", alike: "" };
  if (judgement.class === null) {
    const passes = judgement.gates.every((gate) => gate.passes === true);
    return { ...base, result: passes ? "passes" : "open", alike: "" };
  }
  const ended = !["time", "steps", "output"].includes(outcome.stoppedBy);
  const said = judgement.diagnostic;
  if (judgement.class === "logic" && judgement.comparison && !judgement.comparison.same) {
    const { line, resultLine, intended, actual } = judgement.comparison;
    const firstDifference = { line, intended: short(intended), actual: short(actual) };
    const shown = actual === null ? "nothing more" : masked(actual.trim());
    return { ...base, result: "logic", alike: `result line ${resultLine}: ${shown}`, firstDifference };
  }
  if (!ended) return { ...base, result: "does not end", alike: "" };
  const message = said ? [said.errorName, said.message].filter(Boolean).join(": ").slice(0, 200) : "";
  return {
    ...{ ...base, result: judgement.class, alike: said ? (said.errorName ?? masked(said.message)) : "" },
    ...(message ? { message } : {}),
  };
}

function short(line: string | null): string | null {
  return line === null ? null : line.length > 200 ? `${line.slice(0, 199)}…` : line;
}

/** A program of an overview. `class` null: no fault is shown, or it is not decided. */
export type JudgedProgram = {
  key: string;
  class: z.infer<typeof faultClassSchema> | null;
  cells: readonly GlanceCell[];
  /** What the first failing cell shows. */
  alike: string;
};

/** Programs that fail alike: the same class, the same checks, the same first difference or message. */
export type Group = {
  class: z.infer<typeof faultClassSchema> | null;
  /** Keys of the checks that fail. */
  checks: string[];
  /** What the first failing check shows, in words with numbers masked. */
  shows: string;
  programs: string[];
};

const failing: readonly CellResult[] = ["syntax", "runtime", "logic", "does not end"];

/** True for a cell that shows a fault. */
export function isFailing(cell: Pick<Cell, "result">): boolean {
  return failing.includes(cell.result);
}

/** Programs that fail, put together by how they do, the largest group first. `checks`: the keys in their order. */
export function groupAlike(programs: readonly JudgedProgram[], checks: readonly string[]): Group[] {
  const groups = new Map<string, Group>();
  for (const program of programs) {
    const wrong = program.cells.filter(isFailing);
    // A refused program fails every check in the same way; which of them says nothing.
    const first = wrong[0];
    if (!first) continue;
    const own = new Set(wrong.map((cell) => cell.check));
    const named = program.class === "syntax" ? [...checks] : checks.filter((check) => own.has(check));
    const shows = [first.result === "does not end" ? "does not end" : "", program.alike].filter(Boolean).join(" ");
    const signature = JSON.stringify([program.class, named, shows]);
    const known = groups.get(signature);
    if (known) known.programs.push(program.key);
    else groups.set(signature, { class: program.class, checks: named, shows, programs: [program.key] });
  }
  return [...groups.values()].sort((one, other) => other.programs.length - one.programs.length);
}

/** True if a program shows no fault in any check of an assignment and passes at least one. */
export function passesAll(program: Pick<JudgedProgram, "cells">): boolean {
  const told = program.cells.filter((cell) => cell.result !== "open");
  return told.length > 0 && told.every((cell) => cell.result === "passes");
}

/** How many programs of each class there are; "no fault shown" where all pass, "open" for the rest. */
export function countClasses(programs: ReadonlyArray<Omit<JudgedProgram, "alike">>) {
  const counts = { syntax: 0, runtime: 0, logic: 0, "no fault shown": 0, open: 0 };
  for (const program of programs) {
    if (program.class !== null) counts[program.class] += 1;
    else if (passesAll(program)) counts["no fault shown"] += 1;
    else counts.open += 1;
  }
  return counts;
}
