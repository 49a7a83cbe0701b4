import { existsSync, mkdirSync, readdirSync, renameSync, statSync } from "node:fs";
import { dirname, join } from "node:path";
import { fileURLToPath, pathToFileURL } from "node:url";

const root = process.env.BENT_NAIL_FOLDER ?? join(dirname(fileURLToPath(import.meta.url)), "..");
const sources = ["core", "server", "cli", "demo", "bench", "package-lock.json"];

/** The newest modification time under the given files and folders. */
export function newest(paths) {
  let latest = 0;
  for (const path of paths) {
    if (!existsSync(path)) continue;
    const entry = statSync(path);
    latest = Math.max(latest, entry.mtimeMs);
    if (entry.isDirectory()) latest = Math.max(latest, newest(readdirSync(path).map((name) => join(path, name))));
  }
  return latest;
}

/** Bundles a TypeScript entry (packages stay outside) and returns the path of the JavaScript file. */
export async function bundle(entry) {
  const folder = join(root, "node_modules/.cache/bent-nail");
  const target = join(folder, `${entry.replaceAll("/", "-").replace(/\.ts$/, "")}.mjs`);
  if (!existsSync(target) || statSync(target).mtimeMs < newest(sources.map((name) => join(root, name)))) {
    mkdirSync(folder, { recursive: true });
    const { build } = await import("esbuild");
    const fresh = `${target}.${process.pid}`;
    await build({
      absWorkingDir: root,
      entryPoints: [entry],
      outfile: fresh,
      bundle: true,
      platform: "node",
      format: "esm",
      packages: "external",
      target: "node20",
      sourcemap: "inline",
      logLevel: "warning",
    });
    renameSync(fresh, target);
  }
  return target;
}

/** Bundles if needed and runs an entry in this process. */
export async function runSource(entry) {
  process.env.BENT_NAIL_FOLDER ??= root;
  await import(pathToFileURL(await bundle(entry)).href);
}
