/** Where a piece stands, from 1. */
export type At = { line: number; column: number };

/** What kind of value a name is declared for. Bounds are worked out where the declaration is reached. */
export type TypeName =
  | { is: "integer" | "real" | "text" | "character" | "truth" | "any" }
  | { is: "array"; bounds: ReadonlyArray<readonly [from: Expression, to: Expression]>; of: TypeName }
  | { is: "record"; name: string };

export type Expression = At &
  (
    | { is: "number"; value: number | bigint; whole: boolean }
    | { is: "text"; value: string }
    | { is: "truth"; value: boolean }
    | { is: "name"; name: string }
    | { is: "index"; of: Expression; places: Expression[] }
    | { is: "field"; of: Expression; name: string }
    | { is: "call"; name: string; given: Expression[] }
    | { is: "list"; items: Expression[] }
    | { is: "input" }
    | { is: "unary"; sign: "-" | "not"; of: Expression }
    | { is: "binary"; sign: BinarySign; left: Expression; right: Expression }
  );

export type BinarySign =
  | ("+" | "-" | "*" | "/" | "^" | "&" | "div" | "mod")
  | ("=" | "≠" | "<" | "≤" | ">" | "≥")
  | ("and" | "or");

export type Arm = At & { condition: Expression; body: Statement[] };
/** One value, or all from the first to the second. */
export type CaseTest = { from: Expression; to: Expression | null };

export type Statement = At &
  (
    | { is: "assign"; target: Expression; value: Expression }
    | { is: "output"; items: Expression[]; stays: boolean }
    | { is: "input"; prompt: Expression | null; targets: Expression[] }
    | { is: "if"; arms: Arm[]; otherwise: Statement[] | null }
    | {
        is: "case";
        of: Expression;
        arms: Array<At & { tests: CaseTest[]; body: Statement[] }>;
        otherwise: Statement[] | null;
      }
    | { is: "for"; counter: string; from: Expression; to: Expression; step: Expression | null; body: Statement[] }
    | { is: "each"; name: string; of: Expression; body: Statement[] }
    | { is: "while"; condition: Expression; body: Statement[] }
    | { is: "repeat"; condition: Expression; untilLine: number; body: Statement[] }
    | { is: "call"; name: string; given: Expression[] }
    | { is: "return"; value: Expression | null }
    | { is: "declare"; names: string[]; type: TypeName }
    | { is: "constant"; name: string; value: Expression }
    | { is: "openfile"; file: Expression; use: "read" | "write" | "append" }
    | { is: "readfile"; file: Expression; target: Expression }
    | { is: "writefile"; file: Expression; value: Expression }
    | { is: "closefile"; file: Expression }
    | { is: "stop" }
  );

export type Parameter = { name: string; type: TypeName; byReference: boolean };
export type Routine = At & {
  name: string;
  parameters: Parameter[];
  /** Whether it gives something back, as a function does. */
  gives: boolean;
  returns: TypeName;
  body: Statement[];
  endLine: number;
};
export type RecordType = At & { name: string; fields: Array<{ name: string; type: TypeName }> };

export type ProgramTree = { types: RecordType[]; routines: Routine[]; body: Statement[] };

/** Names are the same in any letter case. */
export const folded = (name: string): string => name.toLowerCase();
