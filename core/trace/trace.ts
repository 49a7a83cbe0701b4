import type { Outcome } from "../outcome/outcome.ts";

/** How something that holds values is written: list, tuple, set, dictionary, object with fields. */
export type Shape = "list" | "tuple" | "set" | "dictionary" | "object";

/**
 * A value as the language prints it. A plain value has `text`. One that holds others has `shape` and `items`
 * (with `key` for dictionaries and objects) and, if it can change, an `id`; mentioned again it has the `id` alone.
 * `length` is the true number of items where fewer are recorded.
 */
export type Value = {
  type: string;
  text?: string;
  id?: number;
  shape?: Shape;
  items?: ReadonlyArray<{ key?: string; value: Value }>;
  length?: number;
  /** Of those that are not, what changed last, by place; only where a value has no `id`. */
  behind?: ReadonlyArray<{ key: string; value: Value }>;
};

/** The text of what holds no value yet, in recordings of languages that know such a thing. */
export const unsetText = "not set yet";

/**
 * One changed name or element. `owner` is the frame's or object's number (0 for globals); `value` null means it is
 * gone.
 */
export type Write = {
  scope: "global" | "frame" | "object";
  owner: number;
  path: ReadonlyArray<string | number>;
  value: Value | null;
};

/** One executed line; `line` is 1-based in file number `file`, `writes` are the values after the line ran. */
export type Step = {
  index: number;
  line: number;
  file: number;
  frame: number;
  depth: number;
  /** Name of the function whose header line this is, on the step that enters it. */
  call?: string;
  /** The class whose method it is. */
  className?: string;
  /** The line called student code; its own writes are on the later step with `resumes`. */
  calls?: boolean;
  resumes?: boolean;
  /** Whether the line's condition held, where the language's interface gives it. */
  condition?: boolean;
  raised?: { errorName: string; message: string };
  returned?: Value;
  writes: readonly Write[];
  /** Names of the frame whose scope ended after the line: what becomes of their objects later is not theirs any more. */
  ended?: readonly string[];
  /** What the line printed, even if its text came to the screen later. */
  out?: string;
  err?: string;
  in?: string;
  /** The end of `out` that never reached the screen: the program was stopped while it held it back. */
  unseen?: string;
};

/** A recorded run. `cut` says in words what is missing, if anything is. */
export type Trace = {
  outcome: Outcome;
  files: readonly string[];
  steps: readonly Step[];
  cut?: string;
  /** Why what was to be changed at a step was not, in words. */
  notChanged?: string;
  /** The files beside the program when a step's line was about to run, with what they held, where that was asked for. */
  filesAt?: ReadonlyArray<{ name: string; text: string }>;
};
