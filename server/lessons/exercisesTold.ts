import { labPart } from "../../core/lessons/parts/labPart.ts";
import { programPart } from "../../core/lessons/parts/programPart.ts";
import type { Database } from "../database/database.ts";
import { listPlaced, listSheets } from "../sheets/sheetStore.ts";
import type { Lesson } from "./lessonStore.ts";

/** Kinds of part in which a program is told of, so that its answers are known afterwards. */
const telling: ReadonlySet<string> = new Set([programPart.kind, labPart.kind]);

/** The exercises that a lesson goes through and that stand on a sheet of its course which is not closed: nobody has to find them there. */
export async function exercisesTold(
  database: Database,
  { content, course }: Pick<Lesson, "content" | "course">,
): Promise<Array<{ title: string; sheet: string }>> {
  const told = new Set(
    content.parts.flatMap((part) => (part.out || !telling.has(part.kind) ? [] : [Object(part.content).exercise])),
  );
  const found: Array<{ title: string; sheet: string }> = [];
  for (const sheet of await listSheets(database)) {
    if (sheet.course !== course || sheet.state === "closed") continue;
    for (const { key, title } of await listPlaced(database, sheet.key))
      if (told.has(key)) found.push({ title, sheet: sheet.title });
  }
  return found;
}
