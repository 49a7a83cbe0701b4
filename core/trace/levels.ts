import { callCell, type TableRow } from "./table.ts";

/** A row, as far as levels of calls are seen by it. */
export type LevelRow = Pick<
  TableRow,
  "depth" | "call" | "className" | "arguments" | "own" | "ownName" | "returned" | "raised"
>;

/** A call: as it is made (`load(3)`), its function, the place of the row that enters it, from 0, and how many calls of the same function lie around it. */
export type Level = { call: string; name: string; at: number; depth: number; level: number };

/**
 * A function that calls itself, directly or by others: how many of its calls lay in each other at most, and the first call that came to its end without
 * another one of it; null where there was none. `first` are its first calls in each other.
 */
export type Recursion = {
  name: string;
  levels: number;
  first: readonly Level[];
  base: { level: number; call: string; ended: number } | null;
};

const nameOf = ({ call = "", className }: LevelRow) => (className === undefined ? call : `${className}.${call}`);

/** A call on the way: the one around it, and whether another one of its function lay in it. */
type Open = Level & { around: Open | null; calledItself: boolean };

const noCells = { step: 0, line: 0, file: 0, cells: {}, output: "" };

/** Goes along rows: `ends` is told of each call that ends, with the place of the row behind it. Gives the innermost call that is open behind each row. */
function follow(rows: readonly LevelRow[], ends?: (call: Open, place: number) => void): Array<Open | null> {
  let open: Open | null = null;
  /** How many calls of each function are open. */
  const counts = new Map<string, number>();
  return rows.map((row, at) => {
    const least = row.depth - (row.call === undefined ? 0 : 1);
    for (; open && open.depth > least; open = open.around) {
      counts.set(open.name, (counts.get(open.name) ?? 1) - 1);
      ends?.(open, at);
    }
    if (row.call === undefined) return open;
    const name = nameOf(row);
    const level = (counts.get(name) ?? 0) + 1;
    counts.set(name, level);
    // Of those around only the nearest can be told for the first time: the ones around it were told by that one.
    if (level > 1)
      for (let each: Open | null = open; each; each = each.around)
        if (each.name === name) {
          each.calledItself = true;
          break;
        }
    const { returned: _, ...entered } = row;
    const call = callCell({ ...noCells, ...entered });
    open = { call, name, at, depth: row.depth, level, around: open, calledItself: false };
    return open;
  });
}

/** The calls that are open along a run's rows. Made once; each question is as long as its answer. */
export type OpenCalls = {
  /** The calls that are open when `done` rows have run, the outermost first. */
  at: (done: number) => Level[];
};

/** Goes along the rows of a run once. */
export function openCalls(rows: readonly LevelRow[]): OpenCalls {
  const innermost = follow(rows);
  return {
    at: (done) => {
      const found: Level[] = [];
      // The row that comes next shows which of them are over.
      const next = rows[done];
      const least = next ? next.depth - (next.call === undefined ? 0 : 1) : Number.POSITIVE_INFINITY;
      for (let each = innermost[Math.min(done, rows.length) - 1] ?? null; each; each = each.around) {
        const { around: _, calledItself: __, ...level } = each;
        if (each.depth <= least) found.unshift(level);
      }
      return found;
    },
  };
}

/** First calls of a recursion that are told. */
const mostFirst = 40;

/** The functions of a run that have calls of their own inside of them, in the order in which they do. */
export function recursionsIn(rows: readonly LevelRow[]): Recursion[] {
  const found = new Map<string, { levels: number; first: Level[]; base: Recursion["base"] }>();
  const ended: Array<{ call: Open; at: number }> = [];
  const innermost = follow(rows, (call, at) => ended.push({ call, at }));
  for (const [at, call] of innermost.entries()) {
    if (call?.at !== at) continue;
    const of = found.get(call.name) ?? { levels: 0, first: [], base: null };
    found.set(call.name, of);
    if (call.level <= of.levels) continue;
    of.levels = call.level;
    if (of.first.length < mostFirst) of.first.push(call);
  }
  for (const { call, at } of ended) {
    const of = found.get(call.name);
    // What an error ended came to no end of its own.
    if (rows[at - 1]?.raised !== undefined) continue;
    if (of?.base === null && !call.calledItself) of.base = { level: call.level, call: call.call, ended: at };
  }
  return [...found].filter(([, of]) => of.levels > 1).map(([name, of]) => ({ name, ...of }));
}

/** Levels from which on a recursion without an end is spoken of. */
const deep = 5;

/** What is to be said of recursions in which no call came to its end without another one. */
export function recursionRemarks(rows: readonly LevelRow[]): string[] {
  return recursionsIn(rows)
    .filter(({ base, levels }) => base === null && levels >= deep)
    .map(({ name, first, levels }) => {
      const calls = first.slice(0, 6).map((each) => each.call);
      return `${name} calls itself ${levels} levels deep, and no call of it comes to an end without another one: the base case is never reached (${calls.join(", ")}, …).`;
    });
}
