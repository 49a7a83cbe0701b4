import type { Diagnostic } from "../outcome/outcome.ts";

/** A piece of program text. Offsets are UTF-16, `line` is 1-based. `open` marks a literal that is not closed. */
export type Token = {
  kind: "name" | "keyword" | "number" | "text" | "comment" | "bracket" | "operator" | "other";
  text: string;
  line: number;
  /** 0-based UTF-16 offset in its line. */
  offset: number;
  endLine: number;
  open?: boolean;
};

/**
 * The condition of a loop: the names in it, whether it calls anything, whether it holds none. `comparison`: if it is one comparison
 * of a name with a name or number, its sides; the loop goes on while it holds.
 */
export type LoopCondition = {
  names: string[];
  calls: boolean;
  constant: boolean;
  comparison?: { left: string; operator: "<" | "<=" | ">" | ">="; right: string };
};

/** What the rest of the program asks about a language. Nothing outside a language's folder tests its id. */
export type Language = {
  id: string;
  name: string;
  /** Ending of its program files, with the dot, and the name of a program that was pasted without one. */
  extension: string;
  mainName: string;
  lineComment: string;
  /** "run": an unknown name shows only when its line is reached; "translation": the program does not start. */
  namesCheckedAt: "run" | "translation";
  /** True where a wrong indentation is a fault of grammar. */
  indentationIsGrammar: boolean;
  tokens: (text: string) => Token[];
  /**
   * Reads the error output of the language's tools. `program` (the text of each file by name) helps to place columns.
   * Returns nothing for text that is not recognised; never guesses.
   */
  readMessages: (output: string, program?: Readonly<Record<string, string>>) => Diagnostic[];
  /** Plain-language meaning of a message, or null. */
  meaning: (diagnostic: Diagnostic) => string | null;
  /** The names given a value on a line, and the names that it uses, in order; for leads and for judging loops. */
  assignedNames: (lineTokens: readonly Token[]) => string[];
  usedNames: (lineTokens: readonly Token[]) => string[];
  /** For a line that heads a conditional loop: its condition; else null. */
  loopCondition: (lineTokens: readonly Token[]) => LoopCondition | null;
  /** Functions that neither read, nor draw on chance or the clock, nor change anything but what they print. */
  quietFunctions: ReadonlySet<string>;
  /** Words that leave a loop from inside. */
  loopExits: readonly string[];
  /** Words that belong to the language or its library, never a person's name. */
  ownWords: ReadonlySet<string>;
};
