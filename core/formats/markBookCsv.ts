import { csvOf } from "./csv.ts";

/** The marks of all who sat an edition of a sheet: a column a task, a row a student and try. */
export type MarkTable = {
  number: number;
  /** Marks that can be earned in all. */
  total: number;
  columns: ReadonlyArray<{ exercise: number; title: string; marks: number }>;
  rows: ReadonlyArray<{
    label: string;
    state: "not begun" | "sitting" | "handed in";
    /** ISO 8601; null: not handed in. */
    handedInAt: string | null;
    /** Of each column; `waits`: something of it waits for the teacher. */
    cells: ReadonlyArray<{ earned: number; waits: boolean; marked: boolean }>;
    total: number;
    /** Items that wait for the teacher. */
    waiting: number;
  }>;
};

/**
 * The share of the possible marks that those who handed in have earned, in whole per cent, for each column and in all; ""
 * where nothing is marked. What waits for the teacher is left out of a column's share.
 */
export function sharesOf({ columns, rows, total }: Pick<MarkTable, "columns" | "rows" | "total">): {
  cells: string[];
  total: string;
} {
  const handedIn = rows.filter(({ state }) => state === "handed in");
  const share = (earned: number, possible: number) =>
    possible === 0 ? "" : `${Math.round((100 * earned) / possible)} %`;
  const settled = handedIn.filter(({ waiting, cells }) => waiting === 0 && cells.some(({ marked }) => marked));
  return {
    cells: columns.map(({ marks }, at) => {
      const cells = handedIn.flatMap((row) => row.cells[at] ?? []).filter(({ marked, waits }) => marked && !waits);
      return share(
        cells.reduce((sum, { earned }) => sum + earned, 0),
        cells.length * marks,
      );
    }),
    total: share(
      settled.reduce((sum, row) => sum + row.total, 0),
      settled.length * total,
    ),
  };
}

/** A moment as spreadsheets take it for one, in the time of the zone. */
function asMoment(time: string, timeZone: string): string {
  return new Date(time).toLocaleString("sv-SE", { timeZone, dateStyle: "short", timeStyle: "short" });
}

/**
 * Mark tables as comma-separated values (RFC 4180), one below the other with an edition's number in each row; numbers are
 * bare, so that a spreadsheet counts with them. `timeZone` by its name in the IANA database.
 */
export function markBookCsv(tables: readonly MarkTable[], timeZone: string): string {
  const rows = tables.flatMap((table) => [
    [
      ...["Edition", "Student", "State", "Handed in"],
      ...table.columns.map(({ exercise, title, marks }) => `${exercise}. ${title} (of ${marks})`),
      ...[`Total (of ${table.total})`, "Waits"],
    ],
    ...table.rows.map((row) => [
      ...[String(table.number), row.label, row.state],
      row.handedInAt === null ? "" : asMoment(row.handedInAt, timeZone),
      ...row.cells.map(({ earned, marked }) => (marked ? String(earned) : "")),
      ...[row.state === "handed in" ? String(row.total) : "", String(row.waiting)],
    ]),
  ]);
  return csvOf(rows);
}
