import type { Builtin } from "./builtins.ts";

/** What an instruction does; `a` and `b` are its numbers, `with` what else it has. */
export const op = {
  line: 0,
  constant: 1,
  global: 2,
  local: 3,
  reference: 4,
  setGlobal: 5,
  setLocal: 6,
  setReference: 7,
  element: 8,
  setElement: 9,
  field: 10,
  setField: 11,
  list: 12,
  binary: 13,
  negate: 14,
  not: 15,
  jump: 16,
  jumpUnless: 17,
  andThen: 18,
  orElse: 19,
  truth: 20,
  call: 21,
  builtin: 22,
  giveBack: 23,
  leave: 24,
  output: 25,
  input: 26,
  declareGlobal: 27,
  declareLocal: 28,
  forBegin: 29,
  forTest: 30,
  forNext: 31,
  eachTest: 32,
  referToGlobal: 33,
  referToLocal: 34,
  referToElement: 35,
  referToField: 36,
  unknown: 37,
  drop: 38,
  openFile: 39,
  readFile: 40,
  writeFile: 41,
  closeFile: 42,
  stop: 43,
  caseTest: 44,
  endOfFile: 45,
  add: 46,
  subtract: 47,
  less: 48,
  lessOrEqual: 49,
  greater: 50,
  equal: 51,
} as const;
export type Op = (typeof op)[keyof typeof op];

export type Instruction = { op: Op; a: number; b: number; with: unknown; line: number };

/** What a declaration names a value for, with the instructions that work its bounds out before (two values each). */
export type DeclaredType = { is: string; of?: DeclaredType; dimensions?: number; record?: string };

export type CompiledRoutine = {
  name: string;
  line: number;
  endLine: number;
  begin: number;
  /** Names of the slots, the parameters first; what has no name is the machine's own. */
  slots: Array<string | null>;
  parameters: Array<{ name: string; byReference: boolean; type: DeclaredType }>;
  gives: boolean;
  returns: DeclaredType;
};

export type CompiledProgram = {
  code: Instruction[];
  globals: Array<string | null>;
  routines: CompiledRoutine[];
  records: ReadonlyMap<string, { name: string; fields: Array<{ name: string; type: DeclaredType }> }>;
};

export type CallOf = { routine: number; given: number };
export type BuiltinCall = { builtin: Builtin; given: number };
export type LoopSlots = { counter: number; limit: number; step: number; isGlobal: boolean; name: string };
