import * as z from "zod";
import type { Database } from "../database/database.ts";
import { asJson } from "../database/rows.ts";
import type { EditionContent } from "./sheetStore.ts";

/** The numbers of the scenes that an edition has beside its own, in order. */
export async function listScenes({ query }: Pick<Database, "query">, edition: string): Promise<number[]> {
  const rows = await query("select number from edition_scene where edition = $1 order by number", [edition]);
  return z
    .array(z.object({ number: z.number() }))
    .parse(rows)
    .map(({ number }) => number);
}

/** Keeps the exercises of an edition in another scene; one that is there stays, since it may be sat. */
export async function keepScene(
  { query }: Pick<Database, "query">,
  edition: string,
  number: number,
  content: EditionContent,
): Promise<void> {
  await query("insert into edition_scene (edition, number, content) values ($1, $2, $3) on conflict do nothing", [
    ...[edition, number, asJson(content)],
  ]);
}
