import { isUnknown } from "../../expressions/known.ts";
import type { Answer } from "../../expressions/rules.ts";
import { type CellReading, isNothing, otherNotation, sameValue } from "../cellValues.ts";
import { beginning, functionAt, type Happening, type Place, stops } from "./machine.ts";
import { holdsValues, plainTexts, sameOutput, withoutPrompts } from "./outputCell.ts";
import { type KeyRow, type RecordedRun, usesTheSame } from "./recordedRun.ts";

/** A row as a student wrote it; absent and blank cells hold nothing. */
export type WrittenRow = { line?: string; cells: Readonly<Record<string, string>> };

/**
 * What a cell came to. `follows`: right by the student's own values before it, and not by the key. `open`: nobody but the
 * teacher can say. `repeat`: an unchanged value written again.
 */
export type CellVerdict = "right" | "follows" | "wrong" | "missing" | "surplus" | "given" | "open" | "repeat";

/** A verdict with its places: the row of the answer (null: none), the row of the key (null: none), the column. */
export type Noted = { written: number | null; key: number | null; column: string; verdict: CellVerdict };

/** A table that was gone through. `slips` are cells that it cost; `right` and `open` cells that were written. */
export type Followed = {
  slips: number;
  right: number;
  open: number;
  /** True if a value that is right is written in another way than the key's. */
  notation: boolean;
  noted: Noted[];
  /** Cells of the key that were not asked for, since a row stands for a whole pass. */
  absorbed: number;
};

/** What a table is held against. */
export type FollowOptions = {
  columns: readonly string[];
  /** Cells printed on the sheet, as "row column". */
  given: ReadonlySet<string>;
  reading: CellReading;
  /** The key ends before the run does: what is written behind it costs nothing. */
  cut: boolean;
  /** A row may stand for a whole pass of a loop. */
  passes?: boolean;
  /** What the program writes before it reads: it neither earns nor costs. */
  prompts: readonly string[];
};

/** What is to be seen next in the table: a change of a column, or something printed. */
export type Wanted = {
  column: string;
  name: string | null;
  value: Answer | null;
  former: Answer | undefined;
  /** For prints: whether a cell holds the printed values; null where that cannot be said. */
  holds: ((cell: string) => boolean | null) | null;
  keyRow: number | null;
  keyCell: string | undefined;
};

export type Note = { noted: Noted; before: Note | null };

/** One way in which a table may have been filled in, so far. */
export type Way = {
  place: Place;
  /** What else the last happening shows. */
  queue: readonly Wanted[];
  /** The row of the table, and its columns that are used by now. */
  row: number;
  used: ReadonlySet<string>;
  /** The last value that was written, or is right, in each column. */
  last: ReadonlyMap<string, string>;
  cost: number;
  right: number;
  open: number;
  notation: boolean;
  /** True once another line runs than in the recorded run. */
  diverged: boolean;
  decisions: number;
  /** Columns of which a change is to be told with the next one, by the pass in which that is. */
  waiting: ReadonlyMap<string, number>;
  absorbed: number;
  notes: Note | null;
  line: number;
  time: number;
  over: boolean;
};

export const firstWay: Way = {
  ...{ place: beginning, queue: [], row: 0, used: new Set<string>(), last: new Map<string, string>() },
  ...{ cost: 0, right: 0, open: 0, notation: false, diverged: false, decisions: 0 },
  ...{ waiting: new Map<string, number>(), absorbed: 0, notes: null, line: 0, time: 0, over: false },
};

/** What a happening shows in the table, in order. */
export function wantedOf(
  run: RecordedRun,
  key: readonly KeyRow[],
  way: Way,
  happening: Happening,
  former: Place["values"],
): Wanted[] {
  const keyRow = run.rowOf(way.line, way.time) ?? null;
  const row = keyRow === null ? undefined : key[keyRow];
  const printed = (values: readonly Answer[], fixed: readonly string[]): Wanted => ({
    ...{ column: "output", name: null, value: null, former: undefined, keyRow, keyCell: row?.cells.output },
    holds: (cell) => {
      const said = holdsValues(cell, values, fixed, run.write);
      return said !== null || values.length > 0 ? said : sameOutput(cell, plainTexts(fixed));
    },
  });
  if (happening.happens === "value") {
    const column = run.columnOf(happening.name, functionAt(way.place));
    const { name, value } = happening;
    const wanted: Wanted[] = [];
    if (column !== null)
      wanted.push({
        column,
        name,
        value,
        former: happening.isNew ? undefined : former.get(name),
        holds: null,
        keyRow,
        keyCell: row?.cells[column],
      });
    if (run.shows.has(way.line)) wanted.push(printed([value], []));
    return wanted;
  }
  if (happening.happens === "print") {
    return isPrompt(run, key, way, row) ? [] : [printed(happening.values, happening.fixed)];
  }
  if (happening.happens === "take") {
    const taken = run.taken(happening.line, happening.time);
    if (!taken) return [];
    const known = usesTheSame(way.place, taken);
    return Object.entries(key[taken.row]?.cells ?? {}).flatMap(([column, cell]) => {
      const name = run.nameOf(column, functionAt(way.place));
      if (name === null && column !== "output") return [];
      const had = name === null ? undefined : former.get(name);
      const value = known && name !== null ? run.read(cell, had) : null;
      const holds = name === null ? () => null : null;
      return [{ column, name, value, former: undefined, holds, keyRow: taken.row, keyCell: cell }];
    });
  }
  return [];
}

/**
 * True for what is printed at a place to ask for input: where the key has its line without an output, or, on a line that
 * the recorded run never reached, where the next thing that the program does is to read.
 */
function isPrompt(run: RecordedRun, key: readonly KeyRow[], way: Way, row: KeyRow | undefined): boolean {
  if (row) return row.cells.output === undefined;
  const seen = key.filter(({ line }) => line === way.line);
  if (seen.length > 0) return seen.every(({ cells }) => cells.output === undefined);
  let next = run.machine(way.place, run.firstPlace);
  while (next.happening.happens === "row") next = run.machine(next.place, run.firstPlace);
  return next.happening.happens === "take" && next.happening.reads;
}

/** True for a value that is the one before: that is no change to be written. */
export function isUnchanged(run: RecordedRun, { value, former }: Wanted): boolean {
  return (
    value !== null &&
    former !== undefined &&
    !isUnknown(value) &&
    !isUnknown(former) &&
    run.write(value) === run.write(former)
  );
}

export type Rightness = "key" | "own" | "wrong" | "open";

/** Whether a cell is right, by the key or by the own values; "open" where neither can say. */
export function rightness(run: RecordedRun, way: Way, wanted: Wanted, cell: string, reading: CellReading): Rightness {
  const { keyCell, value } = wanted;
  const isOutput = wanted.column === "output";
  const byKey = keyCell !== undefined && (isOutput ? sameOutput(cell, keyCell) : sameValue(cell, keyCell, reading));
  if (byKey && !way.diverged) return "key";
  if (value !== null && !isUnknown(value)) {
    if (sameValue(cell, run.write(value), reading)) return "own";
    if (reading.quotesCount) return "wrong";
    const read = run.read(cell, value);
    return !isUnknown(read) && run.write(read) === run.write(value) ? "own" : "wrong";
  }
  const holds = wanted.holds?.(cell) ?? null;
  if (holds !== null) return holds ? "own" : "wrong";
  if (byKey) return "key";
  // With the own values the program would have stopped here.
  return value !== null && stops(value) ? "wrong" : "open";
}

/** Goes on with the right value, where none was written. */
export function withRightValue(run: RecordedRun, way: Way, { name, value, column }: Wanted): Way {
  if (name === null || value === null) return way;
  const last = isUnknown(value) ? way.last : new Map(way.last).set(column, run.write(value));
  return { ...way, last, place: { ...way.place, values: new Map(way.place.values).set(name, value) } };
}

/** Goes on with a cell that was written in a row for what is wanted. */
export function withCell(
  run: RecordedRun,
  way: Way,
  wanted: Wanted,
  row: number,
  cell: string,
  right: Rightness,
  isGiven: boolean,
): Way {
  const { column, name, keyRow: key, keyCell } = wanted;
  const like = wanted.value ?? (name === null ? undefined : way.place.values.get(name));
  // The own value counts from here on, as it is written.
  const value = right === "own" && wanted.value ? wanted.value : name === null ? null : run.read(cell, like);
  const values = name !== null && value !== null ? new Map(way.place.values).set(name, value) : way.place.values;
  const isRight = right === "key" || right === "own";
  const byKey = right === "own" && keyCell !== undefined && sameValue(cell, keyCell);
  const verdict: CellVerdict = isGiven
    ? "given"
    : right === "key" || byKey
      ? "right"
      : right === "own"
        ? "follows"
        : right;
  const meant = keyCell ?? (wanted.value ? run.write(wanted.value) : cell);
  return {
    ...way,
    ...{ row, used: new Set(row === way.row ? way.used : []).add(column), place: { ...way.place, values } },
    last: column === "output" ? way.last : new Map(way.last).set(column, cell),
    cost: way.cost + (right === "wrong" ? 1 : 0),
    right: way.right + (isRight && !isGiven ? 1 : 0),
    open: way.open + (right === "open" ? 1 : 0),
    notation: way.notation || (isRight && !isGiven && column !== "output" && otherNotation(cell, meant)),
    notes: { noted: { written: row, key, column, verdict }, before: way.notes },
  };
}

/** The cells of a table that hold something, by row; an output without the prompts in it. */
export function cellsThatCount(
  answer: readonly WrittenRow[],
  { columns, prompts }: Pick<FollowOptions, "columns" | "prompts">,
): Array<Map<string, string>> {
  return answer.map(
    ({ cells }) =>
      new Map(
        columns.flatMap((column) => {
          const cell = column === "output" ? withoutPrompts(cells[column] ?? "", prompts) : (cells[column] ?? "");
          return isNothing(cell) ? [] : [[column, cell] as const];
        }),
      ),
  );
}

/**
 * Leaves a row behind: what of it is not used and is an unchanged value costs nothing, anything else one cell for the
 * whole row.
 */
export function leaveRow(
  run: RecordedRun,
  way: Way,
  cells: ReadonlyMap<string, string> | undefined,
  row: number,
  used: ReadonlySet<string>,
): Way {
  if (!cells || cells.size === 0) return way;
  let notes = way.notes;
  let isSurplus = false;
  const written: Array<[string, string]> = [];
  for (const [column, cell] of cells) {
    if (used.has(column)) continue;
    const verdict = isRepeat(run, way, column, cell) ? "repeat" : "surplus";
    notes = { noted: { written: row, key: null, column, verdict }, before: notes };
    if (verdict === "repeat") continue;
    isSurplus = true;
    if (column !== "output") written.push([column, cell]);
  }
  const last = written.length === 0 ? way.last : new Map([...way.last, ...written]);
  return { ...way, last, notes, cost: way.cost + (isSurplus ? 1 : 0) };
}

function isRepeat(run: RecordedRun, way: Way, column: string, cell: string): boolean {
  if (column === "output") return false;
  const own = way.last.get(column);
  if (own !== undefined && sameValue(own, cell)) return true;
  const value = way.place.values.get(run.nameOf(column, functionAt(way.place)) ?? "");
  return value !== undefined && !isUnknown(value) && sameValue(run.write(value), cell);
}

/** What came of a way that is through. */
export function followedBy(way: Way): Followed {
  const noted: Noted[] = [];
  for (let note = way.notes; note; note = note.before) noted.push(note.noted);
  const { cost: slips, right, open, notation, absorbed } = way;
  return { slips, right, open, notation, absorbed, noted: noted.reverse() };
}
