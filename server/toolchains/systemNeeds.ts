import { existsSync, readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { productFolder } from "../productFolder.ts";

/**
 * What a language takes of the system, from its file in system/, which tools/system.sh reads as well. A line is "need
 * PATH PACKAGE" (without it nothing runs), "want PATH PACKAGE" (with it more is found), "show FOLDER" (settings that its
 * programs must see inside the sandbox), or "copy NAME" (the folder of runners that its commands use there). In a path `*` stands for any signs of one name, `[ab]` for one of two.
 */
export type SystemNeed = { path: string; package: string };

const folder = join(productFolder, "server/toolchains/system");

function linesOf(file: string): string[][] {
  return readFileSync(join(folder, file), "utf8")
    .split("\n")
    .map((line) => line.trim().split(/\s+/))
    .filter(([word]) => word !== "");
}

/** What a language cannot run without, and the Debian packages that bring it. */
export function systemNeeds(language: string): SystemNeed[] {
  return linesOf(`${language}.txt`).flatMap(([word, path = "", name = ""]) =>
    word === "need" ? [{ path, package: name }] : [],
  );
}

/** Folders of settings that are shown inside the sandbox, of all languages. */
export function shownFolders(): string[] {
  return readdirSync(folder)
    .flatMap(linesOf)
    .flatMap(([word, path = ""]) => (word === "show" ? [path] : []));
}

/** Names of the folders under runners/ that are copied into the workbench's sandbox, each once. */
export function copiedRunners(): string[] {
  const named = readdirSync(folder)
    .flatMap(linesOf)
    .flatMap(([word, name = ""]) => (word === "copy" ? [name] : []));
  return [...new Set(named)].sort();
}

/** Whether something is at a path that may hold `*` and `[ab]`. */
export function isThere(path: string): boolean {
  if (!/[*[]/.test(path)) return existsSync(path);
  let found = ["/"];
  for (const part of path.split("/").filter((each) => each !== "")) {
    const pattern = new RegExp(`^${part.replace(/[.+^$(){}|\\]/g, "\\$&").replace(/\*/g, ".*")}$`);
    found = found.flatMap((above) => {
      if (!/[*[]/.test(part)) return existsSync(join(above, part)) ? [join(above, part)] : [];
      try {
        return readdirSync(above)
          .filter((name) => pattern.test(name))
          .map((name) => join(above, name));
      } catch {
        return [];
      }
    });
  }
  return found.length > 0;
}
