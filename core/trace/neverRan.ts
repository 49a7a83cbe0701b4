import type { Language } from "../languages/language.ts";
import { tokensByLine } from "../languages/lexical.ts";
import { runnableLines } from "../languages/runnable.ts";
import type { Token } from "../languages/token.ts";
import { lineAt, lineStarts } from "../syntax/placed.ts";
import { part, walk } from "../syntax/tree.ts";
import type { Trace } from "./trace.ts";

/** Lines that a run never came to, from 1, first and last; `function`: the name of the one that was never called, whose body they are. */
export type Stretch = { from: number; to: number; function: string | null };

/** Headers whose blocks are looked at. */
const mostHeaders = 200;

/** The lines of the main file that a whole recorded run came to; null where it was cut, or nothing of it was recorded. */
export function linesThatRan(trace: Trace | null | undefined): ReadonlySet<number> | null {
  if (!trace || trace.cut) return null;
  const ran = new Set(trace.steps.filter((step) => step.file === 0).map((step) => step.line));
  return ran.size === 0 ? null : ran;
}

/**
 * Stretches of a program that a run never came to, in order: bodies of functions that were never called, and lines inside of
 * blocks whose headers ran. What only declares is recorded by no language's recorder, and is no stretch.
 */
export function neverRanStretches(language: Language, program: string, ran: ReadonlySet<number>): Stretch[] {
  const runnable = runnableLines(language, program);
  const uncalled = uncalledFunctions(language, program, ran, runnable);
  const inside = linesInside(language, program, ran);
  const found: Stretch[] = [...uncalled];
  const isTold = (line: number) => uncalled.some((each) => line >= each.from && line <= each.to);
  let open: Stretch | null = null;
  for (const line of runnable) {
    const idle = !ran.has(line) && inside.has(line) && !isTold(line);
    if (!idle) open = null;
    else if (open) open.to = line;
    else {
      open = { from: line, to: line, function: null };
      found.push(open);
    }
  }
  return found.sort((one, other) => one.from - other.from);
}

/** Functions none of whose lines ran. */
function uncalledFunctions(
  language: Language,
  program: string,
  ran: ReadonlySet<number>,
  runnable: readonly number[],
): Stretch[] {
  if (!language.syntax) return [];
  const starts = lineStarts(program);
  const found: Stretch[] = [];
  walk(language.syntax(program), (node) => {
    if (node.kind !== "function") return;
    const name = part(node, "definition")?.sign;
    const body = part(node, "body") ?? node;
    const [head = 1, first = 1, last = 1] = [node.from, body.from, Math.max(body.from, body.to - 1)].map((at) =>
      lineAt(starts, at),
    );
    const own = runnable.filter((line) => line >= first && line <= last && (line > head || first === last));
    const [from, to] = [own[0], own.at(-1)];
    if (!name || from === undefined || to === undefined || own.some((line) => ran.has(line))) return;
    if (!found.some((each) => each.from <= from && each.to >= to)) found.push({ from, to, function: name });
  });
  return found;
}

/** Lines of the blocks whose headers ran: they might have run, too. */
function linesInside(language: Language, program: string, ran: ReadonlySet<number>): ReadonlySet<number> {
  const codeLines: ReadonlyMap<number, readonly Token[]> = tokensByLine(language.tokens(program));
  const heads = (line: number) =>
    (codeLines.get(line) ?? []).some(
      (token) =>
        language.decisionWords.has(token.text.toLowerCase()) || language.loopWords.has(token.text.toLowerCase()),
    );
  const headers = [...ran].filter(heads).sort((one, other) => one - other);
  return new Set(
    headers
      .slice(0, mostHeaders)
      .flatMap((header) => language.blockLines(program, header).filter((line) => line > header)),
  );
}
