import { normalValue } from "./cellValues.ts";

/**
 * A row as it is compared: the line as written, and its cells by column key ("output" among them). Absent and "" are
 * blank.
 */
export type MarkedRow = { line?: string; cells: Readonly<Record<string, string>> };

export type CellVerdict = "right" | "wrong" | "missing" | "surplus" | "given";
export type TraceMarking = {
  /** Cells of the key that were to be filled in, those right, and values written where nothing belongs. */
  wanted: number;
  right: number;
  surplus: number;
  /**
   * For each row of the answer the row of the key it was laid beside (null: an added row), and a verdict for each cell
   * that has one.
   */
  rows: Array<{ key: number | null; cells: Record<string, CellVerdict> }>;
  missingRows: number[];
};

/** A table with only real changes: a repeated unchanged value equals a blank. Output cells stand for themselves. */
function changesOnly(rows: readonly MarkedRow[], columns: readonly string[]): Array<Record<string, string>> {
  const current: Record<string, string> = {};
  return rows.map((row) => {
    const changes: Record<string, string> = {};
    for (const column of columns) {
      const value = normalValue(row.cells[column] ?? "");
      if (value === "") continue;
      if (column !== "output" && current[column] === value) continue;
      current[column] = value;
      changes[column] = value;
    }
    return changes;
  });
}

/**
 * Marks a filled trace table against its key. Rows are laid beside each other so that as many cells as possible agree
 * (the best alignment, by dynamic programming as for the longest common subsequence), so a row left out or added costs
 * once and does not shift what follows. `given` names the cells that were printed on the sheet ("row column"): they
 * earn nothing. `wholeRows` true (line numbers given): rows belong together by their place and are not shifted.
 */
export function markTraceTable(
  key: readonly MarkedRow[],
  answer: readonly MarkedRow[],
  columns: readonly string[],
  given: ReadonlySet<string>,
  wholeRows: boolean,
): TraceMarking {
  const wantedRows = changesOnly(key, columns);
  const writtenRows = changesOnly(answer, columns);
  const isGiven = (row: number, column: string) => given.has(`${row} ${column}`);

  const agreement = (row: number, written: number): number => {
    let points = 0;
    for (const column of columns) {
      const [right, own] = [wantedRows[row]?.[column], writtenRows[written]?.[column]];
      if (right !== undefined && right === own) points += 1;
      else if (right !== own && own !== undefined) points -= 0.3;
    }
    const [lineRight, lineOwn] = [key[row]?.line, answer[written]?.line?.trim()];
    return points + (lineOwn !== undefined && lineOwn !== "" && lineRight === lineOwn ? 0.5 : 0);
  };

  const pairs = wholeRows
    ? answer.map((_, index) => (index < key.length ? index : null))
    : align(key.length, answer.length, agreement);
  const result: TraceMarking = { wanted: 0, right: 0, surplus: 0, rows: [], missingRows: [] };
  for (const [written, row] of pairs.entries()) {
    const cells: Record<string, CellVerdict> = {};
    for (const column of columns) {
      const own = writtenRows[written]?.[column];
      const right = row === null ? undefined : wantedRows[row]?.[column];
      if (row !== null && right !== undefined && isGiven(row, column)) cells[column] = "given";
      else if (right === undefined && own !== undefined) cells[column] = "surplus";
      else if (right !== undefined) cells[column] = own === undefined ? "missing" : own === right ? "right" : "wrong";
    }
    result.rows.push({ key: row, cells });
    if (row === null) {
      if (Object.keys(cells).length > 0) result.surplus += 1;
    } else {
      result.surplus += Object.values(cells).filter((verdict) => verdict === "surplus").length;
      result.right += Object.values(cells).filter((verdict) => verdict === "right").length;
    }
  }
  for (const [row, cells] of wantedRows.entries()) {
    result.wanted += columns.filter((column) => cells[column] !== undefined && !isGiven(row, column)).length;
    if (!pairs.includes(row)) result.missingRows.push(row);
  }
  return result;
}

/**
 * For each of `answers` rows the row of the key beside it, or null, so that the sum of `agreement` is greatest and the
 * order is kept.
 */
function align(
  keys: number,
  answers: number,
  agreement: (key: number, answer: number) => number,
): Array<number | null> {
  const width = keys + 1;
  const best = new Float64Array(width * (answers + 1));
  const beside = new Float64Array(width * (answers + 1));
  const at = (answer: number, key: number) => answer * width + key;
  for (let answer = answers - 1; answer >= 0; answer--) {
    for (let key = keys - 1; key >= 0; key--) {
      const pair = agreement(key, answer);
      const together = pair + (best[at(answer + 1, key + 1)] ?? 0) + 1e-6;
      const skip = Math.max(best[at(answer + 1, key)] ?? 0, best[at(answer, key + 1)] ?? 0);
      best[at(answer, key)] = Math.max(together, skip);
      beside[at(answer, key)] = together >= skip ? 1 : 0;
    }
  }
  const pairs: Array<number | null> = [];
  let key = 0;
  for (let answer = 0; answer < answers; ) {
    if (key >= keys) {
      pairs.push(null);
      answer += 1;
    } else if (beside[at(answer, key)] === 1) {
      pairs.push(key);
      answer += 1;
      key += 1;
    } else if ((best[at(answer + 1, key)] ?? 0) >= (best[at(answer, key + 1)] ?? 0)) {
      pairs.push(null);
      answer += 1;
    } else {
      key += 1;
    }
  }
  return pairs;
}

/**
 * Marks earned for a marked table: the share of the wanted cells that are right, each surplus value taking one away, in
 * half marks.
 */
export function traceMarks(marking: TraceMarking, marks: number): number {
  if (marking.wanted === 0) return marks;
  const share = Math.max(0, marking.right - marking.surplus) / marking.wanted;
  return Math.floor(marks * share * 2 + 1e-9) / 2;
}
