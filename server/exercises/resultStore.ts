import { z } from "zod";
import type { Database } from "../database/database.ts";
import { asJson } from "../database/rows.ts";

const number = z.coerce.number();
const earnedRow = z.object({ sitting: z.string(), earned: number, possible: number });

/** What each sitting earned of some tasks, those left out of which a mark still waits. */
export async function earnedOnTasks(
  database: Pick<Database, "query">,
  tasks: readonly string[],
): Promise<Array<z.infer<typeof earnedRow>>> {
  if (tasks.length === 0) return [];
  return z.array(earnedRow).parse(
    await database.query(
      `select sitting, sum(earned) as earned, sum(possible) as possible from mark
         where task in (select jsonb_array_elements_text($1::jsonb)) group by sitting having bool_and(earned is not null)`,
      [asJson(tasks)],
    ),
  );
}
