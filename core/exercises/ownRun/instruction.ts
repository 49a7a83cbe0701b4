import type { Language } from "../../languages/language.ts";
import type { OwnFunction } from "./ownFunctions.ts";

/**
 * What a program does, one small thing after another; places are indexes in the list. `line` begins a row of the trace
 * table. `take` stands for what is not worked out here (a read, a call of the program's own): it is taken from the
 * recorded run. `print` has the values that are printed, without fixed texts. `call` goes into a function of the program with
 * some values, which `receive` gives to its parameters; `give` goes back from it, with a value that the caller knows by the
 * name `result`.
 */
export type Instruction =
  | { does: "line"; line: number }
  | { does: "assign"; name: string; sign: string; value: string | null; type: string | null }
  | { does: "element"; name: string; place: string; value: string }
  | { does: "take"; reads: boolean; names: readonly string[] }
  | { does: "print"; values: readonly string[]; fixed: readonly string[] }
  | { does: "decide"; condition: string; holds: number; fails: number }
  | { does: "count"; loop: number; name: string; start: string; limit: string; step: number }
  | { does: "each"; loop: number; name: string; source: Source }
  | { does: "next"; loop: number; holds: number; fails: number }
  | { does: "item"; loop: number }
  | { does: "go"; to: number }
  | { does: "call"; function: string; given: readonly string[]; result: string }
  | { does: "receive"; name: string; at: number; type: string | null }
  | { does: "give"; value: string | null; type: string | null }
  | { does: "lost" }
  | { does: "end" };

/** What a loop goes through: the numbers of a range (its bounds as expressions), or what an expression holds. */
export type Source =
  | { kind: "range"; start: string | null; limit: string; step: string | null; inclusive: boolean }
  | { kind: "items"; of: string };

/** A program as instructions, for what its main part does; `functions`: where those begin that are gone into. */
export type Instructions = {
  list: readonly Instruction[];
  mainFunction: string | null;
  functions: ReadonlyMap<string, number>;
};

/** Where a program's instructions are written to, with what is known of the program. */
export type Writer = {
  language: Language;
  text: string;
  starts: readonly number[];
  list: Instruction[];
  loops: number;
  own: ReadonlySet<string>;
  types: Map<string, string>;
  /** Functions of the program that can be gone into, by name. */
  functions: ReadonlyMap<string, OwnFunction>;
  /** The function that is being written; null in the main part. */
  inside: OwnFunction | null;
  /** What stands for calls that were gone into before: their places, and the names of what they gave. */
  results: Array<{ from: number; to: number; name: string }>;
  /** Where `break` and `continue` of the loop around go, filled in when that is known. */
  around: Array<{ leave: Array<{ to: number }>; again: Array<{ to: number }> }>;
};
