/**
 * A way to find a student's label in a path that is freed of the folder that all files share. Null where it finds none.
 */
export type StudentRule = { id: string; words: string; find: (path: string) => string | null };

function parts(path: string): { folders: string[]; stem: string } {
  const folders = path.split("/");
  const name = folders.pop() ?? "";
  return { folders, stem: name.replace(/\.[^.]*$/, "") };
}

/** Every rule; a new one is one entry here. Each is shown to the teacher in its words. */
export const studentRules: readonly StudentRule[] = [
  { id: "outer folder", words: "the outermost folder is the student", find: (path) => parts(path).folders[0] ?? null },
  {
    id: "inner folder",
    words: "the folder that the file lies in is the student",
    find: (path) => parts(path).folders.at(-1) ?? null,
  },
  {
    id: "folder beginning",
    words: "the outermost folder up to the first _ is the student",
    find: (path) => parts(path).folders[0]?.split("_")[0] || null,
  },
  {
    id: "name beginning",
    words: "the file name up to the first _ is the student",
    find: (path) => beginning(parts(path).stem),
  },
  {
    id: "name ending",
    words: "the file name after the last _ is the student",
    find: (path) => ending(parts(path).stem),
  },
  { id: "whole name", words: "the file name is the student", find: (path) => parts(path).stem || null },
  { id: "nobody", words: "no name says whose it is", find: () => null },
];

function beginning(stem: string): string | null {
  const at = stem.search(/[_ ]/);
  return at > 0 ? stem.slice(0, at) : null;
}

function ending(stem: string): string | null {
  const at = Math.max(stem.lastIndexOf("_"), stem.lastIndexOf(" "));
  return at >= 0 && at < stem.length - 1 ? stem.slice(at + 1) : null;
}

/**
 * Labels that differ only in letter case, blanks, signs between and zeros before a number are one label; so are those whose
 * letters with accents are kept in one piece here and in two there, as archives of different systems do.
 */
export function sameLabel(label: string): string {
  return label
    .normalize("NFC")
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, " ")
    .replace(/(?<!\d)0+(?=\d)/g, "")
    .replace(/(\p{L}) (?=\d)/gu, "$1")
    .trim();
}

/** The folder that all paths share, with its slash, or "". */
export function sharedFolder(paths: readonly string[]): string {
  let shared = paths[0]?.slice(0, paths[0].lastIndexOf("/") + 1) ?? "";
  for (const path of paths)
    while (shared !== "" && !path.startsWith(shared))
      shared = shared.slice(0, shared.lastIndexOf("/", shared.length - 2) + 1);
  return shared;
}

/**
 * The rule that finds the most labels of the course; where the course has none, the outermost folder if files lie in
 * several folders, else the beginning of the name if most have one, else nobody.
 */
export function chooseRule(paths: readonly string[], labels: readonly string[]): StudentRule {
  const known = new Set(labels.map(sameLabel));
  const shared = sharedFolder(paths);
  const inner = paths.map((path) => path.slice(shared.length));
  const found = studentRules.map((rule) => ({
    rule,
    hits: inner.filter((path) => known.has(sameLabel(rule.find(path) ?? ""))).length,
  }));
  const best = found.reduce((one, other) => (other.hits > one.hits ? other : one));
  if (best.hits > 0) return best.rule;
  const by = (id: string) => studentRules.find((rule) => rule.id === id) ?? best.rule;
  if (new Set(inner.map((path) => path.split("/")[0])).size > 1 && inner.every((path) => path.includes("/")))
    return by("outer folder");
  if (inner.filter((path) => by("name beginning").find(path) !== null).length > inner.length / 2)
    return by("name beginning");
  return by("nobody");
}
