import type { Outcome, RunRequest } from "../../core/outcome/outcome.ts";
import { createDesk, type Desk, StoppedByHand } from "../sandbox/desk.ts";
import type { Pool } from "../sandbox/pool.ts";
import { createCToolchain } from "./c.ts";
import { createCSharpToolchain } from "./csharp.ts";
import { createJavaToolchain } from "./java.ts";
import { createOctaveToolchain } from "./octave.ts";
import { createPascalToolchain } from "./pascal.ts";
import { createPythonToolchain } from "./python.ts";
import type { Toolchain } from "./toolchain.ts";
import { createWorkbench } from "./workbench.ts";

/** Every translator that programs can be run with; a new one is one file and one line here. Those that are used by commands share a workbench. */
const makers: readonly ((workbench: () => Pool) => Toolchain)[] = [
  createPythonToolchain,
  createJavaToolchain,
  createCToolchain,
  createCSharpToolchain,
  createPascalToolchain,
  createOctaveToolchain,
];

export type Toolchains = { find: (language: string) => Toolchain | undefined; all: readonly Toolchain[]; desk: Desk; close: () => Promise<void> };

/** An outcome of a run that somebody stopped: nothing is known of it. */
const stopped: Outcome = {
  started: null,
  finished: false,
  stoppedBy: "person",
  exit: { code: -1, signal: 0 },
  diagnostics: [],
  console: [],
  effects: [],
  inputRanOut: false,
  milliseconds: 0,
  translator: "",
};

/** A toolchain whose calls take their turn at the desk. */
function atDesk(toolchain: Toolchain, desk: Desk): Toolchain {
  const take = async <T>(request: RunRequest, verb: string, call: (request: RunRequest) => Promise<T>, ifStopped: T): Promise<T> => {
    try {
      return await desk.take(`${verb} ${request.files[0]?.name ?? "a program"}`, (signal) => call({ ...request, signal }));
    } catch (problem) {
      if (problem instanceof StoppedByHand) return ifStopped;
      throw problem;
    }
  };
  return {
    ...toolchain,
    check: (request) => take(request, "Checking", toolchain.check, stopped),
    run: (request) => take(request, "Running", toolchain.run, stopped),
    trace: (request) =>
      take(request, "Recording", toolchain.trace, {
        outcome: stopped,
        files: request.files.map((file) => file.name),
        steps: [],
        cut: "The recording was stopped by hand.",
      }),
  };
}

/** The toolchains, made once for a process; each starts its workers when first used. */
export function createToolchains(desk: Desk = createDesk()): Toolchains {
  let workbench: Pool | null = null;
  const getWorkbench = (): Pool => {
    workbench ??= createWorkbench();
    return workbench;
  };
  const all = makers.map((make) => atDesk(make(getWorkbench), desk));
  return {
    all,
    desk,
    find: (language) => all.find((toolchain) => toolchain.language === language),
    close: async () => {
      await Promise.all([...all.map((toolchain) => toolchain.close()), workbench?.close()]);
    },
  };
}
