import {
  type ExpressionRules,
  listUntil,
  nested,
  nodeFrom,
  peek,
  type Reader,
  readExpression,
  readerOf,
  take,
  takeIf,
  withRole,
  word,
} from "../../syntax/expressions.ts";
import { placed } from "../../syntax/placed.ts";
import { shallow } from "../../syntax/shallow.ts";
import type { SyntaxNode, SyntaxReader } from "../../syntax/tree.ts";
import { csharpTokens } from "./tokens.ts";

const modifiers = new Set(
  "public private protected internal static readonly const abstract virtual override sealed partial async extern unsafe volatile".split(
    " ",
  ),
);
const typeWords = new Set(
  "bool byte sbyte char decimal double float int uint long ulong short ushort object string void var dynamic".split(
    " ",
  ),
);

/** Where a type ends that begins at `at`, as an index of tokens; -1 where none begins. */
function typeEnd(reader: Reader, at: number): number {
  const token = reader.tokens[at];
  if (!token || !(typeWords.has(token.text) || token.kind === "name")) return -1;
  let end = at + 1;
  while (reader.tokens[end]?.text === "." && reader.tokens[end + 1]?.kind === "name") end += 2;
  if (reader.tokens[end]?.text === "<") {
    let depth = 0;
    let look = end;
    for (; look < reader.tokens.length; look++) {
      const text = reader.tokens[look]?.text ?? "";
      if (text === "<") depth += 1;
      else if (text === ">") depth -= 1;
      else if (text === ">>") depth -= 2;
      else if (!/^[\w.,?[\]]+$/.test(text)) return end === at + 1 && depth > 0 ? end : -1;
      if (depth <= 0) break;
    }
    end = look + 1;
  }
  if (
    reader.tokens[end]?.text === "?" &&
    reader.tokens[end + 1]?.kind === "name" &&
    /^[=;,)]$/.test(reader.tokens[end + 2]?.text ?? "")
  )
    end += 1;
  while (reader.tokens[end]?.text === "[" && /^[\],]$/.test(reader.tokens[end + 1]?.text ?? "")) {
    while (reader.tokens[end] && reader.tokens[end]?.text !== "]") end += 1;
    end += 1;
  }
  return end;
}

function readType(reader: Reader): SyntaxNode | null {
  const start = reader.at;
  const end = typeEnd(reader, start);
  if (end < 0) return null;
  reader.at = end;
  const node = nodeFrom(reader, start, { kind: "type", role: "type" });
  return {
    ...node,
    sign: reader.tokens
      .slice(start, end)
      .map((token) => token.text)
      .join(""),
  };
}

/** True where a declaration begins: a type, and a name behind it. */
function declares(reader: Reader): boolean {
  const end = typeEnd(reader, reader.at);
  if (end < 0) return false;
  return reader.tokens[end]?.kind === "name" && /^(?:[=;,):]|in)$/.test(reader.tokens[end + 1]?.text ?? ";");
}

/** `new T(...) {...}`, `(int) value`, `x => ...`. */
function begins(reader: Reader): SyntaxNode | null {
  const start = reader.at;
  const text = word(reader);
  if (text === "new") {
    take(reader);
    const type = readType(reader);
    const given: SyntaxNode[] = [];
    if (takeIf(reader, "(")) given.push(...listUntil(reader, ")"));
    else if (takeIf(reader, "[")) given.push(...listUntil(reader, "]"));
    if (takeIf(reader, "{")) given.push(...listUntil(reader, "}"));
    return nodeFrom(reader, start, {
      ...{ kind: "call", sign: "new" },
      children: [type, ...given.map((each) => withRole(each, "argument"))],
    });
  }
  if (text === "(" && typeWords.has(word(reader, 1))) {
    const end = typeEnd(reader, start + 1);
    if (end > 0 && reader.tokens[end]?.text === ")") {
      take(reader);
      const type = readType(reader);
      take(reader);
      const operand = readExpression(reader, 20);
      return nodeFrom(reader, start, { kind: "cast", children: [type, withRole(operand, "operand")] });
    }
  }
  const token = peek(reader);
  if (token && typeWords.has(token.text) && word(reader, 1) === ".") {
    take(reader);
    return nodeFrom(reader, start, { kind: "name", sign: token.text });
  }
  if (text === "this" || text === "base") {
    take(reader);
    return nodeFrom(reader, start, { kind: "name", sign: text });
  }
  return null;
}

/** Operators of C# by strength (C# language specification, "Operator precedence"). */
export const csharpExpressions: ExpressionRules = {
  binary: {
    ...{ "??": 2, "||": 3, "&&": 4, "|": 5, "^": 6, "&": 7, "==": 8, "!=": 8 },
    ...{
      "<": 9,
      ">": 9,
      "<=": 9,
      ">=": 9,
      is: 9,
      as: 9,
      "<<": 10,
      ">>": 10,
      "+": 11,
      "-": 11,
      "*": 12,
      "/": 12,
      "%": 12,
    },
  },
  prefix: { "-": 20, "+": 20, "!": 20, "~": 20, "++": 20, "--": 20, out: 0, ref: 0, await: 20 },
  steps: new Set(["++", "--"]),
  assignments: new Set(["=", "+=", "-=", "*=", "/=", "%=", "&=", "|=", "^=", "<<=", ">>=", "??=", "=>"]),
  constants: new Set(["true", "false", "null"]),
  members: new Set([".", "?."]),
  begins,
};

function readBlock(reader: Reader): SyntaxNode {
  const start = reader.at;
  take(reader);
  const children: SyntaxNode[] = [];
  while (peek(reader) && word(reader) !== "}") {
    const before = reader.at;
    const found = readStatement(reader);
    if (found) children.push(found);
    if (reader.at === before) take(reader);
  }
  takeIf(reader, "}");
  return nodeFrom(reader, start, { kind: "block", children });
}

function inBrackets(reader: Reader): SyntaxNode | null {
  if (!takeIf(reader, "(")) return null;
  const found = readExpression(reader);
  takeIf(reader, ")");
  return found;
}

/** `int a = 1, b`, without the sign that ends it. */
function readDeclaration(reader: Reader): SyntaxNode {
  const start = reader.at;
  const children: Array<SyntaxNode | null> = [readType(reader)];
  do {
    const at = reader.at;
    const name = take(reader);
    const target: SyntaxNode = {
      ...{ kind: "name", role: "definition", from: name?.from ?? 0, to: name?.to ?? 0 },
      ...{ sign: name?.text ?? "", children: [] },
    };
    if (!takeIf(reader, "=")) children.push(target);
    else {
      const value = readExpression(reader, 1);
      children.push(
        nodeFrom(reader, at, { kind: "assignment", sign: "=", children: [target, withRole(value, "value")] }),
      );
    }
  } while (takeIf(reader, ",") && peek(reader)?.kind === "name");
  return nodeFrom(reader, start, { kind: "declaration", children });
}

function readFor(reader: Reader, start: number): SyntaxNode {
  const children: Array<SyntaxNode | null> = [];
  takeIf(reader, "(");
  if (word(reader) !== ";")
    children.push(withRole(declares(reader) ? readDeclaration(reader) : readExpression(reader), "start"));
  takeIf(reader, ";");
  if (word(reader) !== ";") children.push(withRole(readExpression(reader), "condition"));
  takeIf(reader, ";");
  while (peek(reader) && word(reader) !== ")" && word(reader) !== "{") {
    const before = reader.at;
    children.push(withRole(readExpression(reader), "step"));
    takeIf(reader, ",");
    if (reader.at === before) break;
  }
  takeIf(reader, ")");
  children.push(withRole(readStatement(reader), "body"));
  return nodeFrom(reader, start, { kind: "for", children });
}

function readStatement(reader: Reader): SyntaxNode | null {
  return nested(reader, readOneStatement);
}

function readOneStatement(reader: Reader): SyntaxNode | null {
  const start = reader.at;
  switch (word(reader)) {
    case "{":
      return readBlock(reader);
    case ";":
      take(reader);
      return nodeFrom(reader, start, { kind: "statement" });
    case "if": {
      take(reader);
      const condition = withRole(inBrackets(reader), "condition");
      const body = withRole(readStatement(reader), "body");
      const otherwise = takeIf(reader, "else") ? withRole(readStatement(reader), "otherwise") : null;
      return nodeFrom(reader, start, { kind: "if", children: [condition, body, otherwise] });
    }
    case "while": {
      take(reader);
      const condition = withRole(inBrackets(reader), "condition");
      return nodeFrom(reader, start, { kind: "while", children: [condition, withRole(readStatement(reader), "body")] });
    }
    case "do": {
      take(reader);
      const body = withRole(readStatement(reader), "body");
      const condition = takeIf(reader, "while") ? withRole(inBrackets(reader), "condition") : null;
      takeIf(reader, ";");
      return nodeFrom(reader, start, { kind: "do", children: [body, condition] });
    }
    case "for":
      take(reader);
      return readFor(reader, start);
    case "foreach": {
      take(reader);
      takeIf(reader, "(");
      const type = readType(reader);
      const at = reader.at;
      const name = take(reader);
      const target = nodeFrom(reader, at, { kind: "name", role: "target", sign: name?.text ?? "" });
      takeIf(reader, "in");
      const source = withRole(readExpression(reader), "source");
      takeIf(reader, ")");
      return nodeFrom(reader, start, {
        kind: "foreach",
        children: [type, target, source, withRole(readStatement(reader), "body")],
      });
    }
    case "switch": {
      take(reader);
      const condition = withRole(inBrackets(reader), "condition");
      const body = word(reader) === "{" ? withRole(readBlock(reader), "body") : null;
      return nodeFrom(reader, start, { kind: "switch", children: [condition, body] });
    }
    case "case":
    case "default": {
      take(reader);
      const value = word(reader) === ":" ? null : readExpression(reader, 2);
      takeIf(reader, ":");
      return nodeFrom(reader, start, { kind: "case", children: [value] });
    }
    case "return":
    case "throw": {
      const first = take(reader);
      const value = word(reader) === ";" ? null : withRole(readExpression(reader), "value");
      takeIf(reader, ";");
      return nodeFrom(reader, start, { kind: first?.text === "return" ? "return" : "statement", children: [value] });
    }
    case "break":
    case "continue": {
      const first = take(reader);
      takeIf(reader, ";");
      return nodeFrom(reader, start, { kind: "leave", sign: first?.text ?? "" });
    }
    case "try": {
      const children: Array<SyntaxNode | null> = [];
      take(reader);
      if (word(reader) === "{") children.push(readBlock(reader));
      while (takeIf(reader, "catch", "finally")) {
        if (takeIf(reader, "(")) while (peek(reader) && take(reader)?.text !== ")");
        if (word(reader) === "{") children.push(readBlock(reader));
      }
      return nodeFrom(reader, start, { kind: "try", children });
    }
    case "using": {
      while (peek(reader) && word(reader) !== ";" && word(reader) !== "{") take(reader);
      takeIf(reader, ";");
      return nodeFrom(reader, start, { kind: "import" });
    }
    default:
      return readOther(reader, start);
  }
}

/** Classes, functions, declarations and plain statements. */
function readOther(reader: Reader, start: number): SyntaxNode | null {
  while (modifiers.has(word(reader))) take(reader);
  if (["class", "struct", "interface", "enum", "namespace", "record"].includes(word(reader))) {
    const isEnum = word(reader) === "enum";
    take(reader);
    const at = reader.at;
    const name = take(reader);
    const definition = nodeFrom(reader, at, { kind: "name", role: "definition", sign: name?.text ?? "" });
    while (peek(reader) && word(reader) !== "{" && word(reader) !== ";") take(reader);
    if (isEnum && takeIf(reader, "{")) listUntil(reader, "}");
    const body = word(reader) === "{" ? withRole(readBlock(reader), "body") : null;
    return nodeFrom(reader, start, { kind: "class", children: [definition, body] });
  }
  const end = typeEnd(reader, reader.at);
  const isConstructor = peek(reader)?.kind === "name" && word(reader, 1) === "(" && reader.at > start;
  if (isConstructor || (end > 0 && reader.tokens[end]?.kind === "name" && reader.tokens[end + 1]?.text === "("))
    return readFunction(reader, start, isConstructor);
  if (declares(reader)) {
    const { children } = readDeclaration(reader);
    takeIf(reader, ";");
    return nodeFrom(reader, start, { kind: "declaration", children });
  }
  // A property: a type, a name, and a block of its own.
  if (end > 0 && reader.tokens[end]?.kind === "name" && reader.tokens[end + 1]?.text === "{") {
    reader.at = end + 1;
    return nodeFrom(reader, start, { kind: "declaration", children: [readBlock(reader)] });
  }
  const value = readExpression(reader);
  const ended = takeIf(reader, ";");
  if (!value && !ended) return null;
  return nodeFrom(reader, start, { kind: "statement", children: [value] });
}

function readFunction(reader: Reader, start: number, isConstructor: boolean): SyntaxNode {
  const type = isConstructor ? null : readType(reader);
  const at = reader.at;
  const name = take(reader);
  const definition = nodeFrom(reader, at, { kind: "name", role: "definition", sign: name?.text ?? "" });
  take(reader);
  const parameters: SyntaxNode[] = [];
  while (peek(reader) && word(reader) !== ")" && word(reader) !== "{") {
    const from = reader.at;
    takeIf(reader, "ref", "out", "params", "this", "in");
    const its = readType(reader);
    const called = peek(reader)?.kind === "name" ? take(reader) : undefined;
    if (takeIf(reader, "=")) readExpression(reader, 1);
    if (reader.at === from) take(reader);
    else parameters.push(nodeFrom(reader, from, { kind: "parameter", sign: called?.text ?? "", children: [its] }));
    takeIf(reader, ",");
  }
  takeIf(reader, ")");
  if (takeIf(reader, ":")) readExpression(reader, 2);
  let body: SyntaxNode | null = null;
  if (word(reader) === "{") body = withRole(readBlock(reader), "body");
  else if (takeIf(reader, "=>")) body = withRole(readExpression(reader), "body");
  takeIf(reader, ";");
  return nodeFrom(reader, start, { kind: "function", children: [type, definition, ...parameters, body] });
}

/** C#, as far as students' programs go. */
export const csharpSyntax: SyntaxReader = (text) => {
  const tokens = placed(
    text,
    csharpTokens(text).filter((token) => token.kind !== "comment"),
  );
  const reader = readerOf(tokens, csharpExpressions);
  const children: SyntaxNode[] = [];
  while (peek(reader)) {
    const before = reader.at;
    const found = readStatement(reader);
    if (found) children.push(found);
    if (reader.at === before) {
      const stray = take(reader);
      if (stray) children.push({ kind: "error", from: stray.from, to: stray.to, sign: stray.text, children: [] });
    }
  }
  return shallow({ kind: "program", from: 0, to: text.length, children });
};
