import { csharp as language } from "../../core/languages/csharp/csharp.ts";
import type { Pool } from "../sandbox/pool.ts";
import { createCommandToolchain, plainEnvironment } from "./commandToolchain.ts";
import type { Toolchain } from "./toolchain.ts";
import { toolVersion } from "./version.ts";

const program = "/tmp/build/program.exe";
const mono = "/usr/bin/mono";
const compiler = "/usr/lib/mono/4.5/mcs.exe";

/** C# by the mono compiler and run-time system. */
export function createCSharpToolchain(workbench: () => Pool): Toolchain {
  return createCommandToolchain(
    {
      language,
      needs: [
        { path: mono, package: "mono-runtime" },
        { path: compiler, package: "mono-mcs" },
      ],
      version: async () => `Mono ${await toolVersion(mono, ["--version"], /version ([\d.]+)/)}`,
      plan: async (request) => {
        const sources = request.files.map((file) => file.name).filter((name) => name.endsWith(language.extension));
        return {
          files: request.files,
          build: [[mono, compiler, "-debug", "-warn:4", "-nologo", `-out:${program}`, ...sources.map((name) => `./${name}`)]],
          run: [mono, "--debug", program],
          terminal: false,
          environment: { ...plainEnvironment, MONO_GC_PARAMS: "max-heap-size=256m" },
          limits: { boundAddresses: false, overheadBytes: 64 * 1024 * 1024 },
        };
      },
    },
    workbench,
  );
}
