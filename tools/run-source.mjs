import { existsSync, mkdirSync, readdirSync, renameSync, rmSync, statSync, writeFileSync } from "node:fs";
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

/** Packages that stay outside the bundles: large, loaded only where they are used, or with files of their own. */
const outside = [
  "@electric-sql/pglite",
  "@electric-sql/pglite/*",
  "@react-router/*",
  "react-router",
  "express",
  "compression",
  "pino",
  "esbuild",
  "pg-boss",
  "pyodide",
  "@playwright/test",
];

/**
 * Bundles a TypeScript entry, what is imported later in chunks of its own, and returns the path of its JavaScript file.
 * A bundle is made in a folder of its own and then moved into place, so that several processes can do so at once.
 */
export async function bundle(entry) {
  const name = entry.replaceAll("/", "-").replace(/\.ts$/, "");
  const folder = join(root, "node_modules/.cache/bent-nail");
  const target = join(folder, name, `${entry.split("/").pop().replace(/\.ts$/, "")}.js`);
  if (
    !existsSync(target) ||
    statSync(target).mtimeMs < newest([...sources, entry].map((source) => join(root, source)))
  ) {
    mkdirSync(folder, { recursive: true });
    const { build } = await import("esbuild");
    const fresh = join(folder, `${name}.${process.pid}`);
    await build({
      absWorkingDir: root,
      entryPoints: [entry],
      outdir: fresh,
      bundle: true,
      splitting: true,
      platform: "node",
      format: "esm",
      target: "node20",
      external: outside,
      sourcemap: "linked",
      logLevel: "warning",
      banner: {
        js: 'import { createRequire as makeRequire } from "node:module"; const require = makeRequire(import.meta.url);',
      },
    });
    writeFileSync(join(fresh, "package.json"), '{"type":"module"}');
    const old = `${fresh}.old`;
    try {
      if (existsSync(join(folder, name))) renameSync(join(folder, name), old);
      renameSync(fresh, join(folder, name));
    } catch {
      // Another process puts its own bundle there at the same time; one is as good as the other.
      rmSync(fresh, { recursive: true, force: true });
    }
    rmSync(old, { recursive: true, force: true });
  }
  return target;
}

/** Bundles if needed and runs an entry in this process. */
export async function runSource(entry) {
  process.env.BENT_NAIL_FOLDER ??= root;
  await import(pathToFileURL(await bundle(entry)).href);
}
