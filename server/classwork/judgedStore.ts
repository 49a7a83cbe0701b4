import { z } from "zod";
import { type Cell, cellSchema } from "../../core/assignments/overview.ts";
import { faultClassSchema } from "../../core/cases/case.ts";
import type { Database } from "../database/database.ts";
import { asJson, jsonColumn, keyRow, timeColumn } from "../database/rows.ts";

/** What judging a version that was handed in came to, for the overview of its assignment. */
export type JudgedVersion = {
  version: string;
  assignment: string;
  faultyCase: string;
  class: z.infer<typeof faultClassSchema> | null;
  kind: string | null;
  cells: Cell[];
};

/** Keeps what judging a version came to, unless it was taken away or moved to another assignment meanwhile. */
export async function saveJudged(database: Database, judged: JudgedVersion): Promise<void> {
  await database.query(
    `insert into judged_version (version, assignment, faulty_case, class, kind, cells)
     select v.key, f.assignment, f.key, $4, $5, $6 from version v join faulty_case f on f.key = v.faulty_case
     where v.key = $1 and f.assignment = $2 and f.key = $3
     on conflict (version) do update set assignment = excluded.assignment, class = excluded.class, kind = excluded.kind,
       cells = excluded.cells, judged_at = now()`,
    [judged.version, judged.assignment, judged.faultyCase, judged.class, judged.kind, asJson(judged.cells)],
  );
}

const programRow = z.object({
  key: z.string(),
  version: z.string(),
  number: z.number(),
  student: z.string().nullable(),
  label: z.string().nullable(),
  language: z.string(),
  title: z.string(),
  name: z.string().nullable(),
  created_at: timeColumn,
  class: faultClassSchema.nullable(),
  kind: z.string().nullable(),
  cells: jsonColumn(z.array(cellSchema)),
});
/** A program of an overview: the newest version that was handed in of a case, with its cells; none before it is judged. */
export type OverviewRow = z.infer<typeof programRow>;

/**
 * The programs of an assignment, the newest hand-in of each case first in its student's row, by label; programs of nobody
 * come last. Texts are not read.
 */
export async function listOverview(database: Database, assignment: string): Promise<OverviewRow[]> {
  const rows = await database.query(
    `select f.key, v.key as version, v.number, f.student, s.label, f.language, f.title, vf.name, v.created_at, j.class, j.kind,
       coalesce(j.cells, '[]') as cells
     from faulty_case f
       join lateral (select v.key, v.number, v.created_at from version v
         where v.faulty_case = f.key and v.handed_in and not v.worked order by v.number desc limit 1) v on true
       left join version_file vf on vf.version = v.key and vf.position = 0
       left join student s on s.key = f.student
       left join judged_version j on j.version = v.key and j.assignment = f.assignment
     where f.assignment = $1 and f.deleted_at is null
     order by s.label nulls last, v.created_at desc, f.key`,
    [assignment],
  );
  return z.array(programRow).parse(rows);
}

/** The cases of an assignment that are there. */
export async function listCasesOf(database: Database, assignment: string): Promise<string[]> {
  const rows = await database.query(
    "select key from faulty_case where assignment = $1 and deleted_at is null order by created_at desc, key",
    [assignment],
  );
  return z
    .array(keyRow)
    .parse(rows)
    .map((row) => row.key);
}
