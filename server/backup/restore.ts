import { existsSync, readdirSync, renameSync, rmSync } from "node:fs";
import { join } from "node:path";
import { type Database, openDatabase } from "../database/database.ts";
import { newestMigration } from "../database/migrate.ts";
import { heldWords } from "./backupFormat.ts";
import { BackupProblem, type OpenBackup, openBackup } from "./readBackup.ts";
import { beginFilling, countRows, endFilling, fillTable, listTables } from "./tableStore.ts";

const databaseOf = (folder: string) => join(folder, "database");

/** What restoring a backup would do, in words, before anything is done. */
export type RestorePlan = {
  /** What the backup holds and when it was made. */
  holds: string;
  madeAt: string;
  /** What is in the folder now; null where there is nothing that would be replaced. */
  replaces: string | null;
};

/** Says what restoring would do. `now`: how many rows each table has in the data that is there. Throws BackupProblem. */
export async function planRestore(file: string, now: ReadonlyMap<string, number>): Promise<RestorePlan> {
  const backup = await openBackup(file);
  backup.close();
  const { head } = backup;
  refuseNewer(head.schema);
  const there = heldWords(now);
  return {
    holds: heldWords(new Map(head.tables.map(({ name, rows }) => [name, rows]))),
    madeAt: head.madeAt,
    replaces: there === "nothing" ? null : there,
  };
}

function refuseNewer(schema: number): void {
  if (schema > newestMigration())
    throw new BackupProblem(
      `This backup was made by a newer version of Bent Nail (its tables are at ${schema}, this version knows ${newestMigration()}).`,
    );
}

/**
 * Makes the data of a folder anew from a backup, of this version or an earlier one. Nobody may have the folder's data open.
 * What was there is put aside in the folder, under the name that is returned; null where there was nothing. Nothing is
 * changed where it does not come to an end. Throws BackupProblem.
 */
export async function restoreBackup(folder: string, file: string, now = new Date()): Promise<string | null> {
  const fresh = join(folder, `database.restoring-${process.pid}`);
  const backup = await openBackup(file);
  try {
    refuseNewer(backup.head.schema);
    rmSync(fresh, { recursive: true, force: true });
    // The tables as the backup's version had them; what has changed since is done to its rows as to any others.
    const early = await openDatabase(fresh, null, backup.head.schema);
    try {
      await fillFrom(early, backup);
    } finally {
      await early.close();
    }
    const whole = await openDatabase(fresh);
    await whole.close();
  } catch (problem) {
    rmSync(fresh, { recursive: true, force: true });
    throw problem;
  } finally {
    backup.close();
  }
  const place = databaseOf(folder);
  const used = existsSync(place) && readdirSync(place).length > 0;
  const aside = used ? `database.before-${now.toISOString().replace(/[:.]/g, "-")}` : null;
  if (aside) renameSync(place, join(folder, aside));
  else rmSync(place, { recursive: true, force: true });
  renameSync(fresh, place);
  return aside;
}

/** Puts everything that a backup holds into a database that has the tables of its version. Throws BackupProblem. */
export async function fillFrom(database: Database, backup: OpenBackup): Promise<void> {
  const tables = await listTables(database);
  const unknown = backup.head.tables.find(({ name }) => !tables.some((table) => table.name === name));
  if (unknown) throw new BackupProblem(`This backup holds a table that is not known: ${unknown.name}.`);
  await beginFilling(database, tables);
  for (const { name } of tables) await backup.rows(name, (rows) => fillTable(database, name, rows));
  await endFilling(database);
}

/** How many rows the tables of a folder have; none where there are no data. Nobody may have them open. */
export async function rowsOfFolder(folder: string): Promise<Map<string, number>> {
  const place = databaseOf(folder);
  if (!existsSync(place) || readdirSync(place).length === 0) return new Map();
  const database = await openDatabase(place);
  try {
    return await countRows(database, await listTables(database));
  } finally {
    await database.close();
  }
}
