import { existsSync } from "node:fs";
import { dirname, join } from "node:path";
import { fileURLToPath } from "node:url";

function findUpwards(folder: string): string {
  if (existsSync(join(folder, "runners")) && existsSync(join(folder, "package.json"))) return folder;
  const parent = dirname(folder);
  if (parent === folder) throw new Error("Bent Nail's own folder was not found");
  return findUpwards(parent);
}

/** The folder that the product's own files (runners, migrations, demo) lie in. */
export const productFolder = process.env.BENT_NAIL_FOLDER ?? findUpwards(dirname(fileURLToPath(import.meta.url)));
