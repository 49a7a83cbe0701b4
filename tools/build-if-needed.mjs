// Builds the pages if there is no build or a source is newer than it.
import { execFileSync } from "node:child_process";
import { existsSync, statSync } from "node:fs";
import { newest, runSource } from "./run-source.mjs";

const target = "build/server/index.js";
const sources = ["app", "core", "server", "public", "vite.config.ts", "react-router.config.ts", "package-lock.json"];
if (!existsSync(target) || statSync(target).mtimeMs < newest(sources)) {
  console.log("Building the pages…");
  execFileSync("npx", ["react-router", "build"], { stdio: ["ignore", "ignore", "inherit"] });
}
// The Python that students' own browsers run.
await runSource("server/ownPython/prepare.ts");
// An empty database is kept, so that a new data folder is there at once; this ends the process.
await runSource("server/http/prepareEmpty.ts");
