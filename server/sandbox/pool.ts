import { availableParallelism } from "node:os";
import { StoppedByHand } from "./desk.ts";
import type { Job, JobAnswer, Worker } from "./warmWorker.ts";

/** Workers of one kind with a queue before them. */
export type PoolOf<Job, Answer> = {
  /** Does a job; when `signal` is given and stops it, rejects with StoppedByHand and the worker is replaced. */
  run: (job: Job, signal?: AbortSignal) => Promise<Answer>;
  version: () => Promise<string>;
  close: () => Promise<void>;
  waiting: () => number;
};
/** Workers that run programs. */
export type Pool = PoolOf<Job, JobAnswer>;

/**
 * A pool that starts workers when they are first needed, at most `size`, and replaces one that broke. Two more than
 * cores, since a part of every run is waiting for the kernel to make and take down namespaces.
 */
export function createPool<Job, Answer>(
  startWorker: () => Worker<Job, Answer>,
  size = Math.min(8, availableParallelism() + 2),
): PoolOf<Job, Answer> {
  type Task = {
    job: Job;
    resolve: (answer: Answer) => void;
    reject: (reason: Error) => void;
    attempts: number;
    signal?: AbortSignal;
  };
  const tasks: Task[] = [];
  const idle: Worker<Job, Answer>[] = [];
  const all = new Set<Worker<Job, Answer>>();
  let closed = false;
  let version: Promise<string> | undefined;

  function start(): Worker<Job, Answer> {
    const worker = startWorker();
    all.add(worker);
    version ??= worker.version;
    worker.version.catch(() => {
      if (version === worker.version) version = undefined;
    });
    void worker.exited.then(() => {
      all.delete(worker);
      const at = idle.indexOf(worker);
      if (at >= 0) idle.splice(at, 1);
    });
    return worker;
  }

  async function serve(worker: Worker<Job, Answer>, task: Task): Promise<void> {
    const stop = () => worker.stop();
    task.signal?.addEventListener("abort", stop);
    try {
      task.resolve(await worker.run(task.job));
      if (all.has(worker)) idle.push(worker);
    } catch (problem) {
      if (task.signal?.aborted) {
        all.delete(worker);
        task.reject(new StoppedByHand("stopped by hand"));
        return advance();
      }
      // Whatever ended this worker may have ended the idle ones too, so the next try gets a fresh one.
      for (const each of [worker, ...idle.splice(0)]) {
        each.stop();
        all.delete(each);
      }
      // The program may have been innocent of it (a worker killed from outside): it gets two more tries.
      if (task.attempts < 2 && !closed) tasks.unshift({ ...task, attempts: task.attempts + 1 });
      else task.reject(problem instanceof Error ? problem : new Error(String(problem)));
    } finally {
      task.signal?.removeEventListener("abort", stop);
    }
    advance();
  }

  function advance(): void {
    while (tasks.length > 0 && (idle.length > 0 || all.size < size)) {
      const task = tasks.shift();
      if (!task) return;
      try {
        void serve(idle.pop() ?? start(), task);
      } catch (problem) {
        task.reject(problem instanceof Error ? problem : new Error(String(problem)));
      }
    }
  }

  return {
    run: (job, signal) =>
      new Promise((resolve, reject) => {
        if (closed) return reject(new Error("the pool is closed"));
        if (signal?.aborted) return reject(new StoppedByHand("stopped by hand"));
        tasks.push({ job, resolve, reject, attempts: 0, ...(signal ? { signal } : {}) });
        advance();
      }),
    version: async () => {
      if (!version) {
        const worker = start();
        await worker.version;
        idle.push(worker);
      }
      return version ?? "unknown";
    },
    waiting: () => tasks.length,
    close: async () => {
      closed = true;
      const workers = [...all];
      for (const worker of workers) worker.stop();
      await Promise.all(workers.map((worker) => worker.gone));
    },
  };
}
