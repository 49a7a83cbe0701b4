/** A place in a file of a program: 1-based, columns in UTF-16. */
export type Place = { line: number; column: number; length: number };

/** A type as it is written: `name` without its arguments, its ranks (1 for `()`, 2 for `(,)`), outermost last. */
export type TypeName = { name: string; of: TypeName[]; ranks: number[]; optional: boolean; place: Place };

export type Expression = { place: Place } & (
  | { kind: "number"; text: string }
  | { kind: "text"; value: string; sign: boolean }
  | { kind: "pieces"; parts: Array<string | { value: Expression; form: string }> }
  | { kind: "truth"; value: boolean }
  | { kind: "nothing" }
  | { kind: "me" }
  | { kind: "base" }
  | { kind: "name"; name: string }
  | { kind: "member"; owner: Expression | null; name: string }
  | { kind: "apply"; of: Expression; given: Array<{ name: string | null; value: Expression | null }> }
  | {
      kind: "new";
      type: TypeName;
      given: Expression[];
      from: Expression | null;
      members: Array<{ name: string; value: Expression; place: Place }>;
    }
  | { kind: "list"; items: Expression[] }
  | { kind: "array"; type: TypeName; bounds: Expression[]; items: Expression | null }
  | { kind: "unary"; sign: string; value: Expression }
  | { kind: "binary"; sign: string; left: Expression; right: Expression }
  | { kind: "convert"; word: string; type: TypeName | null; value: Expression }
  | { kind: "isType"; value: Expression; type: TypeName; not: boolean }
  | { kind: "choose"; given: Expression[] }
  | { kind: "addressOf"; of: Expression }
);

export type Declarator = {
  name: string;
  place: Place;
  type: TypeName | null;
  /** Last positions of the array's ranks, where they are said at the name. */
  bounds: Expression[] | null;
  /** Ranks that are written at the name without their bounds, as `a(,)`, the outermost first; behind bounds those of what it holds. */
  ranks: number[];
  isNew: boolean;
  value: Expression | null;
};

export type Branch = { line: number; condition: Expression | null; body: Statement[] };

export type CaseTest =
  | { kind: "value"; value: Expression }
  | { kind: "range"; from: Expression; to: Expression }
  | { kind: "comparison"; sign: string; value: Expression };

export type Statement = { place: Place; lastLine: number } & (
  | { kind: "declare"; word: "dim" | "const" | "static"; declared: Declarator[] }
  | { kind: "assign"; target: Expression; sign: string; value: Expression }
  | { kind: "call"; call: Expression }
  | { kind: "if"; branches: Branch[]; endLine: number; onLine: boolean }
  | {
      kind: "select";
      value: Expression;
      cases: Array<{ line: number; tests: CaseTest[] | null; body: Statement[] }>;
      endLine: number;
    }
  | {
      kind: "for";
      counter: Expression;
      type: TypeName | null;
      from: Expression;
      to: Expression;
      step: Expression | null;
      body: Statement[];
      endLine: number;
    }
  | { kind: "each"; counter: Expression; type: TypeName | null; source: Expression; body: Statement[]; endLine: number }
  | {
      kind: "loop";
      word: "while" | "do";
      head: { until: boolean; condition: Expression } | null;
      tail: { until: boolean; condition: Expression } | null;
      body: Statement[];
      endLine: number;
    }
  | { kind: "exit"; what: string }
  | { kind: "continue"; what: string }
  | { kind: "return"; value: Expression | null }
  | { kind: "throw"; value: Expression | null }
  | {
      kind: "try";
      body: Statement[];
      catches: Array<{
        line: number;
        name: string | null;
        type: TypeName | null;
        when: Expression | null;
        body: Statement[];
      }>;
      finally: { line: number; body: Statement[] } | null;
      endLine: number;
    }
  | { kind: "with"; value: Expression; body: Statement[]; endLine: number }
  | { kind: "using"; declared: Declarator; body: Statement[]; endLine: number }
  | { kind: "redim"; preserve: boolean; targets: Array<{ target: Expression; bounds: Expression[] }> }
  | { kind: "listen"; add: boolean; event: Expression; handler: Expression }
  | { kind: "end" }
  | { kind: "nothing" }
);

export type Parameter = {
  name: string;
  place: Place;
  byReference: boolean;
  optional: boolean;
  many: boolean;
  type: TypeName | null;
  value: Expression | null;
};

export type Modifiers = ReadonlySet<string>;

export type Routine = {
  kind: "routine";
  word: "sub" | "function";
  /** "New" for what makes an object. */
  name: string;
  place: Place;
  modifiers: Modifiers;
  parameters: Parameter[];
  type: TypeName | null;
  /** What it answers to, `button.Click`. */
  handles: Array<{ control: string; event: string; place: Place }>;
  body: Statement[];
  endLine: number;
  /** True where only its line is there, as in an interface. */
  empty: boolean;
};

export type Field = { kind: "field"; place: Place; modifiers: Modifiers; declared: Declarator[]; lastLine: number };

export type Property = {
  kind: "property";
  name: string;
  place: Place;
  modifiers: Modifiers;
  parameters: Parameter[];
  type: TypeName | null;
  value: Expression | null;
  get: { line: number; body: Statement[]; endLine: number } | null;
  set: { line: number; body: Statement[]; endLine: number; parameter: string } | null;
  endLine: number;
};

/** `outer`: what it is declared in. */
export type Enumeration = {
  kind: "enum";
  name: string;
  outer: Container | null;
  place: Place;
  modifiers: Modifiers;
  members: Array<{ name: string; value: Expression | null; place: Place }>;
  endLine: number;
};

/** `halves`: the other parts of a class that stands in several places. */
export type Container = {
  outer: Container | null;
  halves: Container[];
  kind: "module" | "class" | "structure";
  name: string;
  place: Place;
  modifiers: Modifiers;
  base: TypeName | null;
  members: Member[];
  endLine: number;
};

export type Member = Routine | Field | Property | Enumeration | Container;

/** A file: its options, what it imports, and what it declares. */
export type Unit = { strict: boolean; explicit: boolean; infer: boolean; imports: string[]; members: Member[] };

/** Something that is refused: `code` as the language's documentation counts its errors; `says` in our own words. */
export type Problem = { place: Place; code: string; says: string; severity: "error" | "warning" };
