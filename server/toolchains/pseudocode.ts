import { usualMachineLimits } from "../../core/interpreters/pseudocode/machine.ts";
import { type PseudocodeResult, type PseudocodeRun, translatorName } from "../../core/interpreters/pseudocode/run.ts";
import { readWay } from "../../core/languages/pseudocode/way.ts";
import { type Outcome, type RunRequest, unknownOutcome } from "../../core/outcome/outcome.ts";
import { decodeText } from "../../core/source/decode.ts";
import { createThread, type ThreadEnd } from "../interpreters/thread.ts";
import type { Toolchain } from "./toolchain.ts";

const version = `${translatorName} 1`;

/** The run that a request asks for. */
function runOf(request: RunRequest, main?: Uint8Array, input?: string): PseudocodeRun {
  const [first, ...beside] = request.files;
  const { equalsAssigns, namesBefore } = readWay(request.way ?? "");
  const { limits } = request;
  return {
    ...{
      program: decodeText(main ?? first?.bytes ?? new Uint8Array()).text,
      fileName: first?.name ?? "program.pseudo",
    },
    ...{
      input: input ?? request.input,
      files: Object.fromEntries(beside.map(({ name, bytes }) => [name, decodeText(bytes).text])),
    },
    rules: { equalsAssigns, namesBefore },
    // Steps bound nothing here but recordings: the thread is ended on time.
    limits: { ...usualMachineLimits, steps: Number.MAX_SAFE_INTEGER, outputCharacters: limits.outputBytes },
  };
}

/** The outcome of a run whose thread was ended. */
function ended(how: ThreadEnd): Outcome {
  if (how === "person") return unknownOutcome("person", "The run was stopped by hand.");
  if (how === "broken") return unknownOutcome("broken", "The thread of the run broke off.");
  return {
    ...{ started: true, finished: false, stoppedBy: how, exit: { code: -1, signal: 9 }, diagnostics: [], console: [] },
    ...{ effects: [], inputRanOut: false, milliseconds: 0, translator: version },
  };
}

const withVersion = (result: PseudocodeResult, milliseconds: number): PseudocodeResult => ({
  ...result,
  outcome: { ...result.outcome, milliseconds, translator: version },
});

/** Pseudocode is run by an interpreter of our own, in a thread that has nothing of the machine: it needs no sandbox. */
export function createPseudocodeToolchain(): Toolchain {
  const thread = createThread();
  const ask = async (request: RunRequest, run: PseudocodeRun, check = false): Promise<PseudocodeResult> => {
    const begun = performance.now();
    const result = await thread.ask({ check, run }, request.limits, request.signal);
    return typeof result === "string"
      ? { outcome: ended(result), steps: [] }
      : withVersion(result, performance.now() - begun);
  };
  return {
    language: "pseudocode",
    changes: true,
    means: "our own interpreter, in a thread of its own",
    packages: [],
    startSeconds: 0.1,
    available: async () => ({ ready: true, version }),
    check: async (request) => (await ask(request, runOf(request), true)).outcome,
    run: async (request) => (await ask(request, runOf(request))).outcome,
    runMany: async (request, variants, seconds) => {
      const until = performance.now() + seconds * 1000;
      const outcomes: Array<Outcome | null> = [];
      for (const { main, input } of variants)
        outcomes.push(performance.now() > until ? null : (await ask(request, runOf(request, main, input))).outcome);
      return outcomes;
    },
    otherWays: () => [],
    trace: async (request) => {
      const { change } = request;
      const asked = { ...runOf(request), record: request.limits.steps, ...(change ? { change } : {}) };
      const recorded = await ask(request, asked);
      return { ...recorded, files: [request.files[0]?.name ?? ""] };
    },
    close: thread.close,
  };
}
