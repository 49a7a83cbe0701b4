import { availableParallelism } from "node:os";
import { StoppedByHand } from "./desk.ts";
import type { Job, JobAnswer, Worker } from "./warmWorker.ts";

/** Workers of one kind with a queue before them. */
export type PoolOf<Job, Answer> = {
  /** Does a job; when `signal` is given and stops it, rejects with StoppedByHand and the worker is replaced. */
  run: (job: Job, signal?: AbortSignal) => Promise<Answer>;
  version: () => Promise<string>;
  close: () => Promise<void>;
};
/** Workers that run programs. */
export type Pool = PoolOf<Job, JobAnswer>;

/** A worker that is not up after that long is stopped and counts as broken, in milliseconds. */
const longestStart = 60_000;

/** How many workers a piece of work is given to before it is said to be what broke them. */
const mostAttempts = 3;

/**
 * How many workers a pool has: `most` of them in all, but no more than `usual` while these come to an end with their
 * work. Only if work waits and none of it was done for `patience` milliseconds, another one is started: what waits for
 * something (a program that sleeps) keeps nobody waiting, and what needs the processors gets no more rivals for them.
 */
export type PoolSize = { usual: number; most: number; patience: number };
const usualSize: PoolSize = {
  usual: Math.min(8, availableParallelism()),
  most: Math.min(8, availableParallelism() + 2),
  patience: 500,
};

/**
 * A pool that starts workers when they are first needed and replaces one that broke. Work is given only to workers that
 * are up: one that still starts keeps nothing waiting that another one could do meanwhile.
 */
export function createPool<Job, Answer>(
  startWorker: () => Worker<Job, Answer>,
  { usual, most, patience } = usualSize,
): PoolOf<Job, Answer> {
  type Task = {
    job: Job;
    resolve: (answer: Answer) => void;
    reject: (reason: unknown) => void;
    attempts: number;
    signal?: AbortSignal;
  };
  const tasks: Task[] = [];
  const idle: Worker<Job, Answer>[] = [];
  const starting = new Set<Worker<Job, Answer>>();
  const all = new Set<Worker<Job, Answer>>();
  let closed = false;
  let version: Promise<string> | undefined;
  /** How many workers there may be at present. */
  let allowed = usual;
  /** Runs while all that may be there are busy and work waits. */
  let losingPatience: NodeJS.Timeout | undefined;

  const remove = <Each>(list: Each[], each: Each): void => {
    const at = list.indexOf(each);
    if (at >= 0) list.splice(at, 1);
  };

  /** The program may have been innocent of it (a worker killed from outside): it gets more tries. */
  function again(task: Task, problem: unknown): void {
    if (task.attempts + 1 < mostAttempts && !closed) tasks.unshift({ ...task, attempts: task.attempts + 1 });
    else task.reject(problem);
  }

  function start(): Worker<Job, Answer> {
    const worker = startWorker();
    all.add(worker);
    starting.add(worker);
    version ??= worker.version;
    const tooLong = setTimeout(() => worker.stop(), longestStart).unref();
    void worker.exited.then(() => {
      clearTimeout(tooLong);
      all.delete(worker);
      remove(idle, worker);
    });
    worker.version.then(
      () => {
        clearTimeout(tooLong);
        starting.delete(worker);
        version = worker.version;
        if (all.has(worker)) idle.push(worker);
        advance();
      },
      (problem: unknown) => {
        starting.delete(worker);
        all.delete(worker);
        worker.stop();
        if (version === worker.version) version = undefined;
        const task = tasks.shift();
        if (task) again(task, problem);
        advance();
      },
    );
    return worker;
  }

  async function serve(worker: Worker<Job, Answer>, task: Task): Promise<void> {
    const stop = () => worker.stop();
    task.signal?.addEventListener("abort", stop);
    try {
      task.resolve(await worker.run(task.job));
      stopWaiting();
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
      again(task, problem);
    } finally {
      task.signal?.removeEventListener("abort", stop);
    }
    advance();
  }

  function advance(): void {
    while (tasks.length > 0 && idle.length > 0) {
      const [worker, task] = [idle.pop(), tasks.shift()];
      if (worker && task) void serve(worker, task);
    }
    if (tasks.length === 0) stopWaiting();
    while (!closed && tasks.length > starting.size && all.size < allowed) {
      try {
        start();
      } catch (problem) {
        tasks.shift()?.reject(problem);
      }
    }
    if (!closed && tasks.length > starting.size && all.size < most)
      losingPatience ??= setTimeout(() => {
        losingPatience = undefined;
        allowed = Math.min(most, all.size + 1);
        advance();
      }, patience).unref();
  }

  function stopWaiting(): void {
    clearTimeout(losingPatience);
    losingPatience = undefined;
  }

  async function take(job: Job, signal?: AbortSignal): Promise<Answer> {
    let leave: (() => void) | undefined;
    try {
      return await new Promise<Answer>((resolve, reject) => {
        tasks.push({ job, resolve, reject, attempts: 0, ...(signal ? { signal } : {}) });
        // What is stopped before its turn leaves the queue; what is being done is stopped with its worker.
        leave = () => {
          const waiting = tasks.find((task) => task.resolve === resolve);
          if (waiting) remove(tasks, waiting);
          if (waiting) reject(new StoppedByHand("stopped by hand"));
        };
        signal?.addEventListener("abort", leave);
        advance();
      });
    } finally {
      if (leave) signal?.removeEventListener("abort", leave);
    }
  }

  return {
    run: async (job, signal) => {
      if (closed) throw new Error("the pool is closed");
      if (signal?.aborted) throw new StoppedByHand("stopped by hand");
      return take(job, signal);
    },
    version: async () => {
      if (closed && !version) throw new Error("the pool is closed");
      return version ?? start().version;
    },
    close: async () => {
      closed = true;
      stopWaiting();
      for (const task of tasks.splice(0)) task.reject(new Error("the pool is closed"));
      const workers = [...all];
      for (const worker of workers) worker.stop();
      await Promise.all(workers.map((worker) => worker.gone));
    },
  };
}
