import * as z from "zod";
import type { Database } from "../database/database.ts";
import { asJson } from "../database/rows.ts";

const number = z.coerce.number();
const earnedRow = z.object({ sitting: z.string(), earned: number, possible: number });

/** What each first try earned of some tasks, those left out of which a mark still waits; who has seen it before says nothing of how hard it is. */
export async function earnedOnTasks(
  database: Pick<Database, "query">,
  tasks: readonly string[],
): Promise<Array<z.infer<typeof earnedRow>>> {
  if (tasks.length === 0) return [];
  return z.array(earnedRow).parse(
    await database.query(
      `select m.sitting, sum(m.earned) as earned, sum(m.possible) as possible from mark m join sitting i on i.key = m.sitting
         where m.task in (select jsonb_array_elements_text($1::jsonb)) and i.attempt = 1
         group by m.sitting having bool_and(m.earned is not null)`,
      [asJson(tasks)],
    ),
  );
}
