import { z } from "zod";
import type { Query } from "../database/database.ts";
import { newKey } from "../keys.ts";
import { timeColumn } from "./rows.ts";

/** `faultyCase`: the case that it belongs to, where it is about one; it goes with that case. */
export type Former = { about: "layer" | "mark" | "exercise" | "check"; aboutKey: string; former: unknown; who: string; reason: string; faultyCase?: string };

/** Keeps what a decision was before it changed. */
export async function keepFormer(query: Query, { about, aboutKey, former, who, reason, faultyCase }: Former): Promise<void> {
  await query("insert into former_value (key, about, about_key, former, who, reason, faulty_case) values ($1, $2, $3, $4, $5, $6, $7)", [
    ...[newKey(), about, aboutKey, JSON.stringify(former ?? null), who, reason, faultyCase ?? null],
  ]);
}

const rowSchema = z.object({ former: z.string(), who: z.string(), reason: z.string(), changed_at: timeColumn });

/** What a decision was before, newest first. */
export async function listFormer(query: Query, about: Former["about"], aboutKey: string) {
  return z
    .array(rowSchema)
    .parse(
      await query("select former, who, reason, changed_at from former_value where about = $1 and about_key = $2 order by changed_at desc", [about, aboutKey]),
    );
}
