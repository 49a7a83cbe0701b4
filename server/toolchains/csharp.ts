import { csharp as language } from "../../core/languages/csharp/csharp.ts";
import type { RunRequest } from "../../core/outcome/outcome.ts";
import type { SandboxSpecification } from "../sandbox/bubblewrap.ts";
import type { Pool } from "../sandbox/pool.ts";
import { builtRunners } from "./builtRunners.ts";
import type { Plan } from "./commandPlan.ts";
import { createCommandToolchain, plainEnvironment } from "./commandToolchain.ts";
import { planHosted } from "./commandTries.ts";
import { type OtherWay, translated } from "./otherWays.ts";
import { shownFolders, systemNeeds } from "./systemNeeds.ts";
import type { Toolchain, Variant } from "./toolchain.ts";
import { gaveUp, translatorsWhenAsked } from "./translators.ts";
import { toolVersion } from "./version.ts";

const program = "program.exe";
const mono = "/usr/bin/mono";
const megabyte = 1024 * 1024;
const startSeconds = 0.5;
const limits = { boundAddresses: false, overheadBytes: 64 * megabyte };

/** The compiler in a run-time system that stays up. */
const translator: SandboxSpecification = {
  command: [mono, "/runner/built/csharp.exe"],
  runners: [{ folder: builtRunners, inside: "/runner/built" }],
  environment: plainEnvironment,
  shown: shownFolders(),
  overheadBytes: 512 * megabyte,
};

const renamed = [
  ["/tmp/case/", ""],
  ["./", ""],
] as const;
// Without inlining every call keeps its line in a stack trace.
const machine = [mono, "--debug", "-O=-inline"];

function environmentFor(request: RunRequest) {
  return {
    ...plainEnvironment,
    MONO_GC_PARAMS: `max-heap-size=${request.limits.memoryBytes}`,
    MONO_PATH: "/runner/built",
    BENT_NAIL_STEPS: String(request.limits.steps),
  };
}

/** With sums watched, and an older version of the language. */
function otherWays(): OtherWay[] {
  const by =
    (...options: string[]) =>
    (files: readonly string[]) => ["/usr/bin/mcs", ...options, `-out:${translated}/program.exe`, ...files];
  return [
    { id: "checked", words: "mcs -warn:4 -checked", command: by("-warn:4", "-checked") },
    { id: "version 5", words: "mcs -langversion:5", command: by("-langversion:5") },
  ];
}

/** C# by the mono compiler and run-time system. */
export function createCSharpToolchain(workbench: () => Pool): Toolchain {
  const { translate, close } = translatorsWhenAsked(translator);

  async function plan(request: RunRequest, mode: "check" | "run" | "trace"): Promise<Plan> {
    const record = mode === "trace";
    const translated = await translate({ record, files: request.files }, request.signal);
    if (!translated) return { files: request.files, build: [], run: null, said: { text: gaveUp, refused: true } };
    return {
      files: [...request.files, ...translated.made],
      build: [],
      run: [...machine, program],
      recording: record,
      terminal: false,
      environment: environmentFor(request),
      renamed,
      said: { text: translated.said, refused: !translated.ok },
      limits,
    };
  }

  /** Many programs in one run-time system, each an assembly of its own (runners/csharp/Many.cs). */
  const planTries = (request: RunRequest, variants: readonly Variant[], until: number) =>
    planHosted(request, variants, {
      until,
      startSeconds: startSeconds - 0.1,
      translate: (translation) => translate(translation, request.signal),
      alone:
        /\b(?:Thread|Tasks?|Timer|Parallel|Process|AppDomain|GetHashCode|Console\s*\.\s*(?!Write|Read(?:Line)?\b)\w+)\b/,
      line: (folder) => `${folder}/${program}`,
      host: (list) => [...machine, "/runner/built/csharp.exe", "many", list],
      terminal: false,
      environment: environmentFor(request),
      renamed,
      limits,
    });

  return createCommandToolchain(
    {
      language,
      means:
        "the mono compiler, kept warm, and a run-time system of its own for every run; recorded by instrumented assemblies.",
      startSeconds,
      otherWays,
      needs: systemNeeds(language.id),
      version: async () => `Mono ${await toolVersion(mono, ["--version"], /version ([\d.]+)/)}`,
      plan,
      planTries,
      outOfMemory: (errors) => /System\.OutOfMemoryException/.test(errors),
      close,
    },
    workbench,
  );
}
