import type { Database } from "../database/database.ts";
import { isLabelTaken, setLabel } from "./courseStore.ts";

/** Gives a student another label. Words for the person if it cannot be. */
export async function renameStudent(database: Database, student: string, label: string): Promise<string | null> {
  const name = label.trim();
  if (name === "" || name.length > 80) return "A label has 1 to 80 characters.";
  if (await isLabelTaken(database, student, name)) return "Another student of the course has this label.";
  await setLabel(database, student, name);
  return null;
}
