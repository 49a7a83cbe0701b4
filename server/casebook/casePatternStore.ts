import { z } from "zod";
import type { Suggested } from "../../core/patterns/suggest.ts";
import type { Query } from "../database/database.ts";
import { jsonColumn } from "../database/rows.ts";

const row = z.object({
  suggested: jsonColumn(z.array(z.object({ id: z.string(), name: z.string(), why: z.string() }))).nullable(),
  own: jsonColumn(z.array(z.object({ id: z.string(), name: z.string() }))),
});

/** The kinds of mistake that are suggested for a version (null: nothing is kept of it), and those that teachers added, in one statement. */
export async function patternsFor(
  query: Query,
  version: string,
): Promise<{ suggested: Suggested[] | null; own: Array<{ id: string; name: string }> }> {
  const [found] = await query(
    `select (select patterns from finding where version = $1) as suggested,
       (select coalesce(jsonb_agg(jsonb_build_object('id', 'own/' || key, 'name', name) order by lower(name)), '[]') from own_pattern where deleted_at is null) as own`,
    [version],
  );
  return row.parse(found);
}
