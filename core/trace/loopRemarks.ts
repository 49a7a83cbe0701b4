import type { Language } from "../languages/language.ts";
import { tokensByLine } from "../languages/lexical.ts";
import type { Decision } from "./conditions.ts";
import type { Loop, PassOf } from "./passes.ts";
import type { TraceTable } from "./table.ts";
import type { Trace } from "./trace.ts";

/** Passes at the end of a run that was cut off, in which something has to change for the loop to come to an end. */
const looked = 3;

/**
 * What is to be said of the loops of a recorded run, as its last rows: one that was never entered, and of a run that was cut off the
 * one in which it went round, with what of its condition never changed. `table` has a row for every step.
 */
export function loopRemarks(
  language: Language,
  text: string,
  trace: Pick<Trace, "steps" | "cut">,
  table: Pick<TraceTable, "rows" | "columns">,
  { passes, decisions }: { passes: ReadonlyMap<number, PassOf[]>; decisions: ReadonlyMap<number, Decision> },
): string[] {
  const entered = new Map<Loop, boolean>();
  for (const [place, own] of passes)
    for (const { loop, pass } of own) {
      const isHeader = trace.steps[place]?.line === loop.header;
      if (pass > 0) entered.set(loop, true);
      else if (isHeader && decisions.get(place)?.holds === false) entered.set(loop, entered.get(loop) ?? false);
    }
  const never = [...entered].flatMap(([loop, was]) =>
    was ? [] : [`The loop in line ${loop.header} was never entered: its condition was false at once.`],
  );
  return trace.cut === undefined ? never : [...never, ...goesRound(language, text, trace, table, passes)];
}

/** Of the innermost loop in which a run was cut off: which variables of its condition did not change in its last passes. */
function goesRound(
  language: Language,
  text: string,
  { steps }: Pick<Trace, "steps">,
  { rows, columns }: Pick<TraceTable, "rows" | "columns">,
  passes: ReadonlyMap<number, PassOf[]>,
): string[] {
  const loop = passes.get(steps.length - 1)?.at(-1)?.loop;
  const frame = steps.at(-1)?.frame;
  if (!loop) return [];
  const headers = [...steps.keys()].filter((at) => steps[at]?.line === loop.header && steps[at]?.frame === frame);
  const from = headers.at(-1 - looked);
  if (from === undefined) return [];
  const since = rows.filter((row) => row.step > (steps[from]?.index ?? 0));
  const changed = new Set(since.flatMap((row) => Object.keys(row.cells)));
  const typed = since.some((row) => row.input !== undefined);
  if (changed.size === 0 && !typed)
    return [`The loop in line ${loop.header} repeats for ever: nothing changes from one pass to the next.`];
  const names = new Set(
    (tokensByLine(language.tokens(text)).get(loop.header) ?? []).flatMap((token) =>
      token.kind === "name" ? [token.text.toLowerCase()] : [],
    ),
  );
  const asked = columns.filter((column) => names.has(column.title.toLowerCase()));
  if (asked.length === 0 || asked.some((column) => changed.has(column.key))) return [];
  const which = asked.map((column) => column.title).join(" and ");
  return [
    `The loop in line ${loop.header} repeats for ever: ${which} never ${asked.length === 1 ? "changes" : "change"} in it.`,
  ];
}
