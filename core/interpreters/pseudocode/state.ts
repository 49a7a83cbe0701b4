import type { CompiledProgram } from "./code.ts";
import type { ArrayValue, Value } from "./values.ts";

/** A place that is given by reference: a slot, an element, or a field. */
export type Reference =
  | { to: "slot"; slots: Slots; at: number; type: string; name: string }
  | { to: "element"; array: ArrayValue; at: number }
  | { to: "field"; fields: Record<string, Value | undefined>; name: string; record: number };
export type Slots = Array<Value | Reference | undefined>;

export type Frame = {
  routine: number;
  slots: Slots;
  types: string[];
  back: number;
  line: number;
  number: number;
  asValue: boolean;
};
export type OpenFile = { lines: string[]; at: number; use: "read" | "write" | "append" };

/** All that there is of a run; a copy of it (by `structuredClone`) is a run of its own. */
export type MachineState = {
  at: number;
  line: number;
  stack: Array<Value | Reference>;
  globals: Slots;
  globalTypes: string[];
  frames: Frame[];
  frameCount: number;
  objectCount: number;
  typed: string[];
  typedAt: number;
  files: Record<string, string[]>;
  open: Record<string, OpenFile>;
  steps: number;
  ended: null | "end" | { errorName: string; says: string; line: number };
  inputRanOut: boolean;
};

/** A run that has not begun. */
export function newState(
  program: CompiledProgram,
  input: string,
  files: Readonly<Record<string, string>> = {},
): MachineState {
  const typed = input === "" ? [] : input.replace(/\r\n?/g, "\n").replace(/\n$/, "").split("\n");
  return {
    ...{
      at: 0,
      line: 0,
      stack: [],
      globals: new Array(program.globals.length).fill(undefined),
      globalTypes: [],
      frames: [],
    },
    ...{ frameCount: 0, objectCount: 0, typed, typedAt: 0, open: {}, steps: 0, ended: null, inputRanOut: false },
    files: Object.fromEntries(Object.entries(files).map(([name, text]) => [name, linesOf(text)])),
  };
}
/** A text as lines, without their ends. */
export const linesOf = (text: string): string[] =>
  text === "" ? [] : text.replace(/\r\n?/g, "\n").replace(/\n$/, "").split("\n");
