import type { KeyRow, RecordedRun } from "./recordedRun.ts";
import {
  cellsThatCount,
  type Followed,
  type FollowOptions,
  firstWay,
  followedBy,
  isUnchanged,
  leaveRow,
  rightness,
  type Way,
  type WrittenRow,
  wantedOf,
  withCell,
  withRightValue,
} from "./way.ts";

/** How rows are moved against those that are printed: +1 where values stand a row too late. By column. */
export type Shifts = Readonly<Record<string, number>>;

/**
 * Holds a table whose rows are printed against the program, gone through with the student's own values: each cell in its
 * row. Decisions are those of the recorded run, since its lines are printed; so no row is added or left out. `shifts` moves
 * columns against the rows; what is moved off the table's ends is not asked for.
 */
export function followPlaces(
  run: RecordedRun,
  key: readonly KeyRow[],
  answer: readonly WrittenRow[],
  options: FollowOptions,
  shifts: Shifts = {},
): Followed {
  const written = shifted(cellsThatCount(answer, options), options, shifts);
  const shown = new Set(options.columns);
  const off = (row: number, column: string) => {
    const from = row + (shifts[column] ?? 0);
    return from < 0 || from >= Math.max(answer.length, key.length) || (from >= answer.length && row === key.length - 1);
  };
  let way: Way = firstWay;
  let row = -1;
  const used = new Map<number, Set<string>>();
  const leave = (until: number) => {
    for (; row < until; row++) if (row >= 0) way = leaveRow(run, way, written[row], row, used.get(row) ?? new Set());
  };
  for (;;) {
    const former = way.place.values;
    const { place, happening } = run.machine(way.place, run.firstPlace);
    way = { ...way, place };
    if (happening.happens === "row") {
      const { line, time } = happening;
      const at = run.rowOf(line, time);
      way = { ...way, line, time };
      if (at === undefined) break;
      leave(at);
      continue;
    }
    if (happening.happens === "decision") {
      const truth = run.decisions[way.decisions];
      if (truth === undefined) break;
      const at = truth ? happening.ways.holds : happening.ways.fails;
      way = { ...way, decisions: way.decisions + 1, place: { ...place, at } };
      continue;
    }
    if (happening.happens === "end" || happening.happens === "lost") break;
    for (const wanted of wantedOf(run, key, way, happening, former)) {
      const { column, keyRow } = wanted;
      // With own values nothing may change where the key has a cell: the value is written all the same.
      const isPrinted = keyRow !== null && wanted.keyCell !== undefined;
      const cell = keyRow === null ? undefined : written[keyRow]?.get(column);
      const isGiven = keyRow !== null && options.given.has(`${keyRow} ${column}`);
      if (keyRow === null || !shown.has(column) || (isUnchanged(run, wanted) && (!isPrinted || cell === undefined))) {
        way = withRightValue(run, way, wanted);
        continue;
      }
      if (!isPrinted && cell === undefined) {
        way = withRightValue(run, way, wanted);
        continue;
      }
      const has = used.get(keyRow) ?? new Set();
      if (isGiven || (cell !== undefined && !has.has(column))) {
        used.set(keyRow, has.add(column));
        const own = isGiven ? (wanted.keyCell ?? "") : (cell ?? "");
        const right = isGiven ? "key" : rightness(run, way, wanted, own, options.reading);
        way = withCell(run, way, wanted, keyRow, own, right, isGiven);
        continue;
      }
      const isOff = off(keyRow, column);
      const noted = { written: keyRow, key: keyRow, column, verdict: "missing" as const };
      way = {
        ...withRightValue(run, way, wanted),
        ...(isOff ? {} : { cost: way.cost + 1 }),
        notes: { noted, before: way.notes },
      };
    }
  }
  leave(options.cut ? key.length : Math.max(written.length, key.length));
  return followedBy(way);
}

/** Rows with each column moved; cells that were given stay where they are. */
function shifted(rows: Array<Map<string, string>>, options: FollowOptions, shifts: Shifts): Array<Map<string, string>> {
  if (Object.keys(shifts).length === 0) return rows;
  return Array.from({ length: rows.length + 1 }, (_, row) => {
    const cells = new Map<string, string>();
    for (const column of options.columns) {
      if (options.given.has(`${row} ${column}`)) continue;
      const cell = rows[row + (shifts[column] ?? 0)]?.get(column);
      if (cell !== undefined) cells.set(column, cell);
    }
    return cells;
  });
}
