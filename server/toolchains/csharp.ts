import { csharp as language } from "../../core/languages/csharp/csharp.ts";
import type { SandboxSpecification } from "../sandbox/bubblewrap.ts";
import { StoppedByHand } from "../sandbox/desk.ts";
import type { Pool, PoolOf } from "../sandbox/pool.ts";
import { builtRunners } from "./builtRunners.ts";
import { createCommandToolchain, plainEnvironment } from "./commandToolchain.ts";
import { shownFolders, systemNeeds } from "./systemNeeds.ts";
import type { Toolchain } from "./toolchain.ts";
import { createTranslators, gaveUp, type Translated, type Translation } from "./translators.ts";
import { toolVersion } from "./version.ts";

const program = "program.exe";
const mono = "/usr/bin/mono";
const megabyte = 1024 * 1024;

/** The compiler in a run-time system that stays up. */
const translator: SandboxSpecification = {
  command: [mono, "/runner/built/csharp.exe"],
  runners: [{ folder: builtRunners, inside: "/runner/built" }],
  environment: plainEnvironment,
  shown: shownFolders(),
  overheadBytes: 512 * megabyte,
};

/** C# by the mono compiler and run-time system. */
export function createCSharpToolchain(workbench: () => Pool): Toolchain {
  let translators: PoolOf<Translation, Translated> | null = null;
  return createCommandToolchain(
    {
      language,
      means:
        "the mono compiler, kept warm, and a run-time system of its own for every run; recorded by instrumented assemblies.",
      startSeconds: 0.5,
      needs: systemNeeds(language.id),
      version: async () => `Mono ${await toolVersion(mono, ["--version"], /version ([\d.]+)/)}`,
      plan: async (request, mode) => {
        translators ??= createTranslators(translator);
        const record = mode === "trace";
        let translated: Translated;
        try {
          translated = await translators.run({ record, files: request.files }, request.signal);
        } catch (problem) {
          if (problem instanceof StoppedByHand) throw problem;
          return { files: request.files, build: [], run: null, said: { text: gaveUp, refused: true } };
        }
        return {
          files: [...request.files, ...translated.made],
          build: [],
          // Without inlining every call keeps its line in a stack trace.
          run: [mono, "--debug", "-O=-inline", program],
          recording: record,
          terminal: false,
          environment: {
            ...plainEnvironment,
            MONO_GC_PARAMS: `max-heap-size=${request.limits.memoryBytes}`,
            MONO_PATH: "/runner/built",
            BENT_NAIL_STEPS: String(request.limits.steps),
          },
          renamed: [
            ["/tmp/case/", ""],
            ["./", ""],
          ],
          said: { text: translated.said, refused: !translated.ok },
          limits: { boundAddresses: false, overheadBytes: 64 * megabyte },
        };
      },
      outOfMemory: (errors) => /System\.OutOfMemoryException/.test(errors),
      close: async () => {
        await translators?.close();
      },
    },
    workbench,
  );
}
