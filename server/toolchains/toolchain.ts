import type { Outcome, RunRequest } from "../../core/outcome/outcome.ts";
import type { Trace } from "../../core/trace/trace.ts";

import type { OtherWay } from "./otherWays.ts";

/** A text in the place of a program's first file, and what is typed in. */
export type Variant = { main: Uint8Array; input: string };

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
  /**
   * Runs variants of the first file, each with its input, in one job: all of one search and of nobody else. In the place
   * of one that told nothing in such company (its own run may) stands null. The limits are those of each; `seconds` is
   * the most that all of them may take.
   */
  runMany?: (request: RunRequest, variants: readonly Variant[], seconds: number) => Promise<Array<Outcome | null>>;
  /** Other ways to translate its programs that can be used here. */
  otherWays: () => OtherWay[];
  /** True where a recording can have something changed at a step. */
  changes?: true;
  /** Runs and records. */
  trace: (request: RunRequest) => Promise<Trace>;
  close: () => Promise<void>;
};
