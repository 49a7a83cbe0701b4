import type { Language } from "../languages/language.ts";
import { tokensByLine } from "../languages/lexical.ts";
import type { Decision } from "./conditions.ts";
import type { Loop, PassOf } from "./passes.ts";
import type { TraceTable } from "./table.ts";
import type { Trace } from "./trace.ts";

/** Passes that a loop of a run that was cut off has gone at least, before anything is said of it. */
const least = 3;

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
  const entered = new Map<Loop, { was: boolean; asked: boolean }>();
  for (const [place, own] of passes)
    for (const { loop, pass } of own) {
      const step = trace.steps[place];
      if (pass > 0) entered.set(loop, { was: true, asked: true });
      else if (
        !entered.has(loop) &&
        step?.line === loop.header &&
        step.raised === undefined &&
        place < trace.steps.length - 1
      )
        entered.set(loop, { was: false, asked: decisions.has(place) });
    }
  const never = [...entered].flatMap(([loop, { was, asked }]) =>
    was
      ? []
      : [
          `The loop in line ${loop.header} was never entered: ${asked ? "its condition was false at once" : "there was nothing to go through"}.`,
        ],
  );
  return trace.cut === undefined ? never : [...never, ...goesRound(language, text, trace, table, passes)];
}

/** Of the innermost loop in which a run was cut off: which variables of its condition changed in none of its passes so far. */
function goesRound(
  language: Language,
  text: string,
  { steps }: Pick<Trace, "steps">,
  { rows, columns }: Pick<TraceTable, "rows" | "columns">,
  passes: ReadonlyMap<number, PassOf[]>,
): string[] {
  const last = passes.get(steps.length - 1)?.at(-1);
  const frame = steps.at(-1)?.frame;
  if (!last || last.pass < least) return [];
  const { loop } = last;
  // All of its passes since it was entered: what has changed in any of them may change again.
  const isFirst = (place: number) =>
    steps[place]?.frame === frame && passes.get(place)?.some((each) => each.loop === loop && each.pass === 1);
  const from = [...steps.keys()].findLast((place) => isFirst(place) && !isFirst(place - 1));
  const since = rows.filter((row) => row.step > (steps[from ?? 0]?.index ?? 0));
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
