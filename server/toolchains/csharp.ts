import { csharp as language } from "../../core/languages/csharp/csharp.ts";
import type { Pool } from "../sandbox/pool.ts";
import { createCommandToolchain, plainEnvironment } from "./commandToolchain.ts";
import type { Toolchain } from "./toolchain.ts";
import { toolVersion } from "./version.ts";

const program = "/tmp/build/program.exe";
const recorded = "/tmp/build/recorded.exe";
const mono = "/usr/bin/mono";
const compiler = "/usr/lib/mono/4.5/mcs.exe";

/** C# by the mono compiler and run-time system. */
export function createCSharpToolchain(workbench: () => Pool): Toolchain {
  return createCommandToolchain(
    {
      language,
      means: "the mono compiler and run-time system for every run; recorded by instrumented assemblies.",
      needs: [
        { path: mono, package: "mono-runtime" },
        { path: compiler, package: "mono-mcs" },
        { path: "/usr/lib/mono/gac/Mono.Cecil", package: "libmono-cecil-private-cil" },
        { path: "/usr/lib/mono/gac/Mono.CompilerServices.SymbolWriter", package: "libmono-compilerservices-symbolwriter4.0-cil" },
      ],
      version: async () => `Mono ${await toolVersion(mono, ["--version"], /version ([\d.]+)/)}`,
      plan: async (request, mode) => {
        const sources = request.files.map((file) => file.name).filter((name) => name.endsWith(language.extension));
        const record = mode === "trace";
        return {
          files: request.files,
          build: [
            [mono, compiler, "-debug", "-warn:4", "-nologo", `-out:${program}`, ...sources.map((name) => `./${name}`)],
            ...(record ? [[mono, "/runner/built/csharp.exe", program, recorded, ...request.files.map((file) => file.name)]] : []),
          ],
          // Without inlining every call keeps its line in a stack trace.
          run: [mono, "--debug", "-O=-inline", record ? recorded : program],
          recording: record,
          terminal: false,
          environment: {
            ...plainEnvironment,
            MONO_GC_PARAMS: `max-heap-size=${request.limits.memoryBytes}`,
            MONO_PATH: "/runner/built",
            BENT_NAIL_STEPS: String(request.limits.steps),
          },
          limits: { boundAddresses: false, overheadBytes: 64 * 1024 * 1024 },
        };
      },
      outOfMemory: (errors) => /System\.OutOfMemoryException/.test(errors),
    },
    workbench,
  );
}
