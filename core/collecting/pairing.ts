import type { Language } from "../languages/language.ts";
import { languages } from "../languages/languages.ts";
import { baseName } from "../languages/messageReader.ts";
import type { Diagnostic } from "../outcome/outcome.ts";
import { lineTexts } from "../source/lines.ts";

/** A program of a set, as pairing looks at it. */
export type PairCandidate = {
  id: string;
  files: ReadonlyArray<{ path: string; text: string }>;
  language: Language | null;
  student: string;
};

/** How well an output fits a program: points and the reasons in words. */
export type PairFit = { id: string; points: number; reasons: string[] };

const outputWords =
  /[-_. ]*(?:error|errors|output|out|err|log|message|messages|fehler|ausgabe|console|terminal|msg)s?[-_. ]*\d*$/i;

/** The ending of a program's file, in any language. */
const programEnding = new RegExp(
  `(?:${languages
    .flatMap((each) => [each.extension, ...(each.otherExtensions ?? [])])
    .map((ending) => ending.replace(".", "\\."))
    .join("|")})$`,
  "i",
);

/** A file's name without its endings. */
function bareStem(path: string): string {
  return baseName(path)
    .replace(/\.[^.]*$/, "")
    .replace(programEnding, "")
    .normalize("NFC")
    .toLowerCase();
}

/** A file's name without its endings and without words such as "error" behind it. */
export function plainStem(path: string): string {
  return bareStem(path).replace(outputWords, "");
}

function folderOf(path: string): string {
  return path.slice(0, path.lastIndexOf("/") + 1);
}

/** Reads an output once for each language, however many programs it is held against. */
function readOnce(text: string): (language: Language | null) => readonly Diagnostic[] {
  const known = new Map<string, readonly Diagnostic[]>();
  return (language) => {
    if (!language) return [];
    const found = known.get(language.id) ?? language.readMessages(text);
    known.set(language.id, found);
    return found;
  };
}

/** How well the output at `path` fits a program, by names, folders and what the message itself mentions. */
export function fitOf(
  path: string,
  read: (language: Language | null) => readonly Diagnostic[],
  student: string,
  candidate: PairCandidate,
  aloneInFolder: boolean,
): PairFit {
  const reasons: string[] = [];
  let points = 0;
  const add = (more: number, words: string) => {
    points += more;
    reasons.push(words);
  };
  const folder = folderOf(path);
  const [bare, stem] = [bareStem(path), plainStem(path)];
  // A program may be called "layout": its own name counts for more than one that is left when such words are taken away.
  if (bare !== "" && candidate.files.some((file) => bareStem(file.path) === bare)) add(6, "same file name");
  else if (stem !== "" && candidate.files.some((file) => plainStem(file.path) === stem)) add(5, "same file name");
  if (candidate.files.some((file) => folderOf(file.path) === folder)) {
    if (aloneInFolder) add(4, "the only program of its folder");
    else if (folder !== "") add(1, "same folder");
  }
  if (student !== "" && student === candidate.student) add(3, "same student");
  const messages = read(candidate.language);
  const files = new Map(candidate.files.map((file) => [baseName(file.path), file]));
  if (messages.length > 0) add(2, `reads as ${candidate.language?.name}`);
  const named = messages.find((message) => message.file !== undefined && files.has(message.file));
  if (named?.file) add(4, `names ${named.file}`);
  let echoed = 0;
  let beyond = false;
  for (const message of messages.slice(0, 20)) {
    const file = files.get(message.file ?? "") ?? candidate.files[0];
    // Only what is held against a program for some other reason is worth its lines.
    if (!file || points === 0) break;
    const source = lineTexts(file.text);
    if (message.line !== undefined && message.line > source.length) beyond = true;
    if (
      message.excerpt !== undefined &&
      message.line !== undefined &&
      source[message.line - 1]?.trim() === message.excerpt.trim() &&
      message.excerpt.trim() !== ""
    )
      echoed += 1;
  }
  if (echoed > 0) add(Math.min(6, echoed * 3), "quotes its lines");
  if (beyond) add(-4, "names a line past its end");
  return { id: candidate.id, points, reasons };
}

/** Points from which on an output belongs to a program, if no other has as many. */
const enough = 4;

/**
 * The program that an output belongs to, or null where none fits well or two fit alike; `fits` are all that speak for
 * it, the best first.
 */
export function choosePair(
  output: { path: string; text: string; student: string },
  candidates: readonly PairCandidate[],
): { best: PairFit | null; fits: PairFit[] } {
  const folder = folderOf(output.path);
  const read = readOnce(output.text);
  const inFolder = candidates.filter((candidate) => candidate.files.some((file) => folderOf(file.path) === folder));
  const fits = candidates
    .map((candidate) =>
      fitOf(output.path, read, output.student, candidate, inFolder.length === 1 && inFolder[0]?.id === candidate.id),
    )
    .filter((fit) => fit.points > 0)
    .sort((one, other) => other.points - one.points);
  const [first, second] = fits;
  return {
    best: first && first.points >= enough && first.points > (second?.points ?? 0) ? first : null,
    fits: fits.slice(0, 5),
  };
}
