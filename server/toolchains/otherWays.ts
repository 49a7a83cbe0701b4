import { existsSync, readdirSync, realpathSync } from "node:fs";

/**
 * Another way to translate a program: with other options, or by another translator that is installed. `words` are as the command
 * is written; `command` only translates, nothing of the program is run.
 */
export type OtherWay = { id: string; words: string; command: (files: readonly string[]) => string[] };

/** Where what is translated goes. */
export const translated = "/tmp/other";

/** Executables of a folder whose names fit, with their paths; those in `usual` are left out, whatever their names. */
export function installed(folder: string, form: RegExp, usual?: string): Array<{ name: string; path: string }> {
  if (!existsSync(folder)) return [];
  const names = readdirSync(folder).filter((name) => form.test(name));
  const isUsual = (path: string) =>
    usual !== undefined && existsSync(usual) && realpathSync(path) === realpathSync(usual);
  return names.sort().flatMap((name) => (isUsual(`${folder}/${name}`) ? [] : [{ name, path: `${folder}/${name}` }]));
}

/** Those that can be used here: their translator is there. */
export function usableWays(ways: readonly OtherWay[] = []): OtherWay[] {
  return ways.filter((way) => existsSync(way.command(["x"])[0] ?? ""));
}
