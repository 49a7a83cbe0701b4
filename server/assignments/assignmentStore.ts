import { z } from "zod";
import type { Database } from "../database/database.ts";
import { asBytes, jsonColumn, oneRow, textBytes } from "../database/rows.ts";
import { newCode, newKey } from "../keys.ts";

/** How outputs are compared; what is absent is decided by whoever is asked next (the assignment, then the product). */
export const comparisonSchema = z.object({ ignorePrompts: z.boolean().optional() });
export type Comparison = z.infer<typeof comparisonSchema>;

const assignmentRow = z.object({
  key: z.string(),
  course: z.string(),
  title: z.string(),
  statement: textBytes,
  comparison: jsonColumn(comparisonSchema),
  hand_in_code: z.string().nullable(),
  hand_in_open: z.boolean(),
});
/** What a teacher asks of a class, with the address at which students hand in for it. */
export type Assignment = z.infer<typeof assignmentRow>;
const columns = "key, course, title, statement, comparison, hand_in_code, hand_in_open";

/** The assignment that a course's hand-ins go to as long as no other is named: its first one, or null. */
export async function findFirstAssignment(database: Database, course: string): Promise<Assignment | null> {
  const rows = await database.query(
    `select ${columns} from assignment where course = $1 order by position, created_at limit 1`,
    [course],
  );
  return oneRow(assignmentRow, rows);
}

/** The assignment whose hand-in address has this code, or null. */
export async function findAssignmentByHandIn(database: Database, code: string): Promise<Assignment | null> {
  const rows = await database.query(`select ${columns} from assignment where hand_in_code = $1`, [code.toUpperCase()]);
  return oneRow(assignmentRow, rows);
}

/**
 * Opens or closes the hand-in page of a course's first assignment, with the statement that students are asked about.
 * The assignment is made if the course has none; the address stays the same.
 */
export async function setHandIn(
  database: Database,
  course: string,
  given: { open: boolean; statement: string },
): Promise<void> {
  const values = [course, given.open, asBytes(given.statement), newCode(8)];
  await database.query(
    `with first as (select key from assignment where course = $1 order by position, created_at limit 1),
       changed as (update assignment a set hand_in_open = $2, statement = $3, hand_in_code = coalesce(hand_in_code, $4)
         from first where a.key = first.key returning a.key)
     insert into assignment (key, course, title, statement, hand_in_code, hand_in_open)
       select $5, $1, c.name, $3, $4, $2 from course c where c.key = $1 and not exists (select 1 from first)`,
    [...values, newKey()],
  );
}
