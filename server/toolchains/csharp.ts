import { csharp as language } from "../../core/languages/csharp/csharp.ts";
import type { RunRequest } from "../../core/outcome/outcome.ts";
import type { Pool } from "../sandbox/pool.ts";
import type { Plan } from "./commandPlan.ts";
import { createCommandToolchain } from "./commandToolchain.ts";
import { inCode, planHosted, variantsFolder } from "./hostedTries.ts";
import {
  csharpTranslators,
  environmentFor,
  limits,
  machine,
  monoVersion,
  program,
  reachesOthers,
  renamed,
  startSeconds,
} from "./monoMachine.ts";
import { type OtherWay, translated } from "./otherWays.ts";
import { systemNeeds } from "./systemNeeds.ts";
import type { Toolchain, Variant } from "./toolchain.ts";
import { gaveUp } from "./translators.ts";

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

/** Words by which a program can tell its namespace, or that stand before every namespace. */
const toldByNamespace =
  /\b(?:global|assembly|Assembly|module|extern|Type\s*\.\s*GetType|StackTrace|define|undef)\b|^\s*#\s*line/m;

/** C# by the mono compiler and run-time system. */
export function createCSharpToolchain(workbench: () => Pool): Toolchain {
  const { translate, translateTogether, close } = csharpTranslators(workbench);

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
      together: { apart: toldByNamespace, translate: (programs) => translateTogether(programs, request.signal) },
      alone: inCode(language, reachesOthers),
      line: (folder, place) => (place === "" ? `${folder}/${program}` : `${variantsFolder}/together.exe ${place}`),
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
      version: monoVersion,
      plan,
      planTries,
      outOfMemory: (errors) => /System\.OutOfMemoryException/.test(errors),
      close,
    },
    workbench,
  );
}
