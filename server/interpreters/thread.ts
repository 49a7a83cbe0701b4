import { Worker } from "node:worker_threads";
import type { PseudocodeResult, PseudocodeRun } from "../../core/interpreters/pseudocode/run.ts";
import type { Limits } from "../../core/outcome/outcome.ts";
import { bundle } from "../../tools/run-source.mjs";
import type { InterpreterRequest } from "./worker.ts";

/** How a thread ended that gave no result. */
export type ThreadEnd = "time" | "memory" | "person" | "broken";

/** Time beside the run itself that a thread may take to answer, in milliseconds. */
const grace = 400;

/** Runs one program after the other in a thread that is ended on time and memory, and begun anew then. */
export function createThread(): {
  ask: (
    request: Omit<InterpreterRequest, "id">,
    limits: Limits,
    signal?: AbortSignal,
  ) => Promise<PseudocodeResult | ThreadEnd>;
  close: () => Promise<void>;
} {
  let worker: Promise<Worker> | null = null;
  let last: Promise<unknown> = Promise.resolve();
  let ids = 0;
  const start = (limits: Limits): Promise<Worker> => {
    worker ??= bundle("server/interpreters/worker.ts").then(
      (path: string) =>
        new Worker(path, {
          env: {},
          resourceLimits: { maxOldGenerationSizeMb: Math.ceil(limits.memoryBytes / 1024 / 1024), stackSizeMb: 8 },
        }),
    );
    return worker;
  };
  const end = async (): Promise<void> => {
    const old = worker;
    worker = null;
    await (await old)?.terminate();
  };
  const one = async (
    request: Omit<InterpreterRequest, "id">,
    limits: Limits,
    signal?: AbortSignal,
  ): Promise<PseudocodeResult | ThreadEnd> => {
    if (signal?.aborted) return "person";
    const thread = await start(limits);
    ids += 1;
    const id = ids;
    const result = await new Promise<PseudocodeResult | ThreadEnd>((resolve) => {
      const clear = () => {
        clearTimeout(timer);
        thread.off("message", take);
        thread.off("error", fail);
        signal?.removeEventListener("abort", stop);
      };
      const give = (value: PseudocodeResult | ThreadEnd) => {
        clear();
        resolve(value);
      };
      const take = (reply: { id: number; result: PseudocodeResult }) => {
        if (reply.id === id) give(reply.result);
      };
      const fail = (problem: Error & { code?: string }) =>
        give(problem.code === "ERR_WORKER_OUT_OF_MEMORY" ? "memory" : "broken");
      const stop = () => give("person");
      const timer = setTimeout(() => give("time"), Math.min(limits.cpuSeconds, limits.wallSeconds) * 1000 + grace);
      thread.on("message", take);
      thread.on("error", fail);
      signal?.addEventListener("abort", stop);
      thread.postMessage({ ...request, id });
    });
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

export type { PseudocodeRun };
