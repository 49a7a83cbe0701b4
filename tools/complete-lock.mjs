// Completes package-lock.json after `npm install` behind a registry mirror that lacks the builds for other systems: npm
// leaves such optional packages out of the lock file and `npm ci` then refuses it. Adds an entry for each, to be
// skipped where it does not fit.
import { readFileSync, writeFileSync } from "node:fs";

const systems = ["aix", "android", "darwin", "freebsd", "linux", "netbsd", "openbsd", "openharmony", "sunos", "win32"];
const processors = ["arm64", "arm", "ia32", "loong64", "mips64el", "ppc64", "riscv64", "s390x", "x64"];
const lock = JSON.parse(readFileSync("package-lock.json", "utf8"));
let added = 0;
for (const [path, entry] of Object.entries(lock.packages)) {
  for (const [name, version] of Object.entries(entry.optionalDependencies ?? {})) {
    if (path === "" || lock.packages[`node_modules/${name}`] || lock.packages[`${path}/node_modules/${name}`]) continue;
    const words = name.split(/[/-]/);
    const os = systems.filter((system) => words.includes(system));
    const cpu = processors.filter((processor) =>
      words.some((word) => word === processor || (processor === "arm" && word.startsWith("arm") && word !== "arm64")),
    );
    // A package for any system, such as a WebAssembly build, cannot be installed here; no system is called "none".
    const fresh = {
      version: version.replace(/^[^\d]*/, ""),
      ...(entry.dev ? { dev: true } : {}),
      optional: true,
      os: os.length > 0 ? os : ["none"],
    };
    if (cpu.length > 0) fresh.cpu = cpu;
    if (words.includes("musl") || words.includes("musleabihf") || words.includes("linuxmusl")) fresh.libc = ["musl"];
    lock.packages[`node_modules/${name}`] = fresh;
    added += 1;
  }
}
lock.packages = Object.fromEntries(Object.entries(lock.packages).sort(([one], [other]) => (one < other ? -1 : 1)));
writeFileSync("package-lock.json", `${JSON.stringify(lock, null, 2)}\n`);
console.log(`${added} packages for other systems added to the lock file`);
