import { signature, stops } from "./machine.ts";
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
  type Wanted,
  type Way,
  type WrittenRow,
  wantedOf,
  withCell,
  withRightValue,
} from "./way.ts";

/** How many ways are kept after each change, and over how many rows that hold something one may look for a value. */
const widest = 60;
const furthest = 6;

/** What counts against a way: cells that it costs, and such as only the teacher can say. */
const against = (way: Way) => way.cost + way.open;

/**
 * Holds a table whose rows the student made against the program itself, gone through with the student's own values: of all
 * ways to read the table the one that costs the fewest cells (a search in width that keeps the cheapest ways). Rows may be
 * put together where no column changes twice. `atLeast`: cells of which more have to be earned for a reading to be of use.
 * Null where the program cannot be gone through to its end, or no reading earns more than that.
 */
export function followRows(
  run: RecordedRun,
  key: readonly KeyRow[],
  answer: readonly WrittenRow[],
  options: FollowOptions,
  atLeast = Number.NEGATIVE_INFINITY,
): Followed | null {
  const written = cellsThatCount(answer, options);
  const shown = new Set(options.columns);
  const asked = cellsAskedFor(key, options);
  /** What a way earns; no more than twice of what was written and is right, so that a decision taken otherwise forgives no more. */
  const earns = (way: Way) => Math.min(asked - way.absorbed - against(way), 2 * way.right);
  const isBetter = (one: Way, other: Way) =>
    earns(one) !== earns(other) ? earns(one) > earns(other) : against(one) < against(other);
  let ways: Way[] = [firstWay];
  let best: Way | null = null;
  const most = key.length * 4 + written.length * 4 + 400;
  for (let round = 0; ways.length > 0 && round < most; round++) {
    const next: Way[] = [];
    for (const way of ways)
      for (const { wanted, ...each } of onward(run, key, way, options)) {
        if (wanted) {
          next.push(...fillIn(run, each.way, wanted, written, shown, options));
          continue;
        }
        if (!each.way.over) {
          next.push(each.way);
          continue;
        }
        const through = finish(run, written, each.way, options);
        if (!best || isBetter(through, best)) best = through;
      }
    // Nothing that is still going on can earn more than what it has not lost yet.
    const least = best ? Math.max(earns(best), atLeast) : atLeast;
    ways = cheapest(next.filter((way) => asked - against(way) > least));
  }
  return best && followedBy(best);
}

/** How many cells of a key are to be filled in. */
export function cellsAskedFor(
  key: readonly KeyRow[],
  { columns, given }: Pick<FollowOptions, "columns" | "given">,
): number {
  return key.reduce(
    (sum, row, index) =>
      sum + columns.filter((column) => row.cells[column] !== undefined && !given.has(`${index} ${column}`)).length,
    0,
  );
}

/** The cheapest ways, those that are alike once. */
function cheapest(ways: Way[]): Way[] {
  ways.sort((one, other) => against(one) - against(other) || other.right - one.right || one.row - other.row);
  const seen = new Set<string>();
  const kept: Way[] = [];
  for (const way of ways) {
    const values = [...way.place.values].map(([name, value]) => `${name}=${signature(value)}`).join(" ");
    const rest = `${[...way.used]} ${[...way.waiting.keys()]} ${way.queue.length} ${way.diverged}`;
    const alike = `${way.place.at} ${way.row} ${rest} ${values}`;
    if (seen.has(alike)) continue;
    seen.add(alike);
    kept.push(way);
    if (kept.length >= widest) break;
  }
  return kept;
}

type Onward = { way: Way; wanted: Wanted | null };

/** Goes on to what is to be seen next; a decision forks, since it may have been taken otherwise. */
function onward(run: RecordedRun, key: readonly KeyRow[], from: Way, options: FollowOptions): Onward[] {
  const [queued, ...queue] = from.queue;
  if (queued) return [{ way: { ...from, queue }, wanted: queued }];
  let way = from;
  for (;;) {
    const former = way.place.values;
    const { place, happening } = run.machine(way.place, run.firstPlace);
    way = { ...way, place };
    if (happening.happens === "end" || happening.happens === "lost")
      return [{ way: { ...way, over: true }, wanted: null }];
    if (happening.happens === "row") {
      way = { ...way, line: happening.line, time: happening.time };
      const begun = [...place.times.values()].reduce((sum, time) => sum + time, 0);
      const isBehind = way.diverged
        ? begun > key.length + (options.cut ? 0 : 200)
        : run.rowOf(happening.line, happening.time) === undefined;
      if (isBehind) return [{ way: { ...way, over: true }, wanted: null }];
      continue;
    }
    if (happening.happens === "decision") {
      const { holds, ways, isOpen } = happening;
      const taken = (truth: boolean, cost: number): Onward => ({
        way: {
          ...way,
          place: { ...place, at: truth ? ways.holds : ways.fails },
          cost: way.cost + cost,
          decisions: way.decisions + 1,
          diverged: way.diverged || run.decisions[way.decisions] !== truth,
        },
        wanted: null,
      });
      if (holds === null) return [taken(true, 0), taken(false, 0)];
      return [taken(holds, 0), taken(!holds, isOpen ? 0 : 1)];
    }
    const [first, ...rest] = wantedOf(run, key, way, happening, former);
    const isStop =
      (happening.happens === "value" && stops(happening.value)) ||
      (happening.happens === "print" && happening.values.some(stops));
    if (isStop) {
      // With the own values it would stop here; who goes on with the real ones is right by the key.
      const stopped = { way: { ...way, over: true }, wanted: null };
      const goesOn = first?.keyCell !== undefined && !way.diverged;
      return goesOn && first ? [stopped, { way: { ...way, queue: rest }, wanted: first }] : [stopped];
    }
    if (first) return [{ way: { ...way, queue: rest }, wanted: first }];
  }
}

/** The ways to go on where something is to be seen in the table: in this row or a later one, or nowhere. */
function fillIn(
  run: RecordedRun,
  from: Way,
  wanted: Wanted,
  written: readonly Map<string, string>[],
  shown: ReadonlySet<string>,
  options: FollowOptions,
): Way[] {
  const { column, keyRow: key } = wanted;
  if (!shown.has(column) || isUnchanged(run, wanted)) return [withRightValue(run, from, wanted)];
  const isGiven = key !== null && !from.diverged && options.given.has(`${key} ${column}`);
  const ways: Way[] = [];
  let [misses, hits, filled] = [0, 0, 0];
  let way = from;
  for (let row = from.row; row < written.length && filled <= furthest; row++) {
    if ((written[row]?.size ?? 0) > 0) filled += 1;
    const used = row === from.row ? from.used : new Set<string>();
    const cell = used.has(column) ? undefined : written[row]?.get(column);
    if (cell !== undefined) {
      const right = isGiven ? "key" : rightness(run, way, wanted, cell, options.reading);
      if (right === "wrong" ? misses++ < 1 : hits++ < 2)
        ways.push(
          settled(
            withCell(run, { ...way, row: from.row, used: from.used }, wanted, row, cell, right, isGiven),
            column,
            right,
          ),
        );
    }
    // Going on to the next row leaves behind what is not used of this one.
    way = leaveRow(run, way, written[row], row, used);
  }
  const noted = { written: null, key, column, verdict: isGiven ? ("given" as const) : ("missing" as const) };
  const without = { ...withRightValue(run, from, wanted), notes: { noted, before: from.notes } };
  ways.push(isGiven ? without : settled({ ...without, cost: without.cost + 1 }, column, "wrong"));
  if (options.passes && !isGiven && column !== "output" && from.place.passes > 0 && !from.waiting.has(column)) {
    const waiting = new Map(from.waiting).set(column, from.place.passes);
    ways.push({ ...withRightValue(run, from, wanted), waiting, absorbed: from.absorbed + 1 });
  }
  return ways;
}

/** A change that waited to be told with the next one: free where that came in the same pass and is right, else a cell. */
function settled(way: Way, column: string, right: string): Way {
  const pass = way.waiting.get(column);
  if (pass === undefined) return way;
  const waiting = new Map(way.waiting);
  waiting.delete(column);
  const isTold = pass === way.place.passes && right !== "wrong";
  return { ...way, waiting, cost: way.cost + (isTold ? 0 : 1) };
}

/** The rest of the rows, where the program is through. */
function finish(run: RecordedRun, written: readonly Map<string, string>[], from: Way, options: FollowOptions): Way {
  let way: Way = { ...from, cost: from.cost + from.waiting.size };
  for (let row = way.row; row < written.length; row++) {
    const left = leaveRow(run, way, written[row], row, row === from.row ? from.used : new Set());
    way = options.cut ? { ...left, cost: way.cost } : left;
  }
  return way;
}
