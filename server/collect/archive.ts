import iconv from "iconv-lite";
import { fromBuffer, type Entry as ZipEntry, type ZipFile } from "yauzl";
import { type Entry, isAside, problemOfPath, type Refused, setLimits, shown } from "../../core/collecting/entries.ts";

/** Entries of an archive that are looked at; beyond it the archive is refused whole. */
const mostEntries = 10_000;
/** Bytes that an archive may unpack to in all, whatever it says of itself. */
const mostBytes = 100 * 1024 * 1024;
/** A file that shrinks further than this is no text of a person's. */
const mostRatio = 250;

/** What an archive held. `whole`: why nothing of it was taken. */
export type Unpacked = { entries: Entry[]; refused: Refused[]; whole: string | null };

/**
 * A name as it was meant: UTF-8 where it is valid, else the old code page of the format's description (APPNOTE.TXT
 * 4.4.4, appendix D).
 */
function nameOf(entry: ZipEntry): string {
  const raw: unknown = entry.fileName;
  const bytes = Buffer.isBuffer(raw) ? raw : Buffer.from(String(raw));
  try {
    return new TextDecoder("utf-8", { fatal: true }).decode(bytes);
  } catch {
    return iconv.decode(bytes, "cp437");
  }
}

function open(bytes: Buffer): Promise<ZipFile> {
  return new Promise((resolve, reject) =>
    fromBuffer(bytes, { lazyEntries: true, decodeStrings: false, validateEntrySizes: true }, (problem, file) =>
      problem ? reject(problem) : resolve(file),
    ),
  );
}

function content(file: ZipFile, entry: ZipEntry, limit: number): Promise<Buffer | null> {
  return new Promise((resolve, reject) =>
    file.openReadStream(entry, (problem, stream) => {
      if (problem) return reject(problem);
      const parts: Buffer[] = [];
      let size = 0;
      stream.on("data", (part: Buffer) => {
        size += part.length;
        if (size > limit) {
          stream.destroy();
          resolve(null);
        } else parts.push(part);
      });
      stream.once("end", () => resolve(Buffer.concat(parts)));
      stream.once("error", reject);
    }),
  );
}

/**
 * Unpacks a zip in memory. Nothing is written anywhere, so no name can lead out; links, encrypted files and files that
 * unpack to far more than they say are refused one by one, an archive beyond the limits whole. `stopped` is asked
 * between files.
 */
export async function unpack(bytes: Buffer, stopped: () => boolean = () => false): Promise<Unpacked> {
  const nothing = (whole: string): Unpacked => ({ entries: [], refused: [], whole });
  let file: ZipFile;
  try {
    file = await open(bytes);
  } catch {
    return nothing("It cannot be read as a zip archive; it may be cut off or of another format.");
  }
  if (file.entryCount > mostEntries)
    return nothing(
      `It holds ${file.entryCount} files. At most ${mostEntries} are looked at; take one class or one task at a time.`,
    );
  const entries: Entry[] = [];
  const refused: Refused[] = [];
  let total = 0;
  try {
    for (;;) {
      const entry = await new Promise<ZipEntry | null>((resolve, reject) => {
        file.once("entry", resolve);
        file.once("end", () => resolve(null));
        file.once("error", reject);
        file.readEntry();
      });
      file.removeAllListeners();
      if (!entry) break;
      if (stopped()) return nothing("It was stopped; nothing of it was taken.");
      const path = nameOf(entry).replaceAll("\\", "/");
      if (isAside(path)) continue;
      const problem = problemOfEntry(entry, path);
      if (problem) {
        refused.push({ path: shown(path), reason: problem });
        continue;
      }
      const read = await content(file, entry, setLimits.file).catch(() => undefined);
      if (!read) {
        refused.push({
          path: shown(path),
          reason: read === null ? "It unpacks to more than 2 MB." : "It is damaged in the archive.",
        });
        continue;
      }
      total += read.length;
      if (total > mostBytes) return nothing("It unpacks to more than 100 MB.");
      entries.push({ path, bytes: read });
    }
  } catch {
    return nothing("Its list of files is damaged; nothing of it was taken.");
  } finally {
    file.close();
  }
  return { entries, refused, whole: null };
}

function problemOfEntry(entry: ZipEntry, path: string): string | null {
  const problem = problemOfPath(path);
  if (problem) return problem;
  // The upper half of the attributes is a Unix mode where the archive was made on Unix; 0o12 is a link.
  if (entry.externalFileAttributes >>> 28 === 0o12) return "It is a link, not a file.";
  if ((entry.generalPurposeBitFlag & 1) !== 0) return "It is encrypted.";
  if (entry.uncompressedSize > setLimits.file) return "It is larger than 2 MB.";
  if (entry.uncompressedSize > 100_000 && entry.uncompressedSize > entry.compressedSize * mostRatio)
    return "It unpacks to far more than it holds.";
  return null;
}
