import * as z from "zod";
import type { Query } from "../database/database.ts";
import { asJson, jsonColumn, timeColumn } from "../database/rows.ts";
import { newKey } from "../keys.ts";
import type { Who } from "../people/teacherStore.ts";

/** What a decision was before it changed. `faultyCase`: the case that it is about, if it is about one; it goes with it. */
export type Former = {
  about: "case" | "layer" | "mark" | "exercise" | "check" | "warning" | "fix" | "assignment";
  aboutKey: string;
  former: unknown;
  who: Who;
  reason: string;
  faultyCase?: string;
  /** The assignment that it is about, if it is about one; it goes with it. */
  assignment?: string;
};

/** Keeps what a decision was before it changed. */
export async function keepFormer(query: Query, former: Former): Promise<void> {
  const teacher = former.who.role === "teacher" ? former.who.teacher : null;
  await query(
    "insert into former_value (key, about, about_key, former, who, teacher, reason, faulty_case, assignment) values ($1, $2, $3, $4, $5, $6, $7, $8, $9)",
    [
      ...[newKey(), former.about, former.aboutKey, asJson(former.former)],
      ...[former.who.role, teacher, former.reason, former.faultyCase ?? null, former.assignment ?? null],
    ],
  );
}

const rowSchema = z.object({
  former: jsonColumn(z.unknown()),
  who: z.string(),
  name: z.string().nullable(),
  reason: z.string(),
  changed_at: timeColumn,
});

/** What a decision was before, newest first, with who changed it and why. */
export async function listFormer(query: Query, about: Former["about"], aboutKey: string) {
  const rows = await query(
    `select v.former, v.who, t.name, v.reason, v.changed_at from former_value v left join teacher t on t.key = v.teacher
     where v.about = $1 and v.about_key = $2 order by v.changed_at desc`,
    [about, aboutKey],
  );
  return z.array(rowSchema).parse(rows);
}

/** What the things of a kind that belong to a case or an assignment were before, newest first, each with its key. */
export async function listFormerOf(
  query: Query,
  about: Former["about"],
  owner: { faultyCase: string } | { assignment: string },
) {
  const [column, key] = "faultyCase" in owner ? ["faulty_case", owner.faultyCase] : ["assignment", owner.assignment];
  const rows = await query(
    `select v.about_key, v.former, v.who, t.name, v.reason, v.changed_at from former_value v
       left join teacher t on t.key = v.teacher
     where v.about = $1 and v.${column} = $2 order by v.changed_at desc limit 200`,
    [about, key],
  );
  return z.array(rowSchema.extend({ about_key: z.string() })).parse(rows);
}

/** How many former values each thing of a kind has whose key begins with `${keyStart} `, by its key. */
export async function countFormer(
  query: Query,
  about: Former["about"],
  keyStart: string,
): Promise<ReadonlyMap<string, number>> {
  const rows = z
    .array(z.object({ about_key: z.string(), count: z.number() }))
    .parse(
      await query(
        "select about_key, count(*)::int as count from former_value where about = $1 and starts_with(about_key, $2) group by about_key",
        [about, `${keyStart} `],
      ),
    );
  return new Map(rows.map((row) => [row.about_key, row.count]));
}
