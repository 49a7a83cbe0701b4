import { countClasses, type GlanceCell, type Group, groupAlike, passesAll } from "../../core/assignments/overview.ts";
import type { Assignment } from "../assignments/assignmentStore.ts";
import { listCheckHeads } from "../assignments/checkStore.ts";
import type { Services } from "../services.ts";
import { countToJudge } from "./judgeAssignment.ts";
import { listOverview, type OverviewRow } from "./judgedStore.ts";

/** A column of an overview: a check of the assignment, or the run as handed in (key ""). */
export type OverviewColumn = { key: string; name: string; kind: string; purpose: string };

/** A program of an overview. `cells` stand in the order of the columns; null: not judged by this check as it is now. */
export type OverviewProgram = Pick<OverviewRow, "key" | "version" | "class" | "kind" | "number"> & {
  /** The student's label, else the program's file or title. */
  name: string;
  file: string;
  cells: Array<GlanceCell | null>;
  /** What the first failing cell shows. */
  alike: string;
  passesAll: boolean;
  judged: boolean;
  /** Programs that the same student handed in before, the newest first. */
  earlier: Array<{ key: string; file: string; class: OverviewRow["class"]; judged: boolean; passesAll: boolean }>;
};

/** Everything that the overview of an assignment shows. */
export type Overview = {
  columns: OverviewColumn[];
  programs: OverviewProgram[];
  groups: Group[];
  counts: ReturnType<typeof countClasses>;
  toJudge: number;
};

/** Draws the overview of an assignment from what judging has kept; nothing is run. */
export async function overviewOf(services: Services, assignment: Assignment): Promise<Overview> {
  // Asked first: where nothing was left to be judged, the rows are complete. The other way round the last program might end between the two.
  const toJudge = await countToJudge(services, assignment.key);
  const [rows, checks] = await Promise.all([
    listOverview(services.database, assignment.key),
    listCheckHeads(services.database, assignment.key),
  ]);
  const editions = new Map(checks.map((check) => [check.key, check.edition]));
  const newest = new Map<string, OverviewRow[]>();
  for (const row of rows) {
    const whose = row.student ?? row.key;
    const own = newest.get(whose);
    if (own) own.push(row);
    else newest.set(whose, [row]);
  }
  // The run as handed in has a column where somebody said what was typed in or meant to come out.
  const isOwn = (cell: GlanceCell) => !editions.has(cell.check);
  const handedIn = (row: OverviewRow) => row.cells.find(isOwn);
  // What is refused is refused in every column; it tells nothing of that run.
  const telling = (result: string | undefined) => result !== undefined && result !== "open" && result !== "syntax";
  const withHandedIn = rows.some((row) => telling(handedIn(row)?.result));
  const columns: OverviewColumn[] = [
    ...(withHandedIn
      ? [{ key: "", name: "as handed in", kind: "", purpose: "the run that came with the program" }]
      : []),
    ...checks.map(({ key, name, kind, purpose }, index) => ({
      key,
      name: name || `check ${index + 1}`,
      kind,
      purpose,
    })),
  ];
  const handedInAt = withHandedIn ? 0 : undefined;
  const places = new Map(checks.map(({ key }, at) => [key, at + (withHandedIn ? 1 : 0)]));
  const programs = [...newest.values()].flatMap((own) => {
    const [row, ...before] = own;
    if (!row) return [];
    const cells: Array<GlanceCell | null> = columns.map(() => null);
    // A cell of a former edition of its check says nothing any more.
    const current = row.cells.filter((cell) => {
      const place = places.get(cell.check);
      if (place !== undefined && editions.get(cell.check) !== cell.edition) return false;
      const at = place ?? handedInAt;
      if (at !== undefined) cells[at] = cell;
      return true;
    });
    return {
      alike: row.alike,
      ...{
        key: row.key,
        version: row.version,
        class: row.class,
        kind: row.kind,
        number: row.number,
      },
      name: row.label ?? row.name ?? row.title,
      file: row.name ?? row.title,
      cells,
      passesAll: passesAll({ cells: current }),
      judged: row.cells.length > 0,
      earlier: before.map((each) => ({
        ...{ key: each.key, file: each.name ?? each.title, class: each.class, judged: each.cells.length > 0 },
        passesAll: passesAll(each),
      })),
    };
  });
  const judged = programs.map((program) => ({
    ...{ key: program.key, class: program.class, alike: program.alike },
    cells: program.cells.filter((cell) => cell !== null),
  }));
  return {
    ...{ columns, programs, toJudge },
    groups: groupAlike(
      judged,
      checks.map((check) => check.key),
    ),
    counts: countClasses(judged),
  };
}
