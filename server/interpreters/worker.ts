import { parentPort } from "node:worker_threads";
import { checkPseudocode, type PseudocodeRun, runPseudocode } from "../../core/interpreters/pseudocode/run.ts";

/** What a thread is asked: a run, or (`check`) only to read. */
export type InterpreterRequest = { id: number; check: boolean; run: PseudocodeRun };

// Nothing of a run outlives it: the interpreter keeps no state of its own.
parentPort?.on("message", ({ id, check, run }: InterpreterRequest) => {
  const result = check ? { outcome: checkPseudocode(run), steps: [] } : runPseudocode(run);
  parentPort?.postMessage({ id, result });
});
