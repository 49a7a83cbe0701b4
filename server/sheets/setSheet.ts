import { levelOf } from "../../core/exercises/level.ts";
import type { Services } from "../services.ts";
import { type EditionContent, listPlaced, type Sheet, setSheet } from "./sheetStore.ts";

/** Freezes the sheet as it stands and opens it for students. Words for the teacher if it cannot be set. */
export async function setForStudents(
  services: Pick<Services, "database">,
  sheet: Sheet,
): Promise<{ ok: true; edition: string } | { ok: false; message: string }> {
  const placed = await listPlaced(services.database, sheet.key);
  if (placed.length === 0) return { ok: false, message: "There is no exercise on this sheet yet." };
  const empty = placed.find((each) => each.content.tasks.length === 0);
  if (empty) return { ok: false, message: `“${empty.title}” has no tasks yet.` };
  const content: EditionContent = {
    title: sheet.title,
    exercises: placed.map((each) => ({
      key: each.key,
      title: each.title,
      level: each.level ?? levelOf(each.content).level,
      content: each.content,
    })),
  };
  return { ok: true, edition: await setSheet(services.database, sheet.key, content) };
}
