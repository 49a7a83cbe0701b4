import { z } from "zod";
import type { Limits, ProgramFiles } from "../../core/outcome/outcome.ts";
import { findBubblewrap, type SandboxProcess, type SandboxSpecification, startInSandbox } from "./bubblewrap.ts";
import { confine } from "./controlGroup.ts";

/** What a warm worker is asked: translate only, run, or run and record. */
export type Job = { mode: "check" | "run" | "trace"; files: ProgramFiles; input: Uint8Array; limits: Limits };

const answerHeadSchema = z.object({
  stopped: z.enum(["none", "time", "memory", "output"]),
  raw: z.array(z.tuple([z.enum(["O", "E"]), z.number(), z.string()])),
  milliseconds: z.number(),
  peakMemory: z.number(),
  peakProcesses: z.number(),
  failure: z.string().nullable(),
  signal: z.number().optional(),
  exit: z.number().optional(),
});
/** The answer of a warm worker: how the fork ended, raw output past the language's streams, and the console block. */
export type JobAnswer = z.infer<typeof answerHeadSchema> & { block: Buffer };

/** A sandbox that stays up and serves one job after another. `run` rejects if the sandbox itself broke; then start another. */
export type WarmWorker = { run: (job: Job) => Promise<JobAnswer>; version: Promise<string>; stop: () => void; exited: Promise<void> };

const readySchema = z.object({ ready: z.literal(true), version: z.string() });
/** Time that a sandbox may take beyond a job's own limit before it counts as broken, in milliseconds. */
const grace = 5000;

type Waiting = { resolve: (message: Message) => void; reject: (reason: Error) => void };
type Message = { head: unknown; body: Buffer };

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

/** Starts a warm worker. Throws if bubblewrap is missing. */
export function startWarmWorker(specification: SandboxSpecification, limits: Limits): WarmWorker {
  const bubblewrap = findBubblewrap();
  if (!bubblewrap) throw new Error("bubblewrap is not installed");
  const child = startInSandbox(bubblewrap, specification);
  const group = child.pid === undefined ? null : confine(child.pid, limits.memoryBytes + 192 * 1024 * 1024, limits.processes + 16);
  const queue: Waiting[] = [];
  let complaint = "";
  child.stderr?.on("data", (part: Buffer) => {
    complaint = (complaint + part.toString("utf8")).slice(-2000);
  });
  child.stdin?.on("error", () => undefined);
  const exited = new Promise<void>((resolve) => {
    const end = (reason: string) => {
      for (const waiting of queue.splice(0)) waiting.reject(new Error(`the sandbox ended: ${reason} ${complaint}`.trim()));
      group?.remove();
      resolve();
    };
    child.on("exit", (code, signal) => end(signal ?? `exit ${code}`));
    child.on("error", (problem) => end(problem.message));
  });
  readMessages(child, (message) => queue.shift()?.resolve(message));
  const next = () => new Promise<Message>((resolve, reject) => queue.push({ resolve, reject }));
  const version = next().then((message) => readySchema.parse(message.head).version);
  version.catch(() => undefined);

  return {
    version,
    exited,
    stop: () => {
      child.kill("SIGKILL");
    },
    run: async (job) => {
      const head = Buffer.from(
        JSON.stringify({
          id: 1,
          mode: job.mode,
          main: job.files[0]?.name ?? "",
          files: job.files.map((file) => [file.name, file.bytes.length]),
          limits: job.limits,
          seed: 0,
        }),
      );
      const body = Buffer.concat([...job.files.map((file) => file.bytes), job.input]);
      const lengths = [Buffer.alloc(4), Buffer.alloc(4)] as const;
      lengths[0].writeUInt32LE(head.length);
      lengths[1].writeUInt32LE(body.length);
      const answer = next();
      child.stdin?.write(Buffer.concat([lengths[0], head, lengths[1], body]));
      const watchdog = setTimeout(() => child.kill("SIGKILL"), job.limits.wallSeconds * 1000 + grace);
      try {
        const message = await answer;
        return { ...answerHeadSchema.parse(message.head), block: message.body };
      } finally {
        clearTimeout(watchdog);
      }
    },
  };
}
