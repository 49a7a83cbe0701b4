import type { Language } from "../languages/language.ts";
import { readableTable } from "./annotate.ts";
import type { TableRow } from "./table.ts";
import type { TableColumn } from "./tableColumn.ts";
import type { Trace } from "./trace.ts";

/** A recorded run of a student's own text, a row for each line that ran. `ended`: how it came to its end, in words. */
export type OwnTable = { columns: TableColumn[]; rows: TableRow[]; ended: string };

/** Rows that a student goes through at most; a longer run is said to be cut there. */
export const mostOwnRows = 3000;

/** The table of a recording of a text in a language; `ended` as the run's own words say it. */
export function ownTable(language: Language, text: string, trace: Trace, ended: string): OwnTable {
  const { columns, rows } = readableTable(language, text, trace, { rows: "line" });
  const cut = trace.cut ?? (rows.length > mostOwnRows ? `Only the first ${mostOwnRows} rows are here.` : "");
  return { columns, rows: rows.slice(0, mostOwnRows), ended: [ended, cut].filter(Boolean).join(" ") };
}
