import type { Database } from "../database/database.ts";
import { listScenes } from "./sceneStore.ts";
import { type EditionContent, findEdition, listEditions, listPlaced, type Sheet } from "./sheetStore.ts";

/**
 * What is on paper of a sheet: the edition with a number, in one of its scenes (0: as it was set); without one the newest edition, so that paper is what was set;
 * of a sheet that was never set the exercises as they are. Null if there is no such edition.
 */
export async function editionToPrint(
  database: Database,
  sheet: Sheet,
  number: number | null,
  scene = 0,
): Promise<{
  key: string | null;
  number: number | null;
  numbers: number[];
  /** The scenes that it has beside its own. */
  scenes: number[];
  exercises: EditionContent["exercises"];
} | null> {
  const editions = await listEditions(database, sheet.key);
  const numbers = editions.map((each) => each.number);
  const head = number === null ? editions.at(-1) : editions.find((each) => each.number === number);
  if (head) {
    const edition = await findEdition(database, head.key, scene);
    const scenes = await listScenes(database, head.key);
    if (scene !== 0 && !scenes.includes(scene)) return null;
    return edition && { key: head.key, number: head.number, numbers, scenes, exercises: edition.content.exercises };
  }
  if (number !== null || scene !== 0) return null;
  const placed = await listPlaced(database, sheet.key);
  const exercises = placed.map(({ key, title, content, level, section }) => ({
    ...{ key, title, content, section },
    level: level ?? 1,
  }));
  return { key: null, number: null, numbers, scenes: [], exercises };
}

/** The number of a scene in an address (`?scene=2`); 0 where none is given, -1 for what is none. */
export function sceneOfAddress(address: string): number {
  const given = new URL(address).searchParams.get("scene") ?? "0";
  return /^\d{1,3}$/.test(given) ? Number(given) : -1;
}

/** The number of an edition in an address (`?edition=2`); null where none is given, 0 for what is none. */
export function editionOfAddress(address: string): number | null {
  const given = new URL(address).searchParams.get("edition");
  if (given === null) return null;
  return /^[1-9]\d{0,5}$/.test(given) ? Number(given) : 0;
}
