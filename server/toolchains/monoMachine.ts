import type { RunRequest } from "../../core/outcome/outcome.ts";
import type { SandboxSpecification } from "../sandbox/bubblewrap.ts";
import type { Pool } from "../sandbox/pool.ts";
import { builtRunners } from "./builtRunners.ts";
import { plainEnvironment } from "./commandToolchain.ts";
import { shownFolders } from "./systemNeeds.ts";
import { translatorsWhenAsked } from "./translators.ts";
import { toolVersion } from "./version.ts";

/** What C# and typed Basic have in common: mono, its translator kept warm, a run-time system for every run. */
export const program = "program.exe";
const mono = "/usr/bin/mono";
const megabyte = 1024 * 1024;
export const startSeconds = 0.5;
export const limits = { boundAddresses: false, overheadBytes: 64 * megabyte };

/** The compiler in a run-time system that stays up. */
const translator = (): SandboxSpecification => ({
  command: [mono, "/runner/built/csharp.exe"],
  runners: [{ folder: builtRunners, inside: "/runner/built" }],
  environment: plainEnvironment,
  shown: shownFolders(),
  overheadBytes: 512 * megabyte,
});
/** Two from the first texts on: the start is most of the work. */
const translators = { usual: 2, most: 2, patience: 0 };

export const renamed = [
  ["/tmp/case/", ""],
  ["./", ""],
] as const;
// Without inlining every call keeps its line in a stack trace.
export const machine = [mono, "--debug", "-O=-inline"];

export function environmentFor(request: RunRequest) {
  return {
    ...plainEnvironment,
    MONO_GC_PARAMS: `max-heap-size=${request.limits.memoryBytes}`,
    MONO_PATH: "/runner/built",
    BENT_NAIL_STEPS: String(request.limits.steps),
  };
}

type Translators = ReturnType<typeof translatorsWhenAsked>;
const known = new WeakMap<() => Pool, Translators>();

/** The translators of a workbench, the same for both languages. */
export function csharpTranslators(workbench: () => Pool): Translators {
  const found = known.get(workbench) ?? translatorsWhenAsked(translator, translators);
  known.set(workbench, found);
  return found;
}

/** Words by which a program may reach what all programs of a run-time system have in common; such a one is run alone. */
export const reachesOthers =
  /\b(?:Thread|Tasks?|Timer|Parallel|Process|AppDomain|GetHashCode|Console\s*\.\s*(?!Write|Read(?:Line)?\b)\w+)\b/;

export const monoVersion = async () => `Mono ${await toolVersion(mono, ["--version"], /version ([\d.]+)/)}`;
