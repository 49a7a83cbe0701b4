import { isUnknown } from "../../expressions/known.ts";
import type { Answer } from "../../expressions/rules.ts";
import type { Language } from "../../languages/language.ts";
import { isNothing, sameValue } from "../cellValues.ts";
import { instructionsOf } from "./instructions.ts";
import {
  beginning,
  createEvaluator,
  createMachine,
  functionAt,
  type Machine,
  nameFolding,
  type Place,
  signature,
  stops,
} from "./machine.ts";
import { readCell } from "./readCell.ts";

/** A row of a trace table's key: its line, and its cells by the keys of the columns ("output" among them). */
export type KeyRow = { line: number; cells: Readonly<Record<string, string>> };

/** A column of the table: a variable of the program or of its main function. */
export type KeyColumn = { key: string; title: string; functionName?: string; className?: string };

/** What a line took from the recorded run when it ran: the cells of its row, and the values that were used. */
type Taken = { row: number; used: ReadonlyMap<string, string> };

/**
 * A program that can be gone through from any values, and how its recorded run went by that: the row of the key for each
 * time that a line ran, the decisions in their order, and what its prints wrote.
 */
export type RecordedRun = {
  machine: Machine;
  firstPlace: 0 | 1;
  /** The column of a name, in the main part (null) or in a function of the program. */
  columnOf: (name: string, inside: string | null) => string | null;
  rowOf: (line: number, time: number) => number | undefined;
  decisions: readonly boolean[];
  taken: (line: number, time: number) => Taken | undefined;
  /** The name that stands in a column, if it is one of the main part (null) or of that function. */
  nameOf: (column: string, inside: string | null) => string | null;
  write: (value: Answer) => string;
  read: (text: string, like: Answer | undefined) => Answer;
  /** Lines whose values are shown without a print. */
  shows: ReadonlySet<number>;
};

/** True if the values that a line uses are those that it had in the recorded run. */
export function usesTheSame(place: Place, taken: Taken): boolean {
  return [...taken.used].every(([name, text]) => signature(place.values.get(name)) === text);
}

/**
 * Goes through a program as its recorded run did, into its own functions where it can, and holds every value against the key.
 * Null where that cannot be done or comes to something else: then nothing is worked out by it.
 */
export function recordedRun(
  language: Language,
  text: string,
  key: readonly KeyRow[],
  columns: readonly KeyColumn[],
): RecordedRun | null {
  for (const goesInto of [true, false])
    for (const firstPlace of [0, 1] as const) {
      const run = goThrough(language, text, key, columns, firstPlace, goesInto);
      if (run) return run;
    }
  return null;
}

function goThrough(
  language: Language,
  text: string,
  key: readonly KeyRow[],
  columns: readonly KeyColumn[],
  firstPlace: 0 | 1,
  goesInto: boolean,
): RecordedRun | null {
  const instructions = instructionsOf(language, text, goesInto);
  const rules = language.values;
  if (!instructions || !rules) return null;
  const fold = nameFolding(language);
  const functionOf = ({ functionName }: KeyColumn): string | null =>
    functionName === undefined || functionName === instructions.mainFunction ? null : functionName;
  const isMine = (column: KeyColumn) => {
    const inside = functionOf(column);
    return inside === null || instructions.functions.has(inside);
  };
  const mine = columns.filter(isMine);
  const placed = (name: string, inside: string | null) => `${inside ?? ""} ${fold(name)}`;
  const names = new Map(
    mine.map((column) => [column.key, { name: fold(column.title), inside: functionOf(column) }] as const),
  );
  const keyOf = new Map(mine.map((column) => [placed(column.title, functionOf(column)), column.key]));
  if (keyOf.size !== mine.length) return null;
  const nameOf = (column: string, inside: string | null): string | null => {
    const known = names.get(column);
    return known && known.inside === inside ? known.name : null;
  };
  const others = new Set(columns.filter((column) => !mine.includes(column)).map(({ key }) => key));
  const machine = createMachine(language, instructions, createEvaluator(language));
  const rows = new Map<string, number>();
  const taken = new Map<string, Taken>();
  const decisions: boolean[] = [];
  const shows = new Set<number>();
  const write = (value: Answer) => (isUnknown(value) ? "?" : rules.write(value));
  const run: RecordedRun = {
    ...{ machine, firstPlace, decisions, nameOf, write, shows },
    columnOf: (name, inside) => keyOf.get(placed(name, inside)) ?? null,
    rowOf: (line, time) => rows.get(`${line} ${time}`),
    taken: (line, time) => taken.get(`${line} ${time}`),
    read: (written, like) => readCell(language, written, like),
  };

  let place = beginning;
  let row = -1;
  /** Cells of the row that nothing has accounted for yet. */
  let open = new Map<string, string>();
  const close = () => {
    if (open.size === 0) return true;
    // What a language shows of a value that nothing prints.
    if (open.size === 1 && open.has("output") && row >= 0) {
      shows.add(key[row]?.line ?? 0);
      return true;
    }
    return false;
  };
  const blank = (at: number) => Object.values(key[at]?.cells ?? {}).every((cell) => isNothing(cell));
  for (;;) {
    const next = machine(place, firstPlace);
    const { happening } = next;
    place = next.place;
    if (happening.happens === "row") {
      if (!close()) return null;
      let at = row + 1;
      // The end of a loop is no row in every language.
      const behind = key[at]?.line === happening.line ? null : machine(place, firstPlace).happening;
      if (behind?.happens === "decision" && behind.holds === false) {
        rows.set(`${happening.line} ${happening.time}`, row);
        continue;
      }
      while (at < key.length && key[at]?.line !== happening.line && blank(at)) at += 1;
      if (at >= key.length) return done(key, row) ? run : null;
      if (key[at]?.line !== happening.line) return null;
      row = at;
      rows.set(`${happening.line} ${happening.time}`, row);
      const cells = Object.entries(key[row]?.cells ?? {}).filter(([, cell]) => !isNothing(cell));
      if (cells.some(([column]) => others.has(column))) return null;
      open = new Map(cells);
      continue;
    }
    const isStop =
      (happening.happens === "value" && stops(happening.value)) ||
      (happening.happens === "print" && happening.values.some(stops));
    // Where the program was stopped, its table ends.
    if (isStop) return close() && done(key, row) ? run : null;
    if (happening.happens === "value") {
      const column = run.columnOf(happening.name, functionAt(place)) ?? undefined;
      if (column === undefined) continue;
      const cell = open.get(column);
      const own = write(happening.value);
      if (cell === undefined) {
        // Nothing changed, or the language shows nothing of it yet.
        if (standing(key, row, column) !== null && !sameValue(standing(key, row, column) ?? "", own)) return null;
        continue;
      }
      if (!sameValue(cell, own)) {
        const read = readCell(language, cell, happening.value);
        if (isUnknown(read) || write(read) !== own) return null;
      }
      open.delete(column);
      continue;
    }
    if (happening.happens === "take") {
      const used = new Map(happening.names.map((name) => [fold(name), signature(place.values.get(fold(name)))]));
      taken.set(`${happening.line} ${happening.time}`, { row, used: happening.reads ? new Map() : used });
      const values = new Map(place.values);
      for (const [column, cell] of open) {
        const name = nameOf(column, functionAt(place));
        if (name !== null) values.set(name, readCell(language, cell, values.get(name)));
      }
      place = { ...place, values };
      open = new Map();
      continue;
    }
    if (happening.happens === "print") {
      open.delete("output");
      continue;
    }
    if (happening.happens === "decision") {
      if (happening.holds === null) return null;
      decisions.push(happening.holds);
      continue;
    }
    return close() && done(key, row) ? run : null;
  }
}

/** True if no row below holds anything. */
function done(key: readonly KeyRow[], row: number): boolean {
  return key.slice(row + 1).every(({ cells }) => Object.values(cells).every((cell) => isNothing(cell)));
}

/** What stands in a column at a row by the key; null where nothing was written yet. */
function standing(key: readonly KeyRow[], row: number, column: string): string | null {
  for (let at = row; at >= 0; at--) {
    const cell = key[at]?.cells[column];
    if (cell !== undefined && !isNothing(cell)) return cell;
  }
  return null;
}
