import { parentPort } from "node:worker_threads";
import {
  checkPseudocode,
  type PseudocodeResult,
  type PseudocodeRun,
  runPseudocode,
} from "../../core/interpreters/pseudocode/run.ts";

/** What a thread is asked: a run, or (`check`) only to read. */
export type InterpreterRequest = { id: number; check: boolean; run: PseudocodeRun };
/** What it answers; `id` 0 says that it is there. */
export type InterpreterReply = { id: 0 } | { id: number; result: PseudocodeResult };

const answer = (reply: InterpreterReply): void => parentPort?.postMessage(reply);

// Nothing of a run outlives it: the interpreter keeps no state of its own.
parentPort?.on("message", ({ id, check, run }: InterpreterRequest) => {
  answer({ id, result: check ? { outcome: checkPseudocode(run), steps: [] } : runPseudocode(run) });
});
answer({ id: 0 });
