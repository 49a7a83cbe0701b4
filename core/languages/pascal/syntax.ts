import {
  type ExpressionRules,
  endOf,
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
import { pascalTokens } from "./tokens.ts";

/** Operators of Object Pascal by strength (Free Pascal Reference guide, "Expressions"). */
export const pascalExpressions: ExpressionRules = {
  binary: {
    ...{ "..": 1, "=": 2, "<>": 2, "<": 2, ">": 2, "<=": 2, ">=": 2, in: 2, is: 2, ":": 1 },
    ...{ "+": 3, "-": 3, or: 3, xor: 3, "*": 4, "/": 4, div: 4, mod: 4, and: 4, shl: 4, shr: 4, as: 4, "**": 5 },
  },
  prefix: { "-": 4, "+": 4, not: 6, "@": 6 },
  postfix: new Set(["^"]),
  assignments: new Set([":=", "+=", "-=", "*=", "/="]),
  constants: new Set(["nil", "true", "false"]),
  members: new Set(["."]),
  anyCase: true,
};

const declarators = new Set(["var", "const", "type", "label", "threadvar", "resourcestring"]);
const routines = new Set(["procedure", "function", "constructor", "destructor", "class"]);

function name(reader: Reader): SyntaxNode {
  const start = reader.at;
  const token = take(reader);
  return nodeFrom(reader, start, { kind: "name", role: "definition", sign: token?.text ?? "" });
}

/** A type up to what ends it, not taken apart. Records and classes go on to their `end`. */
function readType(reader: Reader): SyntaxNode {
  const start = reader.at;
  let depth = 0;
  let brackets = 0;
  while (peek(reader)) {
    const text = word(reader);
    if (text === "record" || text === "class" || text === "object") depth += 1;
    if (text === "(" || text === "[") brackets += 1;
    if (depth === 0 && brackets === 0 && [";", ")", "=", ":="].includes(text)) break;
    if (text === ")" || text === "]") brackets -= 1;
    if (depth === 0 && (text === "begin" || routines.has(text))) break;
    if (text === "end") {
      depth -= 1;
      if (depth < 0) break;
    }
    take(reader);
    // "class;" and "class of" have no end of their own.
    if (text === "class" && (word(reader) === ";" || word(reader) === "of")) depth -= 1;
  }
  const node = nodeFrom(reader, start, { kind: "type", role: "type" });
  return {
    ...node,
    sign: reader.tokens
      .slice(start, reader.at)
      .map((token) => token.text)
      .join(" "),
  };
}

/** One line of declarations behind `var`, `const` or `type`. */
function readDeclaration(reader: Reader): SyntaxNode {
  const start = reader.at;
  const names: SyntaxNode[] = [];
  do names.push(name(reader));
  while (takeIf(reader, ","));
  const children: Array<SyntaxNode | null> = [...names];
  if (takeIf(reader, ":")) children.push(readType(reader));
  if (takeIf(reader, "=", ":=")) {
    // A type behind "type", a value behind "const" and "var".
    const text = word(reader);
    if (["record", "array", "class", "set", "object", "packed", "procedure", "function", "^"].includes(text))
      children.push(readType(reader));
    else children.push(withRole(readExpression(reader, 1), "value"));
    while (peek(reader) && word(reader) !== ";" && word(reader) !== "begin" && !declarators.has(word(reader)))
      take(reader);
  }
  takeIf(reader, ";");
  return nodeFrom(reader, start, { kind: "declaration", children });
}

function readParameters(reader: Reader): SyntaxNode[] {
  const found: SyntaxNode[] = [];
  if (!takeIf(reader, "(")) return found;
  while (peek(reader) && word(reader) !== ")" && word(reader) !== "begin") {
    const before = reader.at;
    takeIf(reader, "var", "const", "out");
    const names: SyntaxNode[] = [];
    do names.push(name(reader));
    while (takeIf(reader, ","));
    const type = takeIf(reader, ":") ? readType(reader) : null;
    for (const each of names)
      found.push({ kind: "parameter", from: each.from, to: each.to, sign: each.sign ?? "", children: [] });
    if (type) found.push(type);
    takeIf(reader, ";");
    if (reader.at === before) break;
  }
  takeIf(reader, ")");
  return found;
}

function readRoutine(reader: Reader): SyntaxNode {
  const start = reader.at;
  takeIf(reader, "class");
  take(reader);
  const definition = name(reader);
  // The name of a class's method has two parts.
  while (takeIf(reader, "."))
    Object.assign(definition, { to: peek(reader)?.to ?? definition.to, sign: take(reader)?.text ?? "" });
  const parameters = readParameters(reader);
  const type = takeIf(reader, ":") ? readType(reader) : null;
  takeIf(reader, ";");
  while (takeIf(reader, "forward", "overload", "virtual", "override", "abstract", "inline", "static"))
    takeIf(reader, ";");
  const inner = readDeclarations(reader);
  const body = word(reader) === "begin" ? withRole(readBlock(reader), "body") : null;
  if (body) takeIf(reader, ";");
  return nodeFrom(reader, start, { kind: "function", children: [definition, ...parameters, type, ...inner, body] });
}

function readDeclarations(reader: Reader): SyntaxNode[] {
  const found: SyntaxNode[] = [];
  for (;;) {
    const text = word(reader);
    if (declarators.has(text)) {
      take(reader);
      while (peek(reader)?.kind === "name") found.push(readDeclaration(reader));
    } else if (routines.has(text)) {
      const routine = nested(reader, readRoutine);
      if (!routine) return found;
      found.push(routine);
    } else if (text === "uses" || text === "program" || text === "unit") {
      const start = reader.at;
      while (peek(reader) && word(reader) !== ";" && word(reader) !== "begin") take(reader);
      takeIf(reader, ";");
      found.push(nodeFrom(reader, start, { kind: "import" }));
    } else return found;
  }
}

/** Statements up to one of the words; that word is left. */
function readStatements(reader: Reader, ...until: string[]): SyntaxNode[] {
  const children: SyntaxNode[] = [];
  while (peek(reader) && !until.includes(word(reader))) {
    const before = reader.at;
    if (takeIf(reader, ";")) continue;
    const found = readStatement(reader);
    if (found) children.push(found);
    if (reader.at === before) take(reader);
  }
  return children;
}

function readBlock(reader: Reader): SyntaxNode {
  const start = reader.at;
  take(reader);
  const children = readStatements(reader, "end");
  takeIf(reader, "end");
  return nodeFrom(reader, start, { kind: "block", children });
}

/** A simple statement takes the sign that parts it from the next along. */
function ended(
  reader: Reader,
  start: number,
  node: Omit<SyntaxNode, "from" | "to" | "children"> & { children?: Array<SyntaxNode | null> },
): SyntaxNode {
  takeIf(reader, ";");
  return nodeFrom(reader, start, node);
}

function readCase(reader: Reader, start: number): SyntaxNode {
  take(reader);
  const condition = withRole(readExpression(reader), "condition");
  takeIf(reader, "of");
  const children: Array<SyntaxNode | null> = [condition];
  while (peek(reader) && word(reader) !== "end") {
    const at = reader.at;
    if (takeIf(reader, "else", "otherwise")) {
      children.push(nodeFrom(reader, at, { kind: "case", children: readStatements(reader, "end") }));
      break;
    }
    const values: Array<SyntaxNode | null> = [];
    do values.push(readExpression(reader, 2));
    while (takeIf(reader, ",", ".."));
    takeIf(reader, ":");
    values.push(readStatement(reader));
    children.push(nodeFrom(reader, at, { kind: "case", children: values }));
    takeIf(reader, ";");
    if (reader.at === at) take(reader);
  }
  takeIf(reader, "end");
  takeIf(reader, ";");
  return nodeFrom(reader, start, { kind: "switch", children });
}

function readStatement(reader: Reader): SyntaxNode | null {
  return nested(reader, readOneStatement);
}

function readOneStatement(reader: Reader): SyntaxNode | null {
  const start = reader.at;
  switch (word(reader)) {
    case "begin":
      return readBlock(reader);
    case "if": {
      take(reader);
      const condition = withRole(readExpression(reader), "condition");
      takeIf(reader, "then");
      const body = withRole(readStatement(reader), "body");
      const otherwise = takeIf(reader, "else") ? withRole(readStatement(reader), "otherwise") : null;
      return nodeFrom(reader, start, { kind: "if", children: [condition, body, otherwise] });
    }
    case "while": {
      take(reader);
      const condition = withRole(readExpression(reader), "condition");
      takeIf(reader, "do");
      return nodeFrom(reader, start, { kind: "while", children: [condition, withRole(readStatement(reader), "body")] });
    }
    case "repeat": {
      take(reader);
      const at = reader.at;
      const inside = readStatements(reader, "until");
      const body =
        inside.length > 0 ? withRole(nodeFrom(reader, at, { kind: "block", children: inside }), "body") : null;
      const condition = takeIf(reader, "until") ? withRole(readExpression(reader), "condition") : null;
      return ended(reader, start, { kind: "do", sign: "until", children: [body, condition] });
    }
    case "for": {
      take(reader);
      const first = readExpression(reader);
      if (takeIf(reader, "in")) {
        const source = withRole(readExpression(reader), "source");
        takeIf(reader, "do");
        const body = withRole(readStatement(reader), "body");
        return nodeFrom(reader, start, { kind: "foreach", children: [withRole(first, "target"), source, body] });
      }
      const sign = takeIf(reader, "to", "downto");
      const limit = withRole(readExpression(reader), "limit");
      takeIf(reader, "do");
      const body = withRole(readStatement(reader), "body");
      return nodeFrom(reader, start, {
        ...{ kind: "for", sign: sign?.text ?? "to" },
        children: [withRole(first, "start"), limit, body],
      });
    }
    case "case":
      return readCase(reader, start);
    case "with": {
      while (peek(reader) && word(reader) !== "do") take(reader);
      takeIf(reader, "do");
      return nodeFrom(reader, start, { kind: "try", children: [readStatement(reader)] });
    }
    case "try": {
      take(reader);
      const children = readStatements(reader, "except", "finally", "end");
      if (takeIf(reader, "except", "finally")) children.push(...readStatements(reader, "end"));
      takeIf(reader, "end");
      takeIf(reader, ";");
      return nodeFrom(reader, start, { kind: "try", children });
    }
    case "on": {
      while (peek(reader) && word(reader) !== "do") take(reader);
      takeIf(reader, "do");
      return readStatement(reader);
    }
    case "break":
    case "continue": {
      const first = take(reader);
      return ended(reader, start, { kind: "leave", sign: first?.text ?? "" });
    }
    case "exit": {
      take(reader);
      let value: SyntaxNode | null = null;
      if (takeIf(reader, "(")) {
        value = withRole(readExpression(reader), "value");
        takeIf(reader, ")");
      }
      return ended(reader, start, { kind: "return", children: [value] });
    }
    default: {
      const token = peek(reader);
      if (token?.kind === "keyword" && !["inherited", "raise", "not", "nil"].includes(word(reader))) return null;
      if (takeIf(reader, "inherited", "raise"))
        return ended(reader, start, { kind: "statement", children: [readExpression(reader)] });
      const value = readExpression(reader);
      if (!value) return null;
      return ended(reader, start, { kind: "statement", children: [value] });
    }
  }
}

/** Object Pascal, as far as students' programs go. */
export const pascalSyntax: SyntaxReader = (text) => {
  const tokens = placed(
    text,
    pascalTokens(text).filter((token) => token.kind !== "comment"),
  );
  const reader = readerOf(tokens, pascalExpressions);
  const children: SyntaxNode[] = [];
  while (peek(reader)) {
    const before = reader.at;
    children.push(...readDeclarations(reader));
    if (word(reader) === "begin") children.push(readBlock(reader));
    else if (peek(reader)) {
      const found = readStatement(reader);
      if (found) children.push(found);
    }
    takeIf(reader, ";", ".");
    if (reader.at === before) {
      const stray = take(reader);
      if (stray) children.push({ kind: "error", from: stray.from, to: stray.to, sign: stray.text, children: [] });
    }
  }
  return shallow({ kind: "program", from: 0, to: Math.max(text.length, endOf(reader, 0)), children });
};
