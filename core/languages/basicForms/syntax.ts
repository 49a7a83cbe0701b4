import {
  type ExpressionRules,
  lineEnded,
  listUntil,
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
import { readBasicStatement } from "../basic/syntax.ts";
import { typedBasicTokens } from "./tokens.ts";

const conversions = new Set("cbool cbyte cchar cdate cdbl cdec cint clng cobj cshort csng cstr".split(" "));

/** A type as it stands behind New: its name, and what stands behind Of. */
function readNewType(reader: Reader): SyntaxNode {
  const start = reader.at;
  const token = take(reader);
  while (word(reader) === ".") {
    take(reader);
    take(reader);
  }
  if (word(reader) === "(" && word(reader, 1) === "of") while (peek(reader) && take(reader)?.text !== ")");
  return nodeFrom(reader, start, { kind: "type", role: "type", sign: token?.text ?? "" });
}

/** What begins a value in a way of its own. */
function readBeginning(reader: Reader): SyntaxNode | null {
  const start = reader.at;
  const first = word(reader);
  const [token, next] = [peek(reader), peek(reader, 1)];
  // A single sign: a text with a c directly behind it.
  if (token?.kind === "text" && next?.text.toLowerCase() === "c" && next.from === token.to) {
    take(reader);
    take(reader);
    return nodeFrom(reader, start, { kind: "text", sign: `${token.text}c` });
  }
  if (first === "." && peek(reader, 1)?.kind === "name") {
    // Inside of With a part begins with its dot.
    take(reader);
    return nodeFrom(reader, start, { kind: "field", sign: take(reader)?.text ?? "" });
  }
  if (first === "new") {
    take(reader);
    const type = readNewType(reader);
    const given = !lineEnded(reader) && takeIf(reader, "(") ? listUntil(reader, ")") : [];
    // What it is filled with stands in braces.
    if (!lineEnded(reader)) takeIf(reader, "from", "with");
    let depth = 0;
    while (peek(reader) && (depth > 0 || (word(reader) === "{" && !lineEnded(reader)))) {
      if (word(reader) === "{") depth += 1;
      if (word(reader) === "}") depth -= 1;
      take(reader);
    }
    return nodeFrom(reader, start, {
      kind: "call",
      children: [type, ...given.map((each) => withRole(each, "argument"))],
    });
  }
  if (conversions.has(first) || first === "if" || first === "ctype" || first === "directcast" || first === "trycast") {
    const token = take(reader);
    const callee: SyntaxNode = nodeFrom(reader, start, { kind: "name", role: "callee", sign: token?.text ?? "" });
    const given = takeIf(reader, "(") ? listUntil(reader, ")") : [];
    return nodeFrom(reader, start, {
      kind: "call",
      children: [callee, ...given.map((each) => withRole(each, "argument"))],
    });
  }
  if (
    first === "me" ||
    first === "mybase" ||
    first === "integer" ||
    first === "double" ||
    first === "string" ||
    first === "decimal" ||
    first === "char" ||
    first === "date" ||
    first === "boolean" ||
    first === "long" ||
    first === "single"
  ) {
    const token = take(reader);
    return nodeFrom(reader, start, { kind: "name", sign: token?.text ?? "" });
  }
  if (first === "addressof" || first === "typeof") {
    take(reader);
    const inner = readExpression(reader, 12);
    if (first === "typeof" && takeIf(reader, "is", "isnot")) take(reader);
    return nodeFrom(reader, start, { kind: "other", children: [inner] });
  }
  return null;
}

/** Operators of typed Basic by strength (language reference, "Operator precedence"). */
export const typedBasicExpressions: ExpressionRules = {
  binary: {
    ...{ xor: 0.25, or: 0.5, orelse: 0.5, and: 1, andalso: 1 },
    ...{ "=": 3, "<>": 3, "<": 3, "<=": 3, ">": 3, ">=": 3, like: 3, is: 3, isnot: 3 },
    ...{ "<<": 4, ">>": 4, "&": 5, "+": 6, "-": 6, mod: 7, "\\": 8, "*": 9, "/": 9, "^": 11 },
  },
  prefix: { "-": 10, "+": 10, not: 2 },
  assignments: new Set(),
  constants: new Set(["true", "false", "nothing"]),
  members: new Set(["."]),
  anyCase: true,
  byLine: true,
  begins: readBeginning,
};

/** Programs in typed Basic. */
export const typedBasicSyntax = programReader(typedBasicTokens, typedBasicExpressions, readBasicStatement, [":"]);
