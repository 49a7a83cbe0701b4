import type { Outcome, RunRequest } from "../../core/outcome/outcome.ts";
import type { Trace } from "../../core/trace/trace.ts";

/**
 * A language's translator. `available` says whether and how it runs here; the three calls throw Unavailable if it does
 * not.
 */
export type Toolchain = {
  language: string;
  /** By which means programs are checked, run and recorded, in words; and the Debian packages that all of it needs. */
  means: string;
  packages: readonly string[];
  /** Processor time that the start of the smallest program may take here, in seconds: a limit below it would tell nothing. */
  startSeconds: number;
  available: () => Promise<{ ready: true; version: string } | { ready: false; reason: string }>;
  /** Starts what a first run would wait for, where the language has such a thing. Throws if it does not start. */
  prepare?: () => Promise<void>;
  /** Translates only; nothing is run. */
  check: (request: RunRequest) => Promise<Outcome>;
  run: (request: RunRequest) => Promise<Outcome>;
  /** Runs and records. */
  trace: (request: RunRequest) => Promise<Trace>;
  close: () => Promise<void>;
};
