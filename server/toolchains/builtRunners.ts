import { execFile } from "node:child_process";
import { mkdirSync } from "node:fs";
import { join } from "node:path";
import { productFolder } from "../productFolder.ts";

/** Where the runners lie that have to be translated first (tools/build-runners.mjs). */
export const builtRunners = join(productFolder, "node_modules/.cache/bent-nail/runners");

let made: Promise<void> | undefined;

/** Translates the runners if that is not done yet. A language whose own translator is missing is passed over. */
export function prepareRunners(): Promise<void> {
  mkdirSync(builtRunners, { recursive: true });
  made ??= new Promise((resolve, reject) => {
    execFile(process.execPath, [join(productFolder, "tools/build-runners.mjs")], (problem, _out, err) => {
      if (problem) reject(new Error(`the runners cannot be translated: ${err || problem.message}`));
      else resolve();
    });
  });
  made.catch(() => {
    made = undefined;
  });
  return made;
}
