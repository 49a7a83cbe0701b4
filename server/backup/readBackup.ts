import { createHash } from "node:crypto";
import { createInterface } from "node:readline";
import type { Readable } from "node:stream";
import { type Entry, open as openZip, type ZipFile } from "yauzl";
import { type BackupHead, backupHeadSchema, fileOfTable, headFile } from "./backupFormat.ts";

/** Why a file is no backup that can be used; words for the person. */
export class BackupProblem extends Error {}

/** Largest `backup.json` that is read, in bytes. */
const largestHead = 1_000_000;
/** Characters of rows that are handed on at once. */
const atOnce = 400_000;

/** A backup that is open: what it says of itself, and its rows table by table. */
export type OpenBackup = {
  head: BackupHead;
  /** Gives the rows of a table, many at a time, each as JSON. Throws BackupProblem where the file is not what it was. */
  rows: (table: string, take: (rows: string[]) => Promise<void>) => Promise<void>;
  close: () => void;
};

function open(path: string): Promise<ZipFile> {
  return new Promise((resolve, reject) =>
    openZip(path, { lazyEntries: true, autoClose: false, validateEntrySizes: true }, (problem, zip) =>
      problem ? reject(new BackupProblem("This is no backup of Bent Nail, or not the whole of one.")) : resolve(zip),
    ),
  );
}

function listEntries(zip: ZipFile): Promise<Map<string, Entry>> {
  return new Promise((resolve, reject) => {
    const entries = new Map<string, Entry>();
    zip.on("entry", (entry: Entry) => {
      entries.set(entry.fileName, entry);
      zip.readEntry();
    });
    zip.once("end", () => resolve(entries));
    zip.once("error", (problem: Error) => reject(new BackupProblem(`This backup is damaged: ${problem.message}.`)));
    zip.readEntry();
  });
}

function streamOf(zip: ZipFile, entry: Entry): Promise<Readable> {
  return new Promise((resolve, reject) =>
    zip.openReadStream(entry, (problem, stream) => (problem ? reject(problem) : resolve(stream))),
  );
}

/** Opens a backup and reads what it says of itself. Throws BackupProblem. */
export async function openBackup(path: string): Promise<OpenBackup> {
  const zip = await open(path);
  try {
    const entries = await listEntries(zip);
    const said = entries.get(headFile);
    if (!said || said.uncompressedSize > largestHead)
      throw new BackupProblem("This is no backup of Bent Nail: it does not say what it holds.");
    const parts: Buffer[] = [];
    for await (const part of await streamOf(zip, said)) parts.push(Buffer.from(part));
    const head = readHead(Buffer.concat(parts).toString("utf8"));
    const missing = head.tables.find(({ name }) => !entries.has(fileOfTable(name)));
    if (missing) throw new BackupProblem(`This backup is not whole: ${fileOfTable(missing.name)} is missing.`);
    return {
      head,
      rows: async (table, take) => {
        const known = head.tables.find(({ name }) => name === table);
        const entry = entries.get(fileOfTable(table));
        if (!known || !entry) return;
        await readTable(zip, entry, known, take);
      },
      close: () => zip.close(),
    };
  } catch (problem) {
    zip.close();
    throw problem;
  }
}

function readHead(text: string): BackupHead {
  try {
    return backupHeadSchema.parse(JSON.parse(text));
  } catch {
    throw new BackupProblem("This is no backup of Bent Nail, or one of a version that this one does not know.");
  }
}

async function readTable(
  zip: ZipFile,
  entry: Entry,
  known: BackupHead["tables"][number],
  take: (rows: string[]) => Promise<void>,
): Promise<void> {
  const damaged = () => new BackupProblem(`This backup is damaged: ${fileOfTable(known.name)} is not what it was.`);
  const hash = createHash("sha256");
  let count = 0;
  let waiting: string[] = [];
  let length = 0;
  try {
    const stream = await streamOf(zip, entry);
    for await (const line of createInterface({ input: stream, crlfDelay: Number.POSITIVE_INFINITY })) {
      hash.update(`${line}\n`);
      count += 1;
      waiting.push(line);
      length += line.length;
      if (length < atOnce) continue;
      await take(waiting);
      waiting = [];
      length = 0;
    }
  } catch (problem) {
    throw problem instanceof BackupProblem ? problem : damaged();
  }
  if (count !== known.rows || hash.digest("hex") !== known.sha256) throw damaged();
  if (waiting.length > 0) await take(waiting);
}
