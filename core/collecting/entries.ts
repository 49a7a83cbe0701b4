import { decodeText } from "../source/decode.ts";

/** A file of a set that was dropped: its path with slashes, as bytes. */
export type Entry = { path: string; bytes: Uint8Array };

/** A file that was not taken, with the reason for a person. */
export type Refused = { path: string; reason: string };

/** Largest file of a set in bytes, most files, and most bytes in all. */
export const setLimits = { file: 2 * 1024 * 1024, files: 3000, bytes: 60 * 1024 * 1024 };

/**
 * What systems and editors put beside files, folders with a point before their name among them; left out without a
 * word.
 */
const aside =
  /(?:^|\/)(?:__MACOSX|__pycache__|node_modules|\.(?!\.\/)[^/]+)\/|(?:^|\/)(?:\.DS_Store|Thumbs\.db|desktop\.ini)$/i;
/** What translators make; nothing that a person wrote. */
const made = /\.(?:class|pyc|o|obj|exe|dll|ppu|pdb|mdb|suo|bin)$/i;
const archives = /\.(?:zip|rar|7z|tar|gz|tgz|bz2|xz|jar|iso)$/i;

/** True for a file that is left out of a set without a word. */
export function isAside(path: string): boolean {
  return aside.test(path) || path.endsWith("/");
}

/** Why a name may not be taken, or null: names that lead out of the set's folder, or that no system can hold. */
export function problemOfPath(path: string): string | null {
  if (path === "") return "It has no name.";
  if (path.length > 400) return "Its name is too long.";
  if (/^[/\\]|^[A-Za-z]:|(?:^|[/\\])\.\.(?:[/\\]|$)/.test(path)) return "Its name leads out of the folder.";
  if (/[\u0000-\u001f\u007f]/.test(path)) return "Its name holds signs that cannot be shown.";
  return null;
}

/** Why a file's content may not be taken, or null. */
export function problemOfContent(path: string, bytes: Uint8Array): string | null {
  if (made.test(path)) return "A translator made it; only what a person wrote is taken.";
  if (archives.test(path) || startsWith(bytes, 0x50, 0x4b, 3, 4) || startsWith(bytes, 0x1f, 0x8b))
    return "It is an archive inside the set. Unpack it first.";
  if (bytes.length > setLimits.file) return "It is larger than 2 MB.";
  if (bytes.length === 0) return "It is empty.";
  if (decodeText(bytes).binary) return "It is no text (it holds zero bytes or many control characters).";
  if (decodeText(bytes).text.trim() === "") return "It holds nothing but blanks.";
  return null;
}

function startsWith(bytes: Uint8Array, ...mark: number[]): boolean {
  return mark.every((value, index) => bytes[index] === value);
}

/**
 * Divides files into those that are taken and those that are not. A set beyond its limits is refused whole, so that
 * nothing is half-kept: then `whole` says why.
 */
export function sortEntries(given: readonly Entry[]): { entries: Entry[]; refused: Refused[]; whole: string | null } {
  const entries: Entry[] = [];
  const refused: Refused[] = [];
  const seen = new Set<string>();
  let bytes = 0;
  for (const { path: raw, bytes: content } of given) {
    const path = raw.replaceAll("\\", "/").normalize("NFC");
    if (isAside(path)) continue;
    const problem =
      problemOfPath(path) ??
      (seen.has(path) ? "Another file of the set has the same name." : null) ??
      problemOfContent(path, content);
    if (problem) {
      refused.push({ path: shown(raw), reason: problem });
      continue;
    }
    seen.add(path);
    entries.push({ path, bytes: content });
    bytes += content.length;
    if (entries.length > setLimits.files)
      return {
        entries: [],
        refused: [],
        whole: `It holds more than ${setLimits.files} files. Take one class or one task at a time.`,
      };
    if (bytes > setLimits.bytes)
      return {
        entries: [],
        refused: [],
        whole: "It holds more than 60 MB of text. Take one class or one task at a time.",
      };
  }
  return { entries, refused, whole: null };
}

/** A path fit to be shown: signs that cannot be seen as a blank box, long ones cut. */
export function shown(path: string): string {
  const plain = path.replace(/[\u0000-\u001f\u007f]/g, "□");
  return plain.length > 160 ? `${plain.slice(0, 160)}…` : plain;
}
