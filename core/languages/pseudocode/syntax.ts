import type { Word } from "../../interpreters/pseudocode/words.ts";
import {
  type ExpressionRules,
  endOf,
  lineEnded,
  nested,
  nodeFrom,
  peek,
  type Reader,
  readExpression,
  take,
  takeIf,
  withRole,
  word,
} from "../../syntax/expressions.ts";
import { programReader } from "../../syntax/program.ts";
import type { SyntaxNode } from "../../syntax/tree.ts";
import { assigningSigns, isWord, pseudocodeTokens, wordOf, wordTogether } from "./tokens.ts";

/** Operators by strength (docs/pseudocode.md). */
export const pseudocodeExpressions: ExpressionRules = {
  binary: {
    ...{ or: 1, and: 2, "=": 4, "==": 4, "≠": 4, "<>": 4, "!=": 4 },
    ...{ "<": 4, "<=": 4, "=<": 4, "≤": 4, ">": 4, ">=": 4, "=>": 4, "≥": 4 },
    ...{ "+": 5, "-": 5, "−": 5, "–": 5, "&": 5, "*": 6, "×": 6, "/": 6, "÷": 6, div: 6, mod: 6, "^": 8 },
  },
  fromRight: new Set(["^"]),
  prefix: { "-": 7, "−": 7, "–": 7, "+": 7, not: 3 },
  // In a condition it is a mistake, which is to be seen as one.
  assignments: assigningSigns,
  constants: new Set(["true", "false"]),
  members: new Set(["."]),
  anyCase: true,
  byLine: true,
  begins: (reader) => {
    if (!isWord(peek(reader), "userinput", "input")) return null;
    const start = reader.at;
    const token = take(reader);
    const callee: SyntaxNode = {
      ...{ kind: "name", role: "callee", sign: token?.text ?? "" },
      ...{ from: token?.from ?? 0, to: token?.to ?? 0, children: [] },
    };
    return nodeFrom(reader, start, { kind: "call", children: [callee] });
  },
};

/** The next word, two written apart being one; undefined where none stands. */
const next = (reader: Reader): Word | undefined => wordTogether(peek(reader), peek(reader, 1)) ?? wordOf(peek(reader));
const nextIs = (reader: Reader, ...words: Word[]): boolean => {
  const found = next(reader);
  return found !== undefined && words.includes(found);
};
function takeWord(reader: Reader, ...words: Word[]): boolean {
  if (!nextIs(reader, ...words)) return false;
  if (wordTogether(peek(reader), peek(reader, 1)) !== undefined) take(reader);
  take(reader);
  return true;
}

/** The next token as a name. */
function name(reader: Reader, role: "definition" | "callee" | "target"): SyntaxNode {
  const start = reader.at;
  const token = take(reader);
  return nodeFrom(reader, start, { kind: "name", role, sign: token?.text ?? "" });
}

const closing: readonly Word[] = [
  ...(["else", "elseif", "endif", "otherwise", "endcase", "endfor", "next", "endwhile", "until"] as const),
  ...(["endprocedure", "endfunction", "endtype"] as const),
];

/** Statements up to a word that closes a block. `more` says whether another way of ending is met. */
function readBody(reader: Reader, more: (reader: Reader) => boolean = () => false): SyntaxNode {
  const start = reader.at;
  const from = endOf(reader, 0);
  const children: SyntaxNode[] = [];
  while (peek(reader) && !nextIs(reader, ...closing) && !more(reader)) {
    const before = reader.at;
    const found = readStatement(reader);
    if (found) children.push(found);
    if (reader.at === before) take(reader);
  }
  if (children.length === 0) return { kind: "block", from, to: from, children };
  return nodeFrom(reader, start, { kind: "block", children });
}

/** The statement of an IF that stands on one line. */
function readOne(reader: Reader): SyntaxNode | null {
  return lineEnded(reader) || nextIs(reader, ...closing) ? null : readStatement(reader);
}

function readIf(reader: Reader, start: number): SyntaxNode {
  takeWord(reader, "if", "elseif");
  const condition = withRole(readExpression(reader), "condition");
  const then = takeWord(reader, "then");
  if (then && !lineEnded(reader) && peek(reader) && !nextIs(reader, ...closing)) {
    const body = withRole(readOne(reader), "body");
    const line = reader.tokens[reader.at - 1]?.endLine;
    if (!nextIs(reader, "else") || peek(reader)?.line === line) {
      const otherwise = takeWord(reader, "else") ? withRole(readOne(reader), "otherwise") : null;
      if (peek(reader)?.line === line) takeWord(reader, "endif");
      return nodeFrom(reader, start, { kind: "if", children: [condition, body, otherwise] });
    }
  }
  const body = withRole(readBody(reader), "body");
  let otherwise: SyntaxNode | null = null;
  if (next(reader) === "elseif") otherwise = withRole(readIf(reader, reader.at), "otherwise");
  else {
    if (takeWord(reader, "else")) otherwise = withRole(readBody(reader), "otherwise");
    takeWord(reader, "endif");
  }
  return nodeFrom(reader, start, { kind: "if", children: [condition, body, otherwise] });
}

/** True where a value of a CASE and its colon stand on the line. */
function isArm(reader: Reader): boolean {
  const line = peek(reader)?.line;
  for (let ahead = 0; peek(reader, ahead)?.line === line && peek(reader, ahead); ahead++) {
    const token = peek(reader, ahead);
    if (token?.text === ":") return true;
    if (token?.kind === "keyword" && !isWord(token, "to", "case", "true", "false")) return false;
    if (token && assigningSigns.has(token.text)) return false;
  }
  return false;
}

function readCase(reader: Reader, start: number): SyntaxNode {
  takeWord(reader, "case");
  takeWord(reader, "of");
  const condition = withRole(readExpression(reader), "condition");
  takeWord(reader, "of");
  const children: Array<SyntaxNode | null> = [condition];
  while (peek(reader) && !nextIs(reader, "endcase")) {
    const at = reader.at;
    if (takeWord(reader, "otherwise", "else")) {
      takeIf(reader, ":");
      children.push(nodeFrom(reader, at, { kind: "case", children: [readBody(reader)] }));
    } else if (isArm(reader)) {
      takeWord(reader, "case");
      const values: Array<SyntaxNode | null> = [];
      do values.push(readExpression(reader, 5));
      while (takeIf(reader, ",") || takeWord(reader, "to"));
      takeIf(reader, ":");
      children.push(nodeFrom(reader, at, { kind: "case", children: [...values, readBody(reader, isArm)] }));
    } else if (nextIs(reader, ...closing)) break;
    if (reader.at === at) take(reader);
  }
  takeWord(reader, "endcase");
  return nodeFrom(reader, start, { kind: "switch", children });
}

function readFor(reader: Reader, start: number): SyntaxNode {
  takeWord(reader, "for");
  if (takeWord(reader, "each")) {
    const target = name(reader, "target");
    takeWord(reader, "in");
    const source = withRole(readExpression(reader), "source");
    const body = withRole(readBody(reader), "body");
    if (takeWord(reader, "next", "endfor") && peek(reader)?.kind === "name" && !lineEnded(reader)) take(reader);
    return nodeFrom(reader, start, { kind: "foreach", children: [target, source, body] });
  }
  const begun = reader.at;
  const counter = name(reader, "target");
  const sign = peek(reader)?.text ?? "";
  if (!takeWord(reader, "from")) takeIf(reader, "=", ...assigningSigns);
  const first = withRole(readExpression(reader), "value");
  const given = nodeFrom(reader, begun, { kind: "assignment", role: "start", sign, children: [counter, first] });
  const limit = takeWord(reader, "to") ? withRole(readExpression(reader), "limit") : null;
  const step = takeWord(reader, "step") ? withRole(readExpression(reader), "step") : null;
  takeWord(reader, "do");
  const body = withRole(readBody(reader), "body");
  if (takeWord(reader, "next", "endfor") && peek(reader)?.kind === "name" && !lineEnded(reader)) take(reader);
  return nodeFrom(reader, start, { kind: "for", children: [given, limit, step, body] });
}

/** A kind of value, not taken apart. */
function readType(reader: Reader): SyntaxNode {
  const start = reader.at;
  let depth = 0;
  while (peek(reader) && !(reader.at > start && lineEnded(reader)) && !(depth === 0 && /^[,)]$/.test(word(reader)))) {
    if (word(reader) === "[") depth += 1;
    if (word(reader) === "]") depth -= 1;
    take(reader);
  }
  const sign = reader.tokens
    .slice(start, reader.at)
    .map((token) => token.text)
    .join(" ");
  return nodeFrom(reader, start, { kind: "type", role: "type", sign });
}

function readRoutine(reader: Reader, start: number): SyntaxNode {
  takeWord(reader, "procedure", "function");
  const definition = name(reader, "definition");
  const parameters: Array<SyntaxNode | null> = [];
  if (takeIf(reader, "(")) {
    while (peek(reader) && word(reader) !== ")" && !lineEnded(reader)) {
      const before = reader.at;
      takeWord(reader, "byref", "byval");
      const token = take(reader);
      if (token?.kind === "name")
        parameters.push({ kind: "parameter", from: token.from, to: token.to, sign: token.text, children: [] });
      if (takeIf(reader, ":")) parameters.push(readType(reader));
      takeIf(reader, ",");
      if (reader.at === before) break;
    }
    takeIf(reader, ")");
  }
  const type = takeWord(reader, "returns") || takeIf(reader, ":") ? readType(reader) : null;
  const body = withRole(readBody(reader), "body");
  takeWord(reader, "endprocedure", "endfunction");
  return nodeFrom(reader, start, { kind: "function", children: [definition, ...parameters, type, body] });
}

/** Values parted by commas up to the line's end. */
function values(reader: Reader, role: "argument" | "target"): SyntaxNode[] {
  const found: SyntaxNode[] = [];
  while (peek(reader) && !lineEnded(reader)) {
    const value = withRole(readExpression(reader), role);
    if (value) found.push(value);
    if (!takeIf(reader, ",")) break;
  }
  return found;
}

/** Words that do something with what stands behind them. */
const commands: ReadonlySet<Word> = new Set([
  ...(["output", "input", "openfile", "readfile", "writefile", "closefile", "stop"] as const),
]);

/** Such a word with what stands behind it, as a call. */
function readCommand(reader: Reader, start: number, command: Word): SyntaxNode {
  const callee = name(reader, "callee");
  let given: SyntaxNode[];
  if (command === "input") {
    const prompt = peek(reader)?.kind === "text" ? withRole(readExpression(reader), "argument") : null;
    if (prompt) takeIf(reader, ",");
    given = [...(prompt ? [prompt] : []), ...values(reader, "target")];
  } else if (command === "readfile") {
    const [file, ...targets] = values(reader, "argument");
    given = [...(file ? [file] : []), ...targets.map((target) => ({ ...target, role: "target" as const }))];
  } else if (command === "openfile") {
    given = values(reader, "argument");
    while (peek(reader) && !lineEnded(reader) && word(reader) !== ";") take(reader);
  } else given = values(reader, "argument");
  const call = nodeFrom(reader, start, { kind: "call", children: [callee, ...given] });
  return nodeFrom(reader, start, { kind: "statement", children: [call] });
}

/** What begins with a name: an assignment or a call. */
function readNamed(reader: Reader, start: number): SyntaxNode | null {
  const left = readExpression(reader, 5);
  if (!left) return null;
  const sign = peek(reader)?.text ?? "";
  if (!lineEnded(reader) && (assigningSigns.has(sign) || sign === "=" || sign === "==")) {
    take(reader);
    const value = lineEnded(reader) ? null : readExpression(reader);
    const children = [withRole(left, "target"), withRole(value, "value")];
    // Two signs of equality compare, wherever they stand.
    const kind = sign === "==" ? "binary" : "assignment";
    const roles = kind === "binary" ? [withRole(left, "left"), withRole(value, "right")] : children;
    return nodeFrom(reader, start, {
      kind: "statement",
      children: [nodeFrom(reader, start, { kind, sign, children: roles })],
    });
  }
  if (left.kind === "name") {
    const call = nodeFrom(reader, start, { kind: "call", children: [{ ...left, role: "callee" }] });
    return nodeFrom(reader, start, { kind: "statement", children: [call] });
  }
  return nodeFrom(reader, start, { kind: "statement", children: [left] });
}

function readStatement(reader: Reader): SyntaxNode | null {
  return nested(reader, readOneStatement);
}

function readOneStatement(reader: Reader): SyntaxNode | null {
  const start = reader.at;
  if (takeIf(reader, ";")) return null;
  const found = next(reader);
  if (found !== undefined && commands.has(found)) return readCommand(reader, start, found);
  switch (found) {
    case "if":
      return readIf(reader, start);
    case "case":
      return readCase(reader, start);
    case "for":
      return readFor(reader, start);
    case "while": {
      take(reader);
      const condition = withRole(readExpression(reader), "condition");
      takeWord(reader, "do");
      const body = withRole(readBody(reader), "body");
      takeWord(reader, "endwhile");
      return nodeFrom(reader, start, { kind: "while", children: [condition, body] });
    }
    case "repeat":
    case "do": {
      take(reader);
      const body = withRole(readBody(reader), "body");
      const condition = takeWord(reader, "until") ? withRole(readExpression(reader), "condition") : null;
      return nodeFrom(reader, start, { kind: "do", sign: "until", children: [body, condition] });
    }
    case "procedure":
    case "function":
      return readRoutine(reader, start);
    case "type": {
      while (peek(reader) && !nextIs(reader, "endtype")) take(reader);
      takeWord(reader, "endtype");
      return nodeFrom(reader, start, { kind: "other" });
    }
    case "declare":
    case "array": {
      take(reader);
      const names: SyntaxNode[] = [];
      do names.push(name(reader, "definition"));
      while (takeIf(reader, ","));
      const type = takeIf(reader, ":") || word(reader) === "[" ? readType(reader) : null;
      return nodeFrom(reader, start, { kind: "declaration", children: [...names, type] });
    }
    case "constant": {
      take(reader);
      const definition = name(reader, "definition");
      takeIf(reader, "=", ...assigningSigns);
      return nodeFrom(reader, start, {
        kind: "declaration",
        children: [definition, withRole(readExpression(reader), "value")],
      });
    }
    case "set": {
      take(reader);
      const target = withRole(readExpression(reader, 5), "target");
      const sign = peek(reader)?.text ?? "";
      if (!takeWord(reader, "to")) takeIf(reader, ...assigningSigns);
      const value = withRole(readExpression(reader), "value");
      const given = nodeFrom(reader, start, { kind: "assignment", sign, children: [target, value] });
      return nodeFrom(reader, start, { kind: "statement", children: [given] });
    }
    case "call": {
      take(reader);
      const inner = reader.at;
      const value = readExpression(reader, 5);
      const call =
        value?.kind === "name"
          ? nodeFrom(reader, inner, { kind: "call", children: [{ ...value, role: "callee" }] })
          : value;
      return nodeFrom(reader, start, { kind: "statement", children: [call] });
    }
    case "return": {
      take(reader);
      const value = lineEnded(reader) ? null : withRole(readExpression(reader), "value");
      return nodeFrom(reader, start, { kind: "return", children: [value] });
    }
    case "begin":
    case "end":
      take(reader);
      return null;
    default:
      return found === undefined || found === "userinput" ? readNamed(reader, start) : null;
  }
}

/** Pseudocode in any of its spellings. */
export const pseudocodeSyntax = programReader(pseudocodeTokens, pseudocodeExpressions, readStatement);
