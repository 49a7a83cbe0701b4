import { type PassOf, passText } from "./passes.ts";
import type { TableRow, TraceTable } from "./table.ts";
import type { Trace } from "./trace.ts";

/** The passes in which a step is, up to the loop whose passes have rows; none where it is in no pass of such a loop. */
function pathTo(passes: readonly PassOf[] | undefined, loop: number | undefined): readonly PassOf[] {
  if (!passes) return [];
  return loop === undefined ? passes : passes.slice(0, passes.findIndex((each) => each.loop.header === loop) + 1);
}

/**
 * A table with a row for each pass of its innermost loops, or of the loop with its header on a line: the values at the end of the pass, all that was printed and
 * typed in it. Rows outside of loops, and those that only look and go on with no pass, stay as they are.
 */
export function byPass(
  trace: Pick<Trace, "steps">,
  table: TraceTable,
  passes: ReadonlyMap<number, readonly PassOf[]>,
  loop?: number,
): TraceTable {
  const places = new Map(trace.steps.map((step, place) => [step.index, place]));
  const rows: TableRow[] = [];
  let open: { row: TableRow; key: string; depth: number } | null = null;
  /** Rows of a header wait: they belong to the pass that begins with them. */
  let waiting: TableRow[] = [];
  const merge = (one: TableRow, other: TableRow): TableRow => ({
    ...one,
    ...{ step: other.step, cells: mergedCells(one, other), output: one.output + other.output },
    ...(one.short || other.short ? { short: { ...one.short, ...other.short } } : {}),
    ...(one.objects || other.objects ? { objects: { ...one.objects, ...other.objects } } : {}),
    ...(other.waiting === undefined ? {} : { waiting: other.waiting }),
    ...(one.input === undefined && other.input === undefined ? {} : { input: (one.input ?? "") + (other.input ?? "") }),
    ...(other.raised === undefined ? {} : { raised: other.raised }),
    ...(other.unseen === undefined ? {} : { unseen: other.unseen }),
    ...(other.pass === undefined ? {} : { pass: other.pass }),
    line: other.line,
  });
  const close = () => {
    if (open) rows.push(open.row);
    open = null;
  };
  for (const row of table.rows) {
    const place = places.get(row.step) ?? -1;
    const path = pathTo(passes.get(place), loop);
    const inner = path.at(-1);
    const frame = trace.steps[place]?.frame;
    // What is called in a pass and goes round in no loop of its own belongs to the pass.
    const within = open as { row: TableRow; key: string; depth: number } | null;
    if (within && !inner && row.depth > within.depth) {
      open = { ...within, row: { ...merge(within.row, { ...row, line: within.row.line }), ...passIn(within.row) } };
      continue;
    }
    if (!inner || row.call !== undefined) {
      close();
      rows.push(...waiting, row);
      waiting = [];
      continue;
    }
    if (row.line === inner.loop.header) {
      close();
      waiting.push(row);
      continue;
    }
    const key = `${frame} ${inner.loop.header} ${passText(path)}`;
    if (within?.key === key) open = { ...within, row: { ...merge(within.row, row), pass: passText(path) } };
    else {
      close();
      const before = waiting.pop();
      rows.push(...waiting);
      waiting = [];
      const start = before ? merge(before, row) : row;
      const { condition: _, ...rest } = start;
      open = { key, row: { ...rest, pass: passText(path) }, depth: row.depth };
    }
  }
  close();
  rows.push(...waiting);
  return { ...table, rows };
}

const passIn = ({ pass }: TableRow) => (pass === undefined ? {} : { pass });

/** The cells of two rows in one: of a named object that both tell of, the changes of both. */
function mergedCells(one: TableRow, other: TableRow): TableRow["cells"] {
  const cells: Record<string, string> = { ...one.cells, ...other.cells };
  for (const [key, text] of Object.entries(other.cells)) {
    const former = one.cells[key];
    if (former === undefined || other.short?.[key] === undefined || one.short?.[key] !== other.short[key]) continue;
    cells[key] = `${former}; ${text}`;
  }
  return cells;
}
