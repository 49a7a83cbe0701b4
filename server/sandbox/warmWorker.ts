import { setTimeout as sleep } from "node:timers/promises";
import * as z from "zod";
import type { Limits, ProgramFiles } from "../../core/outcome/outcome.ts";
import { findBubblewrap, type SandboxProcess, type SandboxSpecification, startInSandbox } from "./bubblewrap.ts";
import { makeGroup } from "./controlGroup.ts";

/**
 * How a program is built and run by commands (program and arguments, by their path inside the sandbox). `run` null:
 * build only. `terminal`: the program sees a terminal, so its language's library flushes what it prints as it would for
 * a person. `recording`: the program is run by a recorder, which writes to descriptor 60
 * (runners/sandbox/bent_nail_sandbox/commands.py).
 */
export type Commands = {
  build: ReadonlyArray<readonly string[]>;
  run: readonly string[] | null;
  /** True if the program is run whatever came of its build. */
  runsAnyway?: boolean;
  environment: Readonly<Record<string, string>>;
  terminal: boolean;
  recording: boolean;
  /** A command that is run after a signal ended the program, from a clean folder, and tells where that was. */
  afterSignal?: readonly string[];
  /** The path of the program that is built, if it is to be given back. */
  keep?: string;
  buildLimits: { cpuSeconds: number; wallSeconds: number; memoryBytes: number; fileBytes?: number };
  /** What is run one after another in the place of the one run (runners/sandbox/bent_nail_sandbox/command_tries.py). */
  tries?: CommandTries;
};
export type CommandTries = {
  each: ReadonlyArray<{ run?: readonly string[]; input: string }>;
  /** Runs all of them in one process; null where each has its own command. */
  host: readonly string[] | null;
  /** What each of them may take. */
  cpuSeconds: number;
  wallSeconds: number;
};

/**
 * What a worker is asked: translate only, run, or run and record; by `commands`, or by the worker's own warm
 * interpreter. `boundAddresses` false: the address space is not limited, only the pages in use. `overheadBytes`: memory
 * of the language's own machine.
 */
export type Job = {
  mode: "check" | "run" | "trace";
  files: ProgramFiles;
  input: Uint8Array;
  limits: Limits & { boundAddresses?: boolean; overheadBytes?: number };
  commands?: Commands;
  /** What is changed at a step of a recording (changeWords). */
  change?: readonly string[];
  /** Variants of the first file, each with its input, in place of the one run (runners/sandbox/bent_nail_sandbox/tries.py). */
  tries?: Tries;
};
export type Tries = {
  variants: ReadonlyArray<{ main: Uint8Array; input: Uint8Array }>;
  /** What each of them may take. */
  cpuSeconds: number;
  wallSeconds: number;
  /** Of what is refused the line alone is told. */
  linesOnly: boolean;
};

const answerHeadSchema = z.object({
  stopped: z.enum(["none", "time", "memory", "output"]),
  /**
   * Stretches of raw output: kind, length of the block when it came, size. They stand behind the block in the body, in
   * this order.
   */
  raw: z.array(z.tuple([z.enum(["O", "E"]), z.number(), z.number()])),
  blockBytes: z.number(),
  milliseconds: z.number(),
  peakMemory: z.number(),
  peakProcesses: z.number(),
  failure: z.string().nullable(),
  building: z.boolean(),
  signal: z.number().optional(),
  exit: z.number().optional(),
});
/** The answer of a warm worker: how the fork ended, raw output past the language's streams, and the console block. */
export type JobAnswer = Omit<z.infer<typeof answerHeadSchema>, "failure" | "raw" | "blockBytes"> & {
  block: Buffer;
  raw: Array<readonly ["O" | "E", number, Buffer]>;
};

/**
 * A sandbox that stays up and serves one job after another. `run` rejects with SandboxBroken if the sandbox itself
 * broke; then start another.
 */
export type WarmWorker = Worker<Job, JobAnswer>;
export type Worker<Task, Answer> = Pick<Servant, "version" | "stop" | "exited" | "gone"> & {
  run: (task: Task) => Promise<Answer>;
};

/**
 * The sandbox broke off a run, or could not be set up. The message is for the person who asked; it says nothing of the
 * program.
 */
export class SandboxBroken extends Error {
  constructor(detail: string) {
    super(
      `The run broke off, and that says nothing about the program. Try again. (${detail.trim().split("\n").at(-1)?.trim() || "no more is known"})`,
    );
  }
}

/** What process 1 of the sandbox has left in the block about its own failure. */
function wordsOfFailure(block: Buffer): string {
  const text = block.toString("utf8");
  return text.slice(text.lastIndexOf("Traceback")).slice(0, 4000);
}

/** How often a run that broke off is tried in all. */
const tries = 3;

const readySchema = z.object({ ready: z.literal(true), version: z.string() });
/** Time that a sandbox may take beyond a job's own limit before it counts as broken, in milliseconds. */
const grace = 5000;
/** Time that a sandbox may take to come up before it is ended all the same, in milliseconds. */
const longestStart = 10_000;
/** Times its wall time limit after which the host ends a job that others keep from the processors (MOST in own_time.py). */
const mostHeldUp = 20;

type Waiting = { resolve: (message: Message) => void; reject: (reason: Error) => void };
export type Message = { head: unknown; body: Buffer };

/** Splits the worker's output into messages: u32 length, JSON head, u32 length, body (little endian). */
function readMessages(child: SandboxProcess, deliver: (message: Message) => void): void {
  let parts: Buffer[] = [];
  let held = 0;
  let wanted = 4;
  let headLength = -1;
  let bodyLength = -1;
  child.stdout?.on("data", (part: Buffer) => {
    parts.push(part);
    held += part.length;
    while (held >= wanted) {
      let data = parts.length === 1 && parts[0] ? parts[0] : Buffer.concat(parts);
      if (headLength < 0) {
        headLength = data.readUInt32LE(0);
        wanted = 8 + headLength;
      } else if (bodyLength < 0) {
        bodyLength = data.readUInt32LE(4 + headLength);
        wanted = 8 + headLength + bodyLength;
      } else {
        const head: unknown = JSON.parse(data.toString("utf8", 4, 4 + headLength));
        deliver({ head, body: data.subarray(8 + headLength, wanted) });
        data = data.subarray(wanted);
        headLength = bodyLength = -1;
        wanted = 4;
      }
      parts = [data];
      held = data.length;
    }
  });
}

/**
 * A process in the sandbox that answers one framed message after another. `ask` rejects if it broke or took too long;
 * then it is gone.
 */
export type Servant = {
  ask: (head: unknown, body: Buffer, milliseconds: number) => Promise<Message>;
  version: Promise<string>;
  stop: () => void;
  exited: Promise<void>;
  /** When nothing of it is left in the system either. */
  gone: Promise<void>;
};

/** Starts a servant. Throws if bubblewrap is missing. */
export function startServant(specification: SandboxSpecification, limits: Limits): Servant {
  const bubblewrap = findBubblewrap();
  if (!bubblewrap) throw new Error("bubblewrap is not installed");
  const group = makeGroup(
    limits.memoryBytes + (specification.overheadBytes ?? 192 * 1024 * 1024),
    limits.processes + 16,
  );
  const child = startInSandbox(bubblewrap, specification, group);
  const queue: Waiting[] = [];
  let complaint = "";
  child.stderr?.on("data", (part: Buffer) => {
    complaint = (complaint + part.toString("utf8")).slice(-2000);
  });
  child.stdin?.on("error", () => undefined);
  let over: SandboxBroken | null = null;
  const exited = new Promise<void>((resolve) => {
    const end = (reason: string) => {
      over ??= new SandboxBroken(`${complaint}\nthe sandbox ended: ${reason}`);
      for (const waiting of queue.splice(0)) waiting.reject(over);
      resolve();
    };
    child.on("exit", (code, signal) => end(signal ?? `exit ${code}`));
    child.on("error", (problem) => end(problem.message));
  });
  readMessages(child, (message) => queue.shift()?.resolve(message));
  const next = () => new Promise<Message>((resolve, reject) => (over ? reject(over) : queue.push({ resolve, reject })));
  const version = next().then((message) => readySchema.parse(message.head).version);
  // A sandbox that is killed while the kernel makes its namespaces leaves half of itself behind: it is let come up first.
  const up = version.then(
    () => undefined,
    () => undefined,
  );
  return {
    version,
    exited,
    gone: exited.then(() => group?.remove()),
    stop: () => {
      child.stdin?.end();
      void Promise.race([up, sleep(longestStart, undefined, { ref: false })]).then(() => child.kill("SIGKILL"));
    },
    ask: async (head, body, milliseconds) => {
      const headBytes = Buffer.from(JSON.stringify(head));
      const lengths = [Buffer.alloc(4), Buffer.alloc(4)] as const;
      lengths[0].writeUInt32LE(headBytes.length);
      lengths[1].writeUInt32LE(body.length);
      const answer = next();
      child.stdin?.write(Buffer.concat([lengths[0], headBytes, lengths[1], body]));
      const watchdog = setTimeout(() => child.kill("SIGKILL"), milliseconds);
      try {
        return await answer;
      } finally {
        clearTimeout(watchdog);
      }
    },
  };
}

function headOfTries({ variants, cpuSeconds, wallSeconds, linesOnly }: Tries) {
  const sizes = variants.map(({ main, input }) => [main.length, input.length]);
  return { tries: sizes, trySeconds: cpuSeconds, tryWallSeconds: wallSeconds, linesOnly };
}

/** Starts a worker that runs programs. Throws if bubblewrap is missing. */
export function startWarmWorker(specification: SandboxSpecification, limits: Limits): WarmWorker {
  const servant = startServant(specification, limits);
  return {
    ...servant,
    run: async (job) => {
      const head = {
        mode: job.mode,
        main: job.files[0]?.name ?? "",
        files: job.files.map((file) => [file.name, file.bytes.length]),
        limits: job.limits,
        seed: 0,
        ...(job.commands ? { commands: job.commands } : {}),
        ...(job.change ? { change: job.change } : {}),
        ...(job.tries ? headOfTries(job.tries) : {}),
      };
      const variants = job.tries?.variants.flatMap(({ main, input }) => [main, input]) ?? [];
      const body = Buffer.concat([...job.files.map((file) => file.bytes), ...variants, job.input]);
      for (let attempt = 1; ; attempt += 1) {
        const message = await servant.ask(
          head,
          body,
          (job.limits.wallSeconds + (job.commands?.buildLimits.wallSeconds ?? 0)) * mostHeldUp * 1000 + grace,
        );
        const { failure, raw, blockBytes, ...answer } = answerHeadSchema.parse(message.head);
        const block = message.body.subarray(0, blockBytes);
        let at = blockBytes;
        const stretches = raw.map(([kind, used, size]) => {
          at += size;
          return [kind, used, message.body.subarray(at - size, at)] as const;
        });
        if (failure === null) return { ...answer, block, raw: stretches };
        if (attempt === tries) throw new SandboxBroken(failure || wordsOfFailure(block));
      }
    },
  };
}
