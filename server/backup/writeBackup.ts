import { createHash } from "node:crypto";
import { createReadStream, createWriteStream, mkdtempSync, rmSync } from "node:fs";
import { appendFile, rename } from "node:fs/promises";
import { dirname, join } from "node:path";
import { createInterface } from "node:readline";
import { Readable } from "node:stream";
import { pipeline } from "node:stream/promises";
import yazl from "yazl";
import type { Database } from "../database/database.ts";
import { type BackupHead, fileOfTable, headFile } from "./backupFormat.ts";
import {
  countRows,
  listTables,
  markNow,
  readKeys,
  readPages,
  readSince,
  schemaNumber,
  type Table,
  type TextRow,
} from "./tableStore.ts";

/** Pages of a table's file (8 KB each) that are read at once: others are served in between. */
const pagesAtOnce = 16;

/** What changed in a table while it was read: rows as they are now, and the keys of all rows where some are gone. */
type Since = { changed: Map<string, string>; alive: Set<string> | null };

/**
 * Writes everything into a zip at `path`, while people work: tables are read a little at a time, and at the end, in one
 * short transaction, what was written meanwhile is read once more and what is gone is left out, so that all of it is as at
 * that moment. The file appears as a whole or not at all. Returns what it holds.
 */
export async function writeBackup(database: Database, path: string, now = new Date()): Promise<BackupHead> {
  const folder = mkdtempSync(join(dirname(path), ".backup-"));
  try {
    const tables = await listTables(database);
    const mark = await markNow(database);
    const read = new Map<string, Set<string>>();
    for (const table of tables) read.set(table.name, await readAll(database, table, partOf(folder, table)));
    const { schema, since } = await database.transaction(async (query) => {
      const counts = await countRows({ query }, tables);
      const found = new Map<string, Since>();
      for (const table of tables) {
        const rows = await readSince({ query }, table, mark);
        const changed = new Map(rows.map(({ key, text }) => [key, text]));
        const known = new Set([...(read.get(table.name) ?? []), ...changed.keys()]);
        const alive = known.size === counts.get(table.name) ? null : await readKeys({ query }, table);
        found.set(table.name, { changed, alive });
      }
      return { schema: await schemaNumber({ query }), since: found };
    });
    const head: BackupHead = { format: "bent-nail backup 1", madeAt: now.toISOString(), schema, tables: [] };
    const zip = new yazl.ZipFile();
    const whole = join(folder, "whole.zip");
    const written = pipeline(zip.outputStream, createWriteStream(whole, { mode: 0o600 }));
    for (const table of tables) {
      const { changed, alive } = since.get(table.name) ?? { changed: new Map(), alive: null };
      const hash = createHash("sha256");
      let rows = 0;
      const lines = async function* () {
        for await (const text of linesOf(partOf(folder, table), changed, alive)) {
          const line = Buffer.from(`${text}\n`);
          hash.update(line);
          rows += 1;
          yield line;
        }
      };
      // The zip takes one file after another, and its sum is known when it has been read.
      await new Promise<void>((resolve, reject) => {
        const stream = Readable.from(lines(), { objectMode: false });
        stream.once("end", resolve);
        stream.once("error", reject);
        zip.addReadStream(stream, fileOfTable(table.name), { mtime: now });
      });
      head.tables.push({ name: table.name, rows, sha256: hash.digest("hex") });
    }
    zip.addBuffer(Buffer.from(`${JSON.stringify(head, null, 2)}\n`), headFile, { mtime: now });
    zip.end();
    await written;
    await rename(whole, path);
    return head;
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

const partOf = (folder: string, table: Table) => join(folder, table.name);

/** Reads a table into a file, a line for each row with its key before it; returns the keys. */
async function readAll(database: Database, table: Table, path: string): Promise<Set<string>> {
  const keys = new Set<string>();
  await appendFile(path, "");
  for (let page = 0; ; page += pagesAtOnce) {
    const rows = await readPages(database, table, page, pagesAtOnce);
    if (rows === null) return keys;
    const fresh = rows.filter(({ key }) => !keys.has(key));
    for (const { key } of fresh) keys.add(key);
    await appendFile(path, fresh.map(asLine).join(""));
  }
}

const asLine = ({ key, text }: TextRow) => `${JSON.stringify(key)}\t${text}\n`;

/** The rows that a table has, of those that were read and those that changed meanwhile. */
async function* linesOf(path: string, changed: ReadonlyMap<string, string>, alive: ReadonlySet<string> | null) {
  for await (const line of createInterface({ input: createReadStream(path), crlfDelay: Number.POSITIVE_INFINITY })) {
    const tab = line.indexOf("\t");
    const key: unknown = JSON.parse(line.slice(0, tab));
    if (typeof key !== "string" || changed.has(key) || (alive && !alive.has(key))) continue;
    yield line.slice(tab + 1);
  }
  yield* changed.values();
}
