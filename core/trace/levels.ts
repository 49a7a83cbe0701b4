import { callCell, type TableRow } from "./table.ts";

/** A row, as far as levels of calls are seen by it. */
export type LevelRow = Pick<TableRow, "depth" | "call" | "className" | "arguments" | "own" | "ownName" | "returned">;

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

type Open = Level & { calledItself: boolean };

/** Goes along rows: `enters` is told of each call that begins, `ends` of each that ends, with the place of the row behind it. Gives those that are open at the end. */
function follow(
  rows: readonly LevelRow[],
  until: number,
  { enters, ends }: { enters?: (call: Open) => void; ends?: (call: Open, place: number) => void } = {},
): Open[] {
  const open: Open[] = [];
  const close = (row: LevelRow, at: number) => {
    const least = row.depth - (row.call === undefined ? 0 : 1);
    for (let last = open.at(-1); last && last.depth > least; last = open.at(-1)) {
      open.pop();
      ends?.(last, at);
    }
  };
  for (let at = 0; at < until && at < rows.length; at++) {
    const row = rows[at] as LevelRow;
    close(row, at);
    if (row.call === undefined) continue;
    const name = nameOf(row);
    const around = open.filter((each) => each.name === name);
    for (const each of around) each.calledItself = true;
    const { returned: _, ...entered } = row;
    const call = callCell({ ...noCells, ...entered });
    const made = { call, name, at, depth: row.depth, level: around.length + 1, calledItself: false };
    open.push(made);
    enters?.(made);
  }
  // The row that comes next shows which of them are over.
  const next = rows[until];
  if (next) close(next, until);
  return open;
}

const noCells = { step: 0, line: 0, file: 0, cells: {}, output: "" };

/** The calls that are open when `done` rows have run, the outermost first. */
export function levelsAt(rows: readonly LevelRow[], done: number): Level[] {
  return follow(rows, done).map(({ calledItself: _, ...level }) => level);
}

/** First calls of a recursion that are told. */
const mostFirst = 40;

/** The functions of a run that have calls of their own inside of them, in the order in which they do. */
export function recursionsIn(rows: readonly LevelRow[]): Recursion[] {
  const found = new Map<string, { levels: number; first: Level[]; base: Recursion["base"] }>();
  follow(rows, rows.length, {
    enters: (call) => {
      const of = found.get(call.name) ?? { levels: 0, first: [], base: null };
      found.set(call.name, of);
      if (call.level <= of.levels) return;
      of.levels = call.level;
      if (of.first.length < mostFirst) of.first.push(call);
    },
    ends: ({ name, level, call, calledItself }, ended) => {
      const of = found.get(name);
      if (!calledItself && of && of.base === null) of.base = { level, call, ended };
    },
  });
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
