import * as z from "zod";
import type { Database } from "../database/database.ts";

const wordsRow = z.object({ idea: z.string(), words: z.string() });

/** A teacher's own words for ideas in a course, by idea; those without words are not there. */
export async function ownWordsOf({ query }: Database, course: string): Promise<Map<string, string>> {
  const rows = z.array(wordsRow).parse(await query("select idea, words from own_words where course = $1", [course]));
  return new Map(rows.map(({ idea, words }) => [idea, words]));
}

/** Keeps a teacher's own words for an idea in a course; "" takes them away. */
export async function setOwnWords({ query }: Database, course: string, idea: string, words: string): Promise<void> {
  await query(
    words === ""
      ? "delete from own_words where course = $1 and idea = $2 and $3 = ''"
      : "insert into own_words (course, idea, words) values ($1, $2, $3) on conflict (course, idea) do update set words = excluded.words",
    [course, idea, words],
  );
}
