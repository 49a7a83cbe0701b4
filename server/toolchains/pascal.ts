import { existsSync } from "node:fs";
import { pascal as language } from "../../core/languages/pascal/pascal.ts";
import type { RunRequest } from "../../core/outcome/outcome.ts";
import type { Pool } from "../sandbox/pool.ts";
import { createCommandToolchain } from "./commandToolchain.ts";
import { elftools, nativeTranslator } from "./native.ts";
import type { Toolchain } from "./toolchain.ts";
import { findBelow, toolVersion } from "./version.ts";

/** The front of the compiler, which only chooses the compiler for a processor, and that of this one. */
const front = "/usr/bin/fpc";
const compiler = ["/usr/bin/ppcx64", "/usr/bin/ppca64"].find((path) => existsSync(path)) ?? front;
/** Where Debian keeps the units: /usr/lib/<machine>/fpc/<version>. */
const library = findBelow(findBelow(findBelow("/usr/lib", /-linux-gnu$/, "fpc"), /^\d+\.\d+\.\d+$/, "units"), /-linux$/, "");

/** With debug information, line numbers in run-time messages, and warnings, notes and hints; no settings of the machine. */
function build(request: RunRequest, program: string): string[] {
  const options = ["-n", "-gl", "-gw3", "-O-", "-vewnh", "-l-", "-Sgic", `-Fu${library}/*`, `-Fu${library}`, "-FU/tmp/build", `-o${program}`];
  return [compiler, ...options, request.files[0]?.name ?? ""];
}

/** Object Pascal by Free Pascal. */
export function createPascalToolchain(workbench: () => Pool): Toolchain {
  return createCommandToolchain(
    {
      language,
      means: "Free Pascal for every run, all warnings asked for; recorded by stopping at every line with the debug information.",
      needs: [
        { path: compiler, package: "fp-compiler" },
        { path: elftools, package: "python3-pyelftools" },
      ],
      version: async () => `Free Pascal ${await toolVersion(compiler, ["-iV"], /^([\d.]+)/m)}`,
      ...nativeTranslator(language, build),
    },
    workbench,
  );
}
