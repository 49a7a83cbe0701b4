import { existsSync, mkdirSync, readdirSync, rmSync, statSync } from "node:fs";
import { join } from "node:path";
import type { Database } from "../database/database.ts";
import { log } from "../log.ts";
import { writeBackup } from "./writeBackup.ts";

/** A copy that was made by itself; `made`: the day, as in its name. */
export type Copy = { name: string; made: string; bytes: number };

/** Days for which copies are kept. */
const daysKept = 14;
/** The hour of the night, by the machine's clock, from which a day's copy is made. */
const hour = 2;
/** Milliseconds between two looks. */
const between = 10 * 60_000;

const copiesOf = (folder: string) => join(folder, "copies");
const shape = /^bent-nail-(\d{4}-\d\d-\d\d)\.zip$/;

/** The day of a moment by the machine's clock, as 2026-11-28. */
function dayOf(moment: Date): string {
  const two = (number: number) => String(number).padStart(2, "0");
  return `${moment.getFullYear()}-${two(moment.getMonth() + 1)}-${two(moment.getDate())}`;
}

/** The copies that are kept in a data folder, the newest first. */
export function listCopies(folder: string): Copy[] {
  const place = copiesOf(folder);
  if (!existsSync(place)) return [];
  return readdirSync(place)
    .flatMap((name) => {
      const made = shape.exec(name)?.[1];
      return made ? [{ name, made, bytes: statSync(join(place, name)).size }] : [];
    })
    .sort((one, other) => other.made.localeCompare(one.made));
}

/** Where a copy of this name lies; null where there is none. */
export function pathOfCopy(folder: string, name: string): string | null {
  return listCopies(folder).some((copy) => copy.name === name) ? join(copiesOf(folder), name) : null;
}

/**
 * Makes the copy of a day where it is time and it is not there, and takes away those that are older than a fortnight; the
 * newest one always stays. Returns the name of the new one, or null.
 */
export async function copyIfDue(database: Database, folder: string, now: Date): Promise<string | null> {
  const copies = listCopies(folder);
  const today = dayOf(now);
  const first = new Date(now);
  first.setDate(first.getDate() - daysKept);
  for (const copy of copies.slice(1)) if (copy.made < dayOf(first)) rmSync(join(copiesOf(folder), copy.name));
  if (now.getHours() < hour || copies.some(({ made }) => made === today)) return null;
  mkdirSync(copiesOf(folder), { recursive: true, mode: 0o700 });
  const name = `bent-nail-${today}.zip`;
  await writeBackup(database, join(copiesOf(folder), name), now);
  return name;
}

/** Keeps copies from now on; a machine that is off at night makes its copy when it is on. Returns what ends it. */
export function keepCopies(database: Database, folder: string): () => void {
  let working = false;
  const look = () => {
    if (working) return;
    working = true;
    copyIfDue(database, folder, new Date())
      .catch((problem: unknown) => log.warn({ err: problem }, "the copy of the day was not made"))
      .finally(() => {
        working = false;
      });
  };
  const first = setTimeout(look, 60_000);
  const clock = setInterval(look, between);
  first.unref();
  clock.unref();
  return () => {
    clearTimeout(first);
    clearInterval(clock);
  };
}
