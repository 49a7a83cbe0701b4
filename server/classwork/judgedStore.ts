import * as z from "zod";
import {
  alikeOf,
  type Cell,
  cellSchema,
  createGlanceReader,
  type GlanceCell,
  glanceOf,
} from "../../core/assignments/overview.ts";
import { faultClassSchema } from "../../core/cases/case.ts";
import type { Database } from "../database/database.ts";
import { asJson, asPlainText, jsonColumn, keyRow, timeColumn } from "../database/rows.ts";

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
    `insert into judged_version (version, assignment, faulty_case, class, kind, cells, glance, alike)
     select v.key, f.assignment, f.key, $4, $5, $6, $7, $8 from version v join faulty_case f on f.key = v.faulty_case
     where v.key = $1 and f.assignment = $2 and f.key = $3
     on conflict (version) do update set assignment = excluded.assignment, class = excluded.class, kind = excluded.kind,
       cells = excluded.cells, glance = excluded.glance, alike = excluded.alike, judged_at = now()`,
    [
      ...[judged.version, judged.assignment, judged.faultyCase, judged.class, judged.kind, asJson(judged.cells)],
      ...[glanceOf(judged.cells), asPlainText(alikeOf(judged.cells))],
    ],
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
  cells: z.string(),
  alike: z.string(),
});
/** A program of an overview: the newest version that was handed in of a case, with its cells; none before it is judged. */
export type OverviewRow = Omit<z.infer<typeof programRow>, "cells"> & { cells: GlanceCell[] };

/**
 * The programs of an assignment, the newest hand-in of each case first in its student's row, by label; programs of nobody
 * come last. Texts are not read.
 */
export async function listOverview(database: Database, assignment: string): Promise<OverviewRow[]> {
  const rows = await database.query(
    `select n.key, n.version, n.number, n.student, s.label, n.language, n.title, vf.name, n.created_at, j.class, j.kind,
       coalesce(j.glance, '') as cells, coalesce(j.alike, '') as alike
     from (select distinct on (f.key) f.key, f.student, f.language, f.title, v.key as version, v.number, v.created_at
         from faulty_case f join version v on v.faulty_case = f.key and v.handed_in and not v.worked
         where f.assignment = $1 and f.deleted_at is null
         order by f.key, v.number desc) n
       left join version_file vf on vf.version = n.version and vf.position = 0
       left join student s on s.key = n.student
       left join judged_version j on j.version = n.version and j.assignment = $1
     order by s.label nulls last, n.created_at desc, n.key`,
    [assignment],
  );
  const read = createGlanceReader();
  return z
    .array(programRow)
    .parse(rows)
    .map((row) => ({ ...row, cells: read(row.cells) }));
}

/** All that is kept of the cells of an assignment's judged versions, by version. */
export async function listCells(database: Database, assignment: string): Promise<ReadonlyMap<string, Cell[]>> {
  const rows = await database.query("select version, cells from judged_version where assignment = $1", [assignment]);
  return new Map(
    z
      .array(z.object({ version: z.string(), cells: jsonColumn(z.array(cellSchema)) }))
      .parse(rows)
      .map((row) => [row.version, row.cells]),
  );
}

/** The cases of a student that belong to an assignment, with it. */
export async function listAssignedCases(
  database: Database,
  student: string,
): Promise<Array<{ key: string; assignment: string }>> {
  const rows = await database.query(
    "select key, assignment from faulty_case where student = $1 and assignment is not null and deleted_at is null",
    [student],
  );
  return z.array(z.object({ key: z.string(), assignment: z.string() })).parse(rows);
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
