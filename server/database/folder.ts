import { accessSync, constants, mkdirSync, readdirSync } from "node:fs";

/** What keeps the server from starting: one sentence for the person, and what to do. */
export class StartProblem extends Error {
  /** What to say of a data folder that could not be opened. */
  static ofOpening(folder: string, problem: unknown): StartProblem {
    if (problem instanceof StartProblem) return problem;
    const detail = problem instanceof Error ? (problem.message.trim().split("\n").at(-1) ?? "") : String(problem);
    return new StartProblem(
      ofSystem(folder, problem) ??
        `The data in ${folder} is damaged and cannot be opened (${detail}). Put a copy of the whole folder in its place, or start with another folder.`,
    );
  }
}

/** Words for what the system says of a folder or file; null if it is none of the usual. */
export function ofSystem(place: string, problem: unknown): string | null {
  const code = typeof problem === "object" && problem !== null && "code" in problem ? String(problem.code) : "";
  const message = problem instanceof Error ? problem.message : "";
  const is = (...codes: string[]) => codes.some((each) => code === each || message.includes(each));
  if (is("ENOSPC", "EDQUOT", "No space left on device"))
    return `The disk of ${place} is full. Free some space and start again.`;
  if (is("EROFS", "EACCES", "EPERM", "Read-only file system", "Permission denied"))
    return `Nothing can be written in ${place}. Give this user the right to write there, or name another folder as BENT_NAIL_DATA.`;
  if (is("ENOTDIR", "EEXIST")) return `${place} is no folder. Name another one as BENT_NAIL_DATA.`;
  if (is("ENAMETOOLONG")) return `The name ${place} is too long for this system. Name a shorter one as BENT_NAIL_DATA.`;
  return null;
}

/** What every whole database folder holds (PostgreSQL's layout of its data directory). */
const parts = ["PG_VERSION", "base", "global", "pg_wal"];

/**
 * Makes the database's folder if it is not there, and refuses one that is neither empty nor whole: an empty database
 * over half of one would look as if everything were lost, and would soon be. Throws StartProblem.
 */
export function prepareFolder(folder: string): void {
  let there: string[];
  try {
    mkdirSync(folder, { recursive: true, mode: 0o700 });
    accessSync(folder, constants.W_OK | constants.X_OK);
    there = readdirSync(folder);
  } catch (problem) {
    throw StartProblem.ofOpening(folder, problem);
  }
  const missing = parts.filter((part) => !there.includes(part));
  if (there.length > 0 && missing.length > 0)
    throw new StartProblem(
      `The data in ${folder} is not whole: ${missing.join(", ")} is missing, perhaps because it was copied or synchronised only in part. Nothing was changed. Bring the rest, or start with another folder.`,
    );
}
