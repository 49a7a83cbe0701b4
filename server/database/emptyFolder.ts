import { createHash } from "node:crypto";
import { cpSync, existsSync, mkdirSync, readdirSync, readFileSync, renameSync, rmSync } from "node:fs";
import { join } from "node:path";
import { productFolder } from "../productFolder.ts";

/** What is made into an empty database beside the tables; counted on when that changes. */
const edition = "2";

/** What names an empty database: the tables that it has and the version that made it. */
function emptyDatabaseName(): string {
  const hash = createHash("sha256").update(edition);
  const migrations = join(productFolder, "db/migrations");
  for (const name of readdirSync(migrations).sort()) hash.update(readFileSync(join(migrations, name)));
  for (const made of ["@electric-sql/pglite", "pg-boss"])
    hash.update(readFileSync(join(productFolder, "node_modules", made, "package.json")));
  return `empty-${hash.digest("hex").slice(0, 16)}`;
}

/** Where an empty database's folder is kept, made once when the product is built: making one anew takes seconds. */
export function emptyFolder(): string {
  return join(productFolder, "node_modules/.cache/bent-nail", emptyDatabaseName());
}

/**
 * Puts a copy of the kept empty database into a folder that is there and empty. False if none is kept, or the folder
 * holds something. The copy appears as a whole or not at all.
 */
export function copyEmptyFolder(folder: string): boolean {
  const kept = emptyFolder();
  if (!existsSync(kept) || readdirSync(folder).length > 0) return false;
  const fresh = `${folder}.new-${process.pid}`;
  try {
    cpSync(kept, fresh, { recursive: true });
    renameSync(fresh, folder);
    return true;
  } catch {
    // It is made anew then, which says in words why nothing can be written.
    rmSync(fresh, { recursive: true, force: true });
    return false;
  }
}

/** Keeps an empty database for copies; `make` fills the folder that it is given. Does nothing if one is kept. */
export async function keepEmptyFolder(make: (folder: string) => Promise<void>): Promise<void> {
  const kept = emptyFolder();
  if (existsSync(kept)) return;
  const fresh = `${kept}.${process.pid}`;
  mkdirSync(fresh, { recursive: true, mode: 0o700 });
  await make(fresh);
  try {
    renameSync(fresh, kept);
  } catch {
    // Another process kept one at the same time; one is as good as the other.
    rmSync(fresh, { recursive: true, force: true });
  }
}
