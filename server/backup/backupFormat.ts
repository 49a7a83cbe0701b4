import * as z from "zod";

/** What a backup says of itself, as `backup.json` in it (docs/backup-format.md). */
export const backupHeadSchema = z.object({
  format: z.literal("bent-nail backup 1"),
  madeAt: z.iso.datetime(),
  /** The number of the newest migration that its tables have. */
  schema: z.number().int().min(1),
  tables: z.array(
    z.object({
      name: z.string().regex(/^[a-z_]+$/),
      rows: z.number().int().min(0),
      /** Of the bytes of its file (SHA-256). */
      sha256: z.string().regex(/^[0-9a-f]{64}$/),
    }),
  ),
});
export type BackupHead = z.infer<typeof backupHeadSchema>;

/** Name of a table's file in a backup: a row of it on each line, as JSON. */
export const fileOfTable = (table: string): string => `tables/${table}.jsonl`;
export const headFile = "backup.json";

/** Tables of which a person thinks, with their words for one and for many: what a backup holds is said by them. */
const spoken = [
  ["course", "course", "courses"],
  ["student", "student", "students"],
  ["faulty_case", "case", "cases"],
  ["exercise", "exercise", "exercises"],
  ["sheet", "sheet", "sheets"],
  ["sitting", "sitting", "sittings"],
  ["lesson", "lesson", "lessons"],
] as const;

/** What lies in tables, in words: "2 courses, 40 students, 312 cases". `rows`: how many rows each has. */
export function heldWords(rows: ReadonlyMap<string, number>): string {
  const parts = spoken.flatMap(([table, one, many]) => {
    const count = rows.get(table) ?? 0;
    return count === 0 ? [] : [`${count} ${count === 1 ? one : many}`];
  });
  return parts.length === 0 ? "nothing" : parts.join(", ");
}
