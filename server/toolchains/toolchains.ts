import { createHash } from "node:crypto";
import { findLanguage } from "../../core/languages/languages.ts";
import { type Outcome, type RunRequest, unknownOutcome } from "../../core/outcome/outcome.ts";
import { decodeText } from "../../core/source/decode.ts";
import { withClassNames } from "../../core/trace/methodClasses.ts";
import { createDesk, type Desk, NotTaken, StoppedByHand } from "../sandbox/desk.ts";
import type { Pool } from "../sandbox/pool.ts";
import { SandboxBroken } from "../sandbox/warmWorker.ts";
import { createBasicFormsToolchain } from "./basicForms.ts";
import { createBasicMacroToolchain } from "./basicMacro.ts";
import { createCToolchain } from "./c.ts";
import { changeWords } from "./changeWords.ts";
import { tryWorkbench } from "./commandToolchain.ts";
import { createCSharpToolchain } from "./csharp.ts";
import { createJavaToolchain } from "./java.ts";
import { createOctaveToolchain } from "./octave.ts";
import type { OtherWay } from "./otherWays.ts";
import { createPascalToolchain } from "./pascal.ts";
import { createPseudocodeToolchain } from "./pseudocode.ts";
import { createPythonToolchain } from "./python.ts";
import { createSketchToolchain } from "./sketch.ts";
import { textKey } from "./textKey.ts";
import type { Toolchain } from "./toolchain.ts";
import { translateOtherwise } from "./translateOtherwise.ts";
import { createWorkbench } from "./workbench.ts";

/**
 * Every translator that programs can be run with; a new one is one file and one line here. Those that are used by
 * commands share a workbench.
 */
const makers: readonly ((workbench: () => Pool) => Toolchain)[] = [
  createPythonToolchain,
  createJavaToolchain,
  createCToolchain,
  createCSharpToolchain,
  createPascalToolchain,
  createOctaveToolchain,
  createBasicMacroToolchain,
  createSketchToolchain,
  createBasicFormsToolchain,
  createPseudocodeToolchain,
];

export type Toolchains = {
  find: (language: string) => Toolchain | undefined;
  all: readonly Toolchain[];
  desk: Desk;
  /** What another way of translating (otherWays.ts) says of a program; nothing of it is run. */
  otherwise: (
    way: OtherWay,
    request: Pick<RunRequest, "files">,
    extension: string,
  ) => ReturnType<typeof translateOtherwise>;
  /** Starts a sandbox of each kind, so that nobody's first run waits for that. What cannot start says so when it is used. */
  prepare: () => Promise<void>;
  close: () => Promise<void>;
};

/** The text of a program's file; "" where it has none of this name. */
function textOf({ files }: RunRequest, name: string): string {
  const found = files.find((file) => file.name === name);
  return found ? decodeText(found.bytes).text : "";
}

/** Names the very text of a program and of its input. */
function runKey(request: RunRequest): string {
  const hash = createHash("sha256").update(textKey(request)).update(request.input);
  return hash.update(JSON.stringify(changeWords(request) ?? [])).digest("base64");
}

/** What became of a run that tells nothing of its program, or null for a problem of another kind, which is a bug. */
function unknownBy(problem: unknown): Outcome | null {
  if (problem instanceof StoppedByHand) return unknownOutcome("person", "The run was stopped by hand.");
  if (problem instanceof NotTaken) return unknownOutcome("not taken", problem.message);
  if (problem instanceof SandboxBroken) return unknownOutcome("broken", problem.message);
  return null;
}

/**
 * A toolchain whose calls take their turn at the desk. What keeps a run from its end is an outcome with words, never an
 * exception.
 */
function atDesk(toolchain: Toolchain, desk: Desk): Toolchain {
  const take = async <T>(
    request: RunRequest,
    verb: string,
    call: (request: RunRequest) => Promise<T>,
    ifUnknown: (outcome: Outcome) => T,
  ): Promise<T> => {
    try {
      return await desk.take(
        `${verb} ${request.files[0]?.name ?? "a program"}`,
        (signal) => call({ ...request, signal }),
        `${verb} ${runKey(request)}`,
      );
    } catch (problem) {
      const outcome = unknownBy(problem);
      if (outcome === null) throw problem;
      return ifUnknown(outcome);
    }
  };
  const asItIs = (outcome: Outcome) => outcome;
  const { runMany } = toolchain;
  return {
    ...toolchain,
    ...(runMany
      ? {
          runMany: (request, variants, seconds) =>
            take(
              request,
              `Trying ${variants.length} variants of`,
              (taken) => runMany(taken, variants, seconds),
              () => variants.map(() => null),
            ),
        }
      : {}),
    check: (request) => take(request, "Checking", toolchain.check, asItIs),
    run: (request) => take(request, "Running", toolchain.run, asItIs),
    trace: async (request) => {
      const trace = await take(request, "Recording", toolchain.trace, (outcome) => ({
        outcome,
        files: request.files.map((file) => file.name),
        steps: [],
        cut: outcome.trouble ?? "",
      }));
      const language = findLanguage(toolchain.language);
      if (!language) return trace;
      const texts = trace.files.map((name) => textOf(request, name));
      return { ...trace, steps: withClassNames(language, texts, trace.steps) };
    },
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
    otherwise: (way, request, extension) => translateOtherwise(getWorkbench(), desk, way, request, extension),
    find: (language) => all.find((toolchain) => toolchain.language === language),
    prepare: async () => {
      await Promise.allSettled([
        ...all.map((toolchain) => toolchain.prepare?.()),
        // The first program that is run by commands finds a host that has run something.
        (async () => tryWorkbench(getWorkbench()))(),
      ]);
    },
    close: async () => {
      await Promise.all([...all.map((toolchain) => toolchain.close()), workbench?.close()]);
    },
  };
}
