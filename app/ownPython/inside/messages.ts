/** What the page, the frame that is shut off from it and the worker in that frame say to one another. */

/** A run of one program. `change`: what is changed at a step, as server/toolchains/changeWords.ts gives it. */
export type RunOrder = {
  mode: "run" | "trace";
  main: string;
  files: ReadonlyArray<readonly [name: string, text: string]>;
  input: string;
  outputLimit: number;
  stepLimit: number;
  change?: readonly string[];
};

/** One frame of what a run tells: kinds, lines and steps as runners/sandbox/bent_nail_sandbox/block.py has them. */
export type ToldFrame = readonly [kind: string, line: number, step: number, bytes: Uint8Array];

/** The page to the frame. `pack`: all files of the interpreter (core/formats/pack.ts). */
export type ToFrame =
  | { do: "load"; pack: ArrayBuffer }
  | { do: "run"; id: number; order: RunOrder; seconds: number }
  | { do: "stop"; id: number };

/** The frame to the page. A run ends with `over`, and nothing is told of it after that. */
export type FromFrame =
  | { told: "loaded" }
  | { told: "trouble"; words: string }
  | { told: "frames"; id: number; frames: readonly ToldFrame[] }
  | { told: "over"; id: number; how: HowOver };

/** ended: the runner told all of it; time: it ran longer than it may; person: the student stopped it; broken: the interpreter itself gave up. */
export type HowOver = "ended" | "time" | "person" | "broken";

/** What an interpreter is started from, once unpacked; a later worker takes it as it is. */
export type Unpacked = { module: WebAssembly.Module; library: Uint8Array; script: Blob; runner: string };

export type ToWorker =
  | { do: "start"; pack: ArrayBuffer }
  | { do: "start again"; unpacked: Unpacked }
  | { do: "run"; order: RunOrder };
export type FromWorker =
  | { told: "ready"; unpacked: Unpacked }
  | { told: "trouble"; words: string }
  | { told: "frames"; frames: readonly ToldFrame[] }
  | { told: "over"; how: "ended" | "broken" };
