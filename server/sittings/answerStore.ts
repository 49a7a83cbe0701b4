import * as z from "zod";
import type { Database, Query } from "../database/database.ts";
import { asBytes, keyRow, textBytes, timeColumn } from "../database/rows.ts";
import { newKey } from "../keys.ts";

/**
 * An answer as a page sends it. `base`: the revision that it was written upon, 0 for none. `writer`: the page that sends it;
 * `count`: the how manieth of its answers it is, so that the same one sent twice is taken once, and one that was overtaken
 * on its way does not come back.
 */
export type SentAnswer = { content: unknown; base: number; writer: string; count: number; typedAt: Date | null };

/**
 * What became of an answer that was sent. "newer": another page wrote it meanwhile, with what stands there now. "handed in":
 * the sitting is over.
 */
export type KeptAnswer =
  | { result: "saved"; revision: number }
  | { result: "newer"; revision: number; content: unknown; savedAt: string }
  | { result: "handed in" };

const savedRow = z.object({ revision: z.number() });
const standingRow = z.object({
  revision: z.number(),
  writer: z.string(),
  count: z.number(),
  content: textBytes,
  saved_at: timeColumn,
});

/** Keeps an answer: written upon what stands there, or by the same page later. */
export async function keepAnswer(
  { query }: { query: Query },
  sitting: string,
  task: string,
  sent: SentAnswer,
): Promise<KeptAnswer> {
  // One statement, so that nothing comes between looking and writing.
  const saved = await query(
    `insert into answer (sitting, task, revision, content, writer, count, typed_at)
       select key, $2, $4 + 1, $3, $5, $6, $7 from sitting where key = $1 and handed_in_at is null
     on conflict (sitting, task) do update set revision = answer.revision + 1, content = excluded.content,
       writer = excluded.writer, count = excluded.count, typed_at = excluded.typed_at, saved_at = now()
     where answer.revision = $4 or (answer.writer = excluded.writer and answer.count < excluded.count)
     returning revision`,
    [sitting, task, asBytes(JSON.stringify(sent.content)), sent.base, sent.writer, sent.count, sent.typedAt],
  );
  const [taken] = z.array(savedRow).parse(saved);
  if (taken) return { result: "saved", revision: taken.revision };
  const rows = await query(
    `select a.revision, a.writer, a.count, a.content, a.saved_at from answer a
     join sitting i on i.key = a.sitting where a.sitting = $1 and a.task = $2`,
    [sitting, task],
  );
  const [standing] = z.array(standingRow).parse(rows);
  // Sent again after it had arrived, be it before the sitting was over.
  const known = standing?.writer === sent.writer && standing.count >= sent.count;
  if (standing && known) return { result: "saved", revision: standing.revision };
  const open = await query("select key from sitting where key = $1 and handed_in_at is null", [sitting]);
  if (!standing || open.length === 0) return { result: "handed in" };
  return {
    result: "newer",
    revision: standing.revision,
    content: JSON.parse(standing.content),
    savedAt: standing.saved_at,
  };
}

const lateRow = z.object({
  key: z.string(),
  sitting: z.string(),
  task: z.string(),
  content: textBytes.transform((text): unknown => JSON.parse(text)),
  typed_at: timeColumn.nullable(),
  arrived_at: timeColumn,
  decided: z.enum(["taken", "left"]).nullable(),
});
/** An answer that came after its sitting had been handed in. */
export type LateAnswer = z.infer<typeof lateRow>;

/** Keeps an answer that came too late for the teacher to decide about; one that came before it for the task gives way. */
export async function keepLate(
  database: Database,
  sitting: string,
  task: string,
  content: unknown,
  typedAt: Date | null,
): Promise<void> {
  await database.transaction(async (query) => {
    await query("delete from late_answer where sitting = $1 and task = $2 and decided is null", [sitting, task]);
    await query("insert into late_answer (key, sitting, task, content, typed_at) values ($1, $2, $3, $4, $5)", [
      ...[newKey(), sitting, task, asBytes(JSON.stringify(content)), typedAt],
    ]);
  });
}

/** What came late to the sittings of a sheet and nobody has decided about. */
export async function listLate({ query }: { query: Query }, sheet: string): Promise<LateAnswer[]> {
  const rows = await query(
    `select l.key, l.sitting, l.task, l.content, l.typed_at, l.arrived_at, l.decided from late_answer l
     join sitting i on i.key = l.sitting join sheet_edition e on e.key = i.edition
     where e.sheet = $1 and l.decided is null order by l.arrived_at`,
    [sheet],
  );
  return z.array(lateRow).parse(rows);
}

/** Everything that came late to a sitting, decided or not. */
export async function listLateOf({ query }: { query: Query }, sitting: string): Promise<LateAnswer[]> {
  const rows = await query(
    `select key, sitting, task, content, typed_at, arrived_at, decided from late_answer
     where sitting = $1 order by arrived_at`,
    [sitting],
  );
  return z.array(lateRow).parse(rows);
}

/**
 * Decides about all that came late to a sitting. What is taken stands as its answers; what stood there before is kept
 * beside it. Returns how many answers there were.
 */
export async function decideLate(query: Query, sitting: string, decided: "taken" | "left"): Promise<number> {
  if (decided === "taken") {
    await query(
      `update late_answer l set former = a.content from answer a
       where l.sitting = $1 and l.decided is null and a.sitting = l.sitting and a.task = l.task`,
      [sitting],
    );
    await query(
      `insert into answer (sitting, task, revision, content, typed_at)
         select sitting, task, 1, content, typed_at from late_answer where sitting = $1 and decided is null
       on conflict (sitting, task) do update set revision = answer.revision + 1, content = excluded.content,
         writer = '', count = 0, typed_at = excluded.typed_at, saved_at = now()`,
      [sitting],
    );
  }
  const rows = await query(
    "update late_answer set decided = $2, decided_at = now() where sitting = $1 and decided is null returning key",
    [sitting, decided],
  );
  return z.array(keyRow).parse(rows).length;
}
