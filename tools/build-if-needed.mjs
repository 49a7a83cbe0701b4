// Builds the pages if there is no build or a source is newer than it.
import { spawn } from "node:child_process";
import { once } from "node:events";
import { existsSync, statSync } from "node:fs";
import { newest, runSource } from "./run-source.mjs";

const target = "build/server/index.js";
const sources = ["app", "core", "server", "public", "vite.config.ts", "react-router.config.ts", "package-lock.json"];

async function buildPages() {
  if (existsSync(target) && statSync(target).mtimeMs >= newest(sources)) return;
  console.log("Building the pages…");
  const building = spawn("npx", ["react-router", "build"], { stdio: ["ignore", "ignore", "inherit"] });
  const [code] = await once(building, "exit");
  if (code !== 0) process.exit(1);
}

// Beside the pages: the Python that students' own browsers run, which takes about as long to pack.
await Promise.all([buildPages(), runSource("server/ownPython/prepare.ts")]);
// An empty database is kept, so that a new data folder is there at once; this ends the process.
await runSource("server/http/prepareEmpty.ts");
