import * as z from "zod";
import { type Comparison, comparisonSchema } from "../../core/assignments/comparison.ts";
import { type InputShape, inputShapeSchema } from "../../core/assignments/inputShape.ts";
import type { ProgramFiles } from "../../core/outcome/outcome.ts";
import type { Database, Query } from "../database/database.ts";
import {
  asBytes,
  asJson,
  asPlainText,
  bytesColumn,
  jsonColumn,
  oneRow,
  textBytes,
  timeColumn,
} from "../database/rows.ts";
import { newCode, newKey } from "../keys.ts";

const assignmentRow = z.object({
  key: z.string(),
  course: z.string(),
  title: z.string(),
  statement: textBytes,
  languages: jsonColumn(z.array(z.string())),
  comparison: jsonColumn(comparisonSchema),
  input_shape: jsonColumn(inputShapeSchema),
  hand_in_code: z.string().nullable(),
  hand_in_open: z.boolean(),
  revision: z.number(),
  put_away_at: timeColumn.nullable(),
});
/** What a teacher asks of a class, with the address at which students hand in for it. */
export type Assignment = z.infer<typeof assignmentRow>;
const columns = Object.keys(assignmentRow.shape).join(", ");

/** What an assignment begins with where nothing else is said: thirty students word their prompts in thirty ways. */
const usualComparison: Comparison = { prompts: "ignored" };

/** An assignment, or null if there is none with this key. */
export async function findAssignment({ query }: { query: Query }, key: string): Promise<Assignment | null> {
  return oneRow(assignmentRow, await query(`select ${columns} from assignment where key = $1`, [key]));
}

/** The assignment that a course's hand-ins go to as long as no other is named: its first one, or null. */
export async function findFirstAssignment(database: Database, course: string): Promise<Assignment | null> {
  const rows = await database.query(
    `select ${columns} from assignment where course = $1 and put_away_at is null order by position, created_at limit 1`,
    [course],
  );
  return oneRow(assignmentRow, rows);
}

/** The assignment whose hand-in address has this code, or null. */
export async function findAssignmentByHandIn(database: Database, code: string): Promise<Assignment | null> {
  const rows = await database.query(`select ${columns} from assignment where hand_in_code = $1`, [code.toUpperCase()]);
  return oneRow(assignmentRow, rows);
}

const listedRow = z.object({
  key: z.string(),
  course: z.string(),
  title: z.string(),
  hand_in_open: z.boolean(),
  checks: z.number(),
  models: z.number(),
  cases: z.number(),
  put_away: z.boolean(),
});
/** An assignment as a list shows it, with how much belongs to it. */
export type ListedAssignment = z.infer<typeof listedRow>;

/** The assignments of a course in their order, those that are put away among them. */
export async function listAssignments(database: Database, course: string): Promise<ListedAssignment[]> {
  const rows = await database.query(
    `select a.key, a.course, a.title, a.hand_in_open,
       (select count(*)::int from program_check c where c.assignment = a.key and c.confirmed) as checks,
       (select count(*)::int from model_program m where m.assignment = a.key) as models,
       (select count(*)::int from faulty_case f where f.assignment = a.key and f.deleted_at is null) as cases,
       a.put_away_at is not null as put_away
     from assignment a where a.course = $1 order by a.position, a.created_at`,
    [course],
  );
  return z.array(listedRow).parse(rows);
}

/** The assignments of all courses by name, without those that are put away. */
export async function listAssignmentTitles(database: Pick<Database, "query">) {
  return z
    .array(z.object({ key: z.string(), course: z.string(), title: z.string() }))
    .parse(
      await database.query(
        "select key, course, title from assignment where put_away_at is null order by course, position, created_at",
      ),
    );
}

/** What a person says of an assignment. */
export type AssignmentFields = {
  title: string;
  statement: string;
  languages: readonly string[];
  comparison: Comparison;
};

/** Adds an assignment at the end of a course's; returns its key. */
export async function insertAssignment(
  query: Query,
  course: string,
  given: Pick<AssignmentFields, "title"> & Partial<AssignmentFields> & { inputShape?: InputShape },
): Promise<string> {
  const key = newKey();
  await query(
    `insert into assignment (key, course, title, statement, languages, comparison, input_shape, position)
     values ($1, $2, $3, $4, $5, $6, $7, (select coalesce(max(position) + 1, 0) from assignment where course = $2))`,
    [
      ...[key, course, asPlainText(given.title), asBytes(given.statement ?? ""), asJson(given.languages ?? [])],
      ...[asJson(given.comparison ?? usualComparison), asJson(given.inputShape ?? [])],
    ],
  );
  return key;
}

/** Writes what a person says of an assignment. */
export async function setAssignmentFields(query: Query, key: string, given: AssignmentFields): Promise<void> {
  await query("update assignment set title = $2, statement = $3, languages = $4, comparison = $5 where key = $1", [
    ...[key, asPlainText(given.title), asBytes(given.statement), asJson(given.languages), asJson(given.comparison)],
  ]);
}

/** Writes what is typed in to the assignment's programs, value by value. */
export async function setInputShape(query: Query, key: string, shape: InputShape): Promise<void> {
  await query("update assignment set input_shape = $2 where key = $1", [key, asJson(shape)]);
}

/** Those that are offered: all but the ones put away; the one with `key` in any case. */
export function offered(assignments: readonly ListedAssignment[], key: string | null): ListedAssignment[] {
  return assignments.filter((each) => !each.put_away || each.key === key);
}

/** Puts an assignment away, its hand-in page closed, or takes it back. */
export async function setPutAway(query: Query, key: string, away: boolean): Promise<void> {
  await query(
    `update assignment set put_away_at = case when $2 then now() end, hand_in_open = hand_in_open and not $2
     where key = $1`,
    [key, away],
  );
}

/** Locks an assignment for a writer who had read it at `revision`: false if somebody wrote meanwhile. */
export async function takeAssignmentRevision(query: Query, key: string, revision: number): Promise<boolean> {
  const rows = await query(
    "update assignment set revision = revision + 1 where key = $1 and revision = $2 returning key",
    [key, revision],
  );
  return rows.length === 1;
}

/** Opens or closes an assignment's hand-in page. Its address is made when it is first opened and stays the same. */
export async function setHandIn({ query }: { query: Query }, key: string, open: boolean): Promise<void> {
  await query("update assignment set hand_in_open = $2, hand_in_code = coalesce(hand_in_code, $3) where key = $1", [
    ...[key, open, newCode(8)],
  ]);
}

const fileRow = z.object({ name: z.string(), bytes: bytesColumn });

/** What students begin with; no files where they begin with nothing. */
export async function listStarterFiles({ query }: { query: Query }, assignment: string): Promise<ProgramFiles> {
  return z
    .array(fileRow)
    .parse(await query("select name, bytes from starter_file where assignment = $1 order by position", [assignment]));
}

/** Writes what students begin with. */
export async function setStarterFiles(query: Query, assignment: string, files: ProgramFiles): Promise<void> {
  await query("delete from starter_file where assignment = $1", [assignment]);
  for (const [position, file] of files.entries())
    await query("insert into starter_file (assignment, position, name, bytes) values ($1, $2, $3, $4)", [
      ...[assignment, position, file.name, file.bytes],
    ]);
}

/** Has cases belong to an assignment, or to none. */
export async function setAssignmentOfCases(
  query: Query,
  cases: readonly string[],
  assignment: string | null,
): Promise<void> {
  await query(
    `update faulty_case set assignment = $2, verified_at = null
     where key in (select jsonb_array_elements_text($1::jsonb)) and assignment is distinct from $2`,
    [asJson(cases), assignment],
  );
}

/** Says that it is open again whether the mended programs of an assignment pass all checks. */
export async function askVerifiedAgain(query: Query, assignment: string): Promise<void> {
  await query("update faulty_case set verified_at = null where assignment = $1 and verified_at is not null", [
    assignment,
  ]);
}
