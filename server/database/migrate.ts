import { createHash } from "node:crypto";
import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import * as z from "zod";
import { productFolder } from "../productFolder.ts";
import { StartProblem } from "./folder.ts";
import type { Database } from "./query.ts";

const appliedSchema = z.object({ number: z.number(), name: z.string(), checksum: z.string() });

/** Splits a migration into statements: a semicolon at a line's end ends one, but for those in the body of a function. */
export function statements(sql: string): string[] {
  const bare = sql.replace(/^--.*$/gm, "");
  const found = [""];
  bare.split("$$").forEach((part, at) => {
    const isBody = at % 2 === 1;
    const [first = "", ...others] = isBody ? [`$$${part}$$`] : part.split(/;\s*$/m);
    found[found.length - 1] += first;
    found.push(...others);
  });
  return found.map((statement) => statement.trim()).filter((statement) => statement !== "");
}

const migrations = join(productFolder, "db/migrations");

/** The files of db/migrations in their order; each begins with its number. */
function migrationFiles(): string[] {
  return readdirSync(migrations)
    .filter((name) => /^\d{4}_.*\.sql$/.test(name))
    .sort();
}

/** The number of the newest migration that this version knows. */
export function newestMigration(): number {
  return Number(migrationFiles().at(-1)?.slice(0, 4) ?? 0);
}

/**
 * Applies the numbered files of db/migrations that are not applied yet, each in a transaction; with `upTo` none beyond that
 * number. Throws if an applied file was changed afterwards, or if the data was made by a newer version of the product.
 */
export async function migrate(database: Database, upTo = Number.POSITIVE_INFINITY): Promise<void> {
  await database.exec(
    "create table if not exists schema_migration (number integer primary key, name text not null, checksum text not null, applied_at timestamptz not null default now())",
  );
  const applied = z
    .array(appliedSchema)
    .parse(await database.query("select number, name, checksum from schema_migration order by number"));
  const files = migrationFiles();
  const newest = applied.at(-1)?.number ?? 0;
  if (newest > files.length)
    throw new StartProblem(
      `The data was made by a newer version of Bent Nail (its tables are at ${newest}, this version knows ${files.length}).`,
    );
  for (const name of files) {
    const number = Number(name.slice(0, 4));
    if (number > upTo) break;
    const sql = readFileSync(join(migrations, name), "utf8");
    const checksum = createHash("sha256").update(sql).digest("hex");
    const known = applied.find((each) => each.number === number);
    if (known) {
      if (known.checksum !== checksum)
        throw new StartProblem(`The migration ${name} was changed after it had been applied.`);
      continue;
    }
    await database.transaction(async (query) => {
      for (const statement of statements(sql)) await query(statement);
      await query("insert into schema_migration (number, name, checksum) values ($1, $2, $3)", [
        number,
        name,
        checksum,
      ]);
    });
  }
}
