import type { Language } from "../languages/language.ts";
import { alignRows } from "./alignRows.ts";
import { type CellReading, sameValue } from "./cellValues.ts";
import { followPlaces, type Shifts } from "./ownRun/followPlaces.ts";
import { cellsAskedFor, followRows } from "./ownRun/followRows.ts";
import { lineValuesOf } from "./ownRun/lineValue.ts";
import { type KeyColumn, type KeyRow, type RecordedRun, recordedRun } from "./ownRun/recordedRun.ts";
import type { CellVerdict, Followed, FollowOptions, WrittenRow } from "./ownRun/way.ts";

export type { KeyColumn, KeyRow } from "./ownRun/recordedRun.ts";
export type { CellVerdict, WrittenRow } from "./ownRun/way.ts";

/** What a table is marked against: its key with every variable, and what of it is asked for. */
export type TableToMark = {
  language: Language | undefined;
  program: string;
  key: readonly KeyRow[];
  /** Every variable of the key; `columns` are those that are asked for, by key, "output" among them. */
  variables: readonly KeyColumn[];
  columns: readonly string[];
  given: ReadonlySet<string>;
  /** The rows and their lines are printed. */
  linesGiven: boolean;
  reading: CellReading;
  /** Another notation than the table's is a slip, once. */
  notationCounts: boolean;
  cut: boolean;
  prompts: readonly string[];
};

export type TraceMarking = {
  /** Cells of the key that were to be filled in; those that earn; those that only the teacher can say. */
  wanted: number;
  right: number;
  open: number;
  /** Slips, each of them one cell: a wrong or missing cell, a row too many, a decision taken wrongly, a shift, a notation. */
  slips: number;
  /** What was found used throughout, in words for the student. */
  throughout: string[];
  rows: Array<{ key: number | null; cells: Record<string, CellVerdict> }>;
  missingRows: number[];
};

/** Marks a filled trace table. What is right by the key or by the student's own values before it earns; a slip costs once. */
export function markTraceTable(table: TableToMark, answer: readonly WrittenRow[]): TraceMarking {
  const options: FollowOptions = {
    ...{ columns: table.columns, given: table.given, reading: table.reading, cut: table.cut, prompts: table.prompts },
  };
  const wanted = cellsAskedFor(table.key, table);
  const run = table.language ? recordedRun(table.language, table.program, table.key, table.variables) : null;
  const readings: Reading[] = [];
  if (run) readings.push(...(table.linesGiven ? byPlaces : byRows)(run, table, answer, options));
  // A table of hardly anything but slips may be nearer to the key than to any run of its own values; it never earns less for that.
  if (readings.length === 0 || table.linesGiven) readings.push(byAlignment(table, answer));
  const marked = readings.map((reading) => ({ reading, earned: earnedBy(reading, wanted, table) }));
  const [best] = marked.sort((one, other) => other.earned.share - one.earned.share);
  if (!best) throw new Error("a table is read in one way at least");
  const { followed, throughout } = best.reading;
  const notation = table.notationCounts && followed.notation;
  return {
    ...{ wanted: best.earned.wanted, right: best.earned.cells, open: followed.open, slips: best.earned.slips },
    throughout: notation ? [...throughout, "values are written in another way than the table’s"] : throughout,
    ...laidOut(table, answer, followed),
  };
}

/** One way to read a table: what it came to, and what was done throughout, each of which is a slip. */
type Reading = { followed: Followed; throughout: string[] };

/**
 * Cells that a reading earns. What is missing because of a decision that was taken otherwise costs nothing; but no more is
 * forgiven than was written and is right, so that an empty table earns nothing.
 */
function earnedBy({ followed, throughout }: Reading, all: number, table: TableToMark) {
  const wanted = all - followed.absorbed;
  const slips = followed.slips + throughout.length + (table.notationCounts && followed.notation ? 1 : 0);
  const cells = Math.max(0, Math.min(wanted - slips - followed.open, 2 * followed.right));
  return { wanted, slips, cells, share: wanted <= 0 ? 1 : cells / wanted };
}

/** Rows are printed: as they stand, and with all columns or one of them a row too early or too late. */
function byPlaces(
  run: RecordedRun,
  table: TableToMark,
  answer: readonly WrittenRow[],
  options: FollowOptions,
): Reading[] {
  const read = (shifts: Shifts, throughout: string[]): Reading =>
    movedBack({ followed: followPlaces(run, table.key, answer, options, shifts), throughout }, shifts);
  const plain = read({}, []);
  // A slip or two are no shift.
  if (plain.followed.slips < 3) return [plain];
  const all = (by: number) => Object.fromEntries(table.columns.map((column) => [column, by]));
  return [
    plain,
    ...[1, -1].map((by) => read(all(by), [`all values stand ${rowTooFar(by)}`])),
    ...eachColumn(table, (column, by, words) => read({ [column]: by }, [words])),
  ];
}

const rowTooFar = (by: number) => `a row too ${by > 0 ? "late" : "early"}`;

/** Something for each column moved by a row, later and earlier, with the words for that. */
function eachColumn<Made>(table: TableToMark, make: (column: string, by: number, words: string) => Made): Made[] {
  return table.columns.flatMap((column) => {
    const title = table.variables.find(({ key }) => key === column)?.title ?? column;
    return [1, -1].map((by) => make(column, by, `the values of ${title} stand ${rowTooFar(by)}`));
  });
}

/** What was noted of moved columns, at the rows in which the student wrote. */
function movedBack({ followed, throughout }: Reading, shifts: Shifts): Reading {
  const noted = followed.noted.map((each) =>
    each.written === null ? each : { ...each, written: each.written + (shifts[each.column] ?? 0) },
  );
  return { followed: { ...followed, noted }, throughout };
}

/** Rows are the student's own: a row for each line, change or pass. */
function byRows(
  run: RecordedRun,
  table: TableToMark,
  answer: readonly WrittenRow[],
  options: FollowOptions,
): Reading[] {
  const asked = cellsAskedFor(table.key, table);
  const readings: Reading[] = [];
  let best = 0;
  const read = (rows: readonly WrittenRow[], shifts: Shifts, throughout: string[], passes = false) => {
    // Only what earns more than the readings before is of use; where rows stand for passes, fewer cells are asked for.
    const atLeast = passes || readings.length === 0 ? undefined : best * asked + throughout.length;
    const followed = followRows(run, table.key, rows, { ...options, passes }, atLeast);
    if (!followed) return;
    const reading = movedBack({ followed, throughout }, shifts);
    readings.push(reading);
    best = Math.max(best, earnedBy(reading, asked, table).share);
  };
  read(answer, {}, []);
  if ((readings[0]?.followed.slips ?? 0) < 2) return readings;
  const moved = (column: string, by: number) =>
    Array.from({ length: answer.length + 1 }, (_, row) => {
      const cells = { ...answer[row]?.cells };
      delete cells[column];
      const cell = answer[row + by]?.cells[column];
      return { cells: cell === undefined ? cells : { ...cells, [column]: cell } };
    });
  read(answer, {}, [], true);
  eachColumn(table, (column, by, words) => read(moved(column, by), { [column]: by }, [words]));
  return readings;
}

/** For programs that cannot be gone through: rows laid beside the key's, and single lines worked out by the own values. */
function byAlignment(table: TableToMark, answer: readonly WrittenRow[]): Reading {
  const lineValue = table.language ? lineValuesOf(table.language, table.program) : () => null;
  const variableOf = new Map(table.variables.map((variable) => [variable.key, variable]));
  const follows = (row: KeyRow, column: string, cell: string, own: ReadonlyMap<string, string>): boolean => {
    const variable = variableOf.get(column);
    if (!variable) return false;
    const value = lineValue(row.line, variable.title, (name) => {
      const same = table.variables.find((each) => each.title === name && each.functionName === variable.functionName);
      const found = same ?? table.variables.find((each) => each.title === name && each.functionName === undefined);
      return found && own.get(found.key);
    });
    return value !== null && sameValue(value, cell, table.reading);
  };
  return { followed: alignRows({ ...table, follows }, answer), throughout: [] };
}

/** The verdicts by row of the answer, with the row of the key that each was laid beside. */
function laidOut(
  table: TableToMark,
  answer: readonly WrittenRow[],
  { noted }: Followed,
): Pick<TraceMarking, "rows" | "missingRows"> {
  const rows: TraceMarking["rows"] = answer.map((_, row) => ({ key: table.linesGiven ? row : null, cells: {} }));
  const found = new Set<number>();
  for (const { written, key, column, verdict } of noted) {
    if (written === null) continue;
    const row = rows[written];
    if (!row) continue;
    if (key !== null && row.key === null) row.key = key;
    if (key !== null) found.add(key);
    if (verdict !== "repeat") row.cells[column] = verdict;
  }
  const owed = table.key.flatMap(({ cells }, row) =>
    !table.linesGiven &&
    !found.has(row) &&
    table.columns.some((column) => cells[column] !== undefined && !table.given.has(`${row} ${column}`))
      ? [row]
      : [],
  );
  const missing = new Set(noted.flatMap(({ key, verdict }) => (verdict === "missing" && key !== null ? [key] : [])));
  return { rows, missingRows: owed.filter((row) => missing.has(row)) };
}

/** Marks earned for a marked table: the share of the wanted cells, in half marks, rounded down. */
export function traceMarks(marking: Pick<TraceMarking, "wanted" | "right">, marks: number): number {
  if (marking.wanted <= 0) return marks;
  return Math.floor((marks * marking.right * 2) / marking.wanted + 1e-9) / 2;
}
