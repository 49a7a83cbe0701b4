import * as z from "zod";
import type { Database } from "../database/database.ts";

/**
 * Where a teacher goes through several cases: the Tray (newest first), a set that was collected or the programs of an
 * assignment (in the order in which they came). In an address: "tray", "set KEY", "assignment KEY".
 */
export type WalkPlace = { kind: "tray" } | { kind: "set" | "assignment"; key: string };

/** Reads a place from an address; null where it names none. */
export function readWalkPlace(text: string | null): WalkPlace | null {
  if (text === "tray") return { kind: "tray" };
  const found = /^(set|assignment) ([\w-]{1,100})$/.exec(text ?? "");
  return found ? { kind: found[1] as "set" | "assignment", key: found[2] ?? "" } : null;
}

const row = z.object({
  left: z.number(),
  next: z.string().nullable(),
  former: z.string().nullable(),
  soon: z.array(z.string()).nullable(),
  title: z.string().nullable(),
});
/**
 * A walk seen from a case: how many are left to be decided, the next of them (after this one, else the first again), the
 * case that stands before this one, and a few that come next. `title`: of the set or the assignment.
 */
export type Walk = z.output<typeof row>;

/** Where cases that come next are looked at ahead. */
const ahead = 2;

const belongsTo = {
  tray: "f.judged_at is null",
  set: "f.key in (select jsonb_array_elements_text(c.cases::jsonb) from collection c where c.key = $2)",
  assignment: "f.assignment = $2",
} as const;
const titleOf = {
  tray: "$2::text",
  set: "(select name from collection where key = $2)",
  assignment: "(select title from assignment where key = $2)",
} as const;

/** The cases of a place that are left to be decided, as many as `most`, and its title (null: the Tray). */
export async function listLeft(
  database: Database,
  place: WalkPlace,
  most: number,
): Promise<{ keys: string[]; title: string | null }> {
  const [found] = await database.query(
    `select array(select f.key from faulty_case f where f.deleted_at is null and f.judged_at is null
         and ${belongsTo[place.kind]} order by f.created_at, f.key limit $1) as keys, ${titleOf[place.kind]} as title`,
    [most, place.kind === "tray" ? null : place.key],
  );
  return z.object({ keys: z.array(z.string()), title: z.string().nullable() }).parse(found);
}

/** The walk through a place, seen from a case (null: before the first). */
export async function findWalk(database: Database, place: WalkPlace, now: string | null): Promise<Walk> {
  const newest = place.kind === "tray";
  // Written so that an index in this order is gone along from the case on.
  const [earlier, later] = newest ? ["<", ">"] : [">", "<"];
  const at = "(select created_at from now)";
  const after = `f.created_at ${earlier}= ${at} and (f.created_at ${earlier} ${at} or f.key > $1)`;
  const before = `f.created_at ${later}= ${at} and (f.created_at ${later} ${at} or f.key < $1)`;
  const [order, back] = newest
    ? ["f.created_at desc, f.key", "f.created_at, f.key desc"]
    : ["f.created_at, f.key", "f.created_at desc, f.key desc"];
  const belongs = belongsTo[place.kind];
  const title = titleOf[place.kind];
  const all = `faulty_case f where f.deleted_at is null and ${belongs}`;
  const left = `${all} and f.judged_at is null`;
  const passed = newest ? "faulty_case f where f.deleted_at is null" : all;
  const [found] = await database.query(
    `with now as (select created_at from faulty_case where key = $1),
       later as (select f.key from ${left} and ${after} order by ${order} limit ${ahead})
     select (select count(*)::int from ${left}) as left,
       coalesce((select key from later limit 1),
         (select f.key from ${left} and f.key is distinct from $1 order by ${order} limit 1)) as next,
       (select array_agg(key) from later) as soon,
       (select f.key from ${passed} and ${before} order by ${back} limit 1) as former,
       ${title} as title`,
    [now, place.kind === "tray" ? null : place.key],
  );
  return row.parse(found);
}
