import { once } from "node:events";
import { Worker } from "node:worker_threads";
import type { PseudocodeResult } from "../../core/interpreters/pseudocode/run.ts";
import type { Limits } from "../../core/outcome/outcome.ts";
import { bundle } from "../../tools/run-source.mjs";
import type { InterpreterReply, InterpreterRequest } from "./worker.ts";

/** How a thread ended that gave no result. */
export type ThreadEnd = "time" | "memory" | "person" | "broken";
type Asked = Omit<InterpreterRequest, "id">;

/** A thread that is there, with the memory that it may take. */
type Running = { worker: Worker; memoryBytes: number };

/** Starts a thread and waits until it is there, so that its start is no part of anybody's run. */
async function start(memoryBytes: number): Promise<Running> {
  const worker = new Worker(await bundle("server/interpreters/worker.ts"), {
    env: {},
    resourceLimits: { maxOldGenerationSizeMb: Math.ceil(memoryBytes / 1024 / 1024), stackSizeMb: 8 },
  });
  await once(worker, "message");
  return { worker, memoryBytes };
}

/** How many times its limit a run may last where others keep this process from the processors. */
const mostWaiting = 6;

/** How often the time of a run is looked at, in milliseconds. */
const look = 100;

/**
 * Asks a thread, and waits for its answer or for what ends it. Its time is counted in short looks of which each counts alike, however late it comes: where
 * the server itself had no turn for a while, an answer that has been there is taken, and nobody's program is said to have gone on. Where this process hardly
 * came to a processor during a look, the program did not either, and no more of its time is gone than that.
 */
function answerOf(
  { worker }: Running,
  request: InterpreterRequest,
  limits: Limits,
  signal?: AbortSignal,
): Promise<PseudocodeResult | ThreadEnd> {
  return new Promise((resolve) => {
    const give = (value: PseudocodeResult | ThreadEnd) => {
      clearTimeout(timer);
      worker.off("message", take);
      worker.off("error", fail);
      signal?.removeEventListener("abort", stop);
      resolve(value);
    };
    const take = (reply: InterpreterReply) => {
      if (reply.id === request.id && "result" in reply) give(reply.result);
    };
    const fail = (problem: Error & { code?: string }) =>
      give(problem.code === "ERR_WORKER_OUT_OF_MEMORY" ? "memory" : "broken");
    const stop = () => give("person");
    let left = Math.min(limits.cpuSeconds, limits.wallSeconds) * 1000;
    let used = process.cpuUsage();
    const tick = () => {
      const { user, system } = process.cpuUsage(used);
      used = process.cpuUsage();
      left -= Math.min(look, Math.max(look / mostWaiting, (user + system) / 1000));
      if (left <= 0) give("time");
      else timer = setTimeout(tick, Math.min(look, left));
    };
    let timer = setTimeout(tick, Math.min(look, left));
    worker.on("message", take);
    worker.on("error", fail);
    signal?.addEventListener("abort", stop);
    worker.postMessage(request);
  });
}

/** Runs one program after the other in a thread that is ended on time and memory, and begun anew then. */
export function createThread(): {
  ask: (request: Asked, limits: Limits, signal?: AbortSignal) => Promise<PseudocodeResult | ThreadEnd>;
  close: () => Promise<void>;
} {
  let running: Running | null = null;
  let last: Promise<unknown> = Promise.resolve();
  let ids = 0;
  const end = async (): Promise<void> => {
    const old = running;
    running = null;
    await old?.worker.terminate();
  };
  const one = async (request: Asked, limits: Limits, signal?: AbortSignal): Promise<PseudocodeResult | ThreadEnd> => {
    if (running?.memoryBytes !== limits.memoryBytes) await end();
    running ??= await start(limits.memoryBytes);
    if (signal?.aborted) return "person";
    ids += 1;
    const result = await answerOf(running, { ...request, id: ids }, limits, signal);
    if (typeof result === "string") await end();
    return result;
  };
  return {
    // One after the other: a thread runs one program at a time.
    ask: (request, limits, signal) => {
      const next = last.then(() => one(request, limits, signal));
      last = next.catch(() => undefined);
      return next;
    },
    close: async () => {
      await last;
      await end();
    },
  };
}
