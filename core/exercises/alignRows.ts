import { type CellReading, normalValue, otherNotation, sameValue } from "./cellValues.ts";
import type { KeyRow } from "./ownRun/recordedRun.ts";
import { cellsThatCount, type Followed, type Noted, type WrittenRow } from "./ownRun/way.ts";

/** What rows are laid beside; `follows` says whether a cell is right by the values that were written before it. */
export type Alignment = {
  key: readonly KeyRow[];
  columns: readonly string[];
  given: ReadonlySet<string>;
  linesGiven: boolean;
  reading: CellReading;
  cut: boolean;
  prompts: readonly string[];
  follows: (row: KeyRow, column: string, cell: string, own: ReadonlyMap<string, string>) => boolean;
};

/** A table with only real changes: a repeated unchanged value equals a blank. Output cells stand for themselves. */
function changesOnly(rows: ReadonlyArray<ReadonlyMap<string, string>>): Array<Map<string, string>> {
  const current = new Map<string, string>();
  return rows.map((row) => {
    const changes = new Map<string, string>();
    for (const [column, cell] of row) {
      const value = normalValue(cell);
      if (column !== "output" && current.get(column) === value) continue;
      current.set(column, value);
      changes.set(column, cell);
    }
    return changes;
  });
}

/**
 * Marks a table by its key alone. Rows are laid beside each other so that as many cells as possible agree (the best
 * alignment, by dynamic programming as for the longest common subsequence), so a row left out or added costs once and does
 * not shift what follows; where lines are printed, rows belong together by their place.
 */
export function alignRows(table: Alignment, answer: readonly WrittenRow[]): Followed {
  const { columns, key, reading } = table;
  const all = cellsThatCount(answer, table);
  const wanted = changesOnly(
    cellsThatCount(
      key.map(({ cells }) => ({ cells })),
      { columns, prompts: [] },
    ),
  );
  const written = changesOnly(all);
  const same = (one: string, other: string) => sameValue(one, other, reading);
  const agreement = (row: number, at: number): number => {
    let points = 0;
    for (const column of columns) {
      const [right, own] = [wanted[row]?.get(column), written[at]?.get(column)];
      if (right !== undefined && own !== undefined) points += same(right, own) ? 1 : 0.05;
      else if (own !== undefined) points -= 0.5;
    }
    const [lineRight, lineOwn] = [String(key[row]?.line ?? ""), answer[at]?.line?.trim()];
    return points + (lineOwn !== undefined && lineOwn !== "" && lineRight === lineOwn ? 0.5 : 0);
  };
  const pairs = table.linesGiven
    ? answer.map((_, index) => (index < key.length ? index : null))
    : align(key.length, answer.length, agreement);

  const noted: Noted[] = [];
  const result: Followed = { slips: 0, right: 0, open: 0, notation: false, noted, absorbed: 0 };
  const own = new Map<string, string>();
  const standing = new Map<string, string>();
  const lastPaired = pairs.findLastIndex((row) => row !== null);
  for (const [at, row] of pairs.entries()) {
    let isSurplus = false;
    for (const column of columns) {
      const right = row === null ? undefined : wanted[row]?.get(column);
      const isGiven = row !== null && table.given.has(`${row} ${column}`);
      const cell = isGiven
        ? right
        : (written[at]?.get(column) ?? (right === undefined ? undefined : all[at]?.get(column)));
      const note = (verdict: Noted["verdict"]) => noted.push({ written: at, key: row, column, verdict });
      const keyRow = row === null ? undefined : key[row];
      if (right !== undefined && isGiven) note("given");
      else if (right !== undefined && cell === undefined) {
        note("missing");
        result.slips += 1;
      } else if (right !== undefined && cell !== undefined) {
        const verdict = same(right, cell)
          ? "right"
          : keyRow && table.follows(keyRow, column, cell, own)
            ? "follows"
            : "wrong";
        note(verdict);
        if (verdict === "wrong") result.slips += 1;
        else result.right += 1;
        result.notation ||= verdict === "right" && column !== "output" && otherNotation(cell, right);
      } else if (cell !== undefined) {
        const isRepeat =
          column !== "output" && standing.get(column) !== undefined && same(standing.get(column) ?? "", cell);
        note(isRepeat ? "repeat" : "surplus");
        isSurplus ||= !isRepeat && !(table.cut && at > lastPaired);
      }
      if (right !== undefined) standing.set(column, right);
      if (cell !== undefined && column !== "output") own.set(column, cell);
      else if (right !== undefined && column !== "output") own.set(column, right);
    }
    if (isSurplus) result.slips += 1;
  }
  const paired = new Set(pairs);
  for (const [row, cells] of wanted.entries()) {
    if (paired.has(row)) continue;
    for (const column of cells.keys()) {
      if (table.given.has(`${row} ${column}`)) continue;
      noted.push({ written: null, key: row, column, verdict: "missing" });
      result.slips += 1;
    }
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
