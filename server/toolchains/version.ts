import { execFile } from "node:child_process";
import { readdirSync } from "node:fs";
import { join } from "node:path";

/**
 * What a tool says of its own version: the first group that `pattern` finds in what it prints. Throws if it cannot be
 * started.
 */
export function toolVersion(command: string, commandArguments: readonly string[], pattern: RegExp): Promise<string> {
  return new Promise((resolve, reject) => {
    execFile(command, [...commandArguments], { timeout: 10_000 }, (problem, out, err) => {
      const found = pattern.exec(`${out}\n${err}`)?.[1];
      if (found) resolve(found);
      else reject(problem ?? new Error(`${command} does not tell its version`));
    });
  });
}

/** The first path below `folder` whose next part matches, with `rest` after it; or the path itself if nothing does. */
export function findBelow(folder: string, pattern: RegExp, rest: string): string {
  try {
    const name = readdirSync(folder)
      .filter((each) => pattern.test(each))
      .sort()
      .at(-1);
    if (name) return join(folder, name, rest);
  } catch {
    // The folder is not there; the path that is missing is told.
  }
  return join(folder, rest);
}
