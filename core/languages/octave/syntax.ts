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
import { octaveTokens } from "./tokens.ts";

/** Operators of Octave by strength (GNU Octave manual, "Operator Precedence"). */
export const octaveExpressions: ExpressionRules = {
  binary: {
    ...{ "||": 3, "&&": 4, "|": 5, "&": 6, "<": 7, "<=": 7, "==": 7, "!=": 7, "~=": 7, ">": 7, ">=": 7, ":": 8 },
    ...{ "+": 9, "-": 9, "*": 10, "/": 10, "\\": 10, ".*": 10, "./": 10, ".\\": 10 },
    ...{ "^": 12, "**": 12, ".^": 12 },
  },
  prefix: { "-": 11, "+": 11, "!": 11, "~": 11, "++": 11, "--": 11, "@": 0 },
  steps: new Set(["++", "--"]),
  postfix: new Set(["'", ".'"]),
  assignments: new Set(["=", "+=", "-=", "*=", "/=", "^=", "|=", "&="]),
  constants: new Set(["true", "false", "end", ":"]),
  members: new Set(["."]),
  byLine: true,
  braceIndexes: true,
};

const ends: Readonly<Record<string, readonly string[]>> = {
  if: ["end", "endif", "elseif", "else"],
  while: ["end", "endwhile"],
  for: ["end", "endfor"],
  switch: ["end", "endswitch", "case", "otherwise"],
  function: ["end", "endfunction"],
  try: ["end", "end_try_catch", "catch"],
  do: ["until"],
};
const allEnds = new Set([...Object.values(ends).flat(), "end_unwind_protect"]);

function statementEnd(reader: Reader): void {
  takeIf(reader, ";", ",");
}

/** Statements up to a word that ends the block. */
function readBody(reader: Reader, from: number): SyntaxNode {
  const start = reader.at;
  const children: SyntaxNode[] = [];
  while (peek(reader) && !(peek(reader)?.kind === "keyword" && allEnds.has(word(reader)))) {
    const before = reader.at;
    const found = readStatement(reader);
    if (found) children.push(found);
    if (reader.at === before) take(reader);
  }
  if (children.length === 0) return { kind: "block", from: endOf(reader, from), to: endOf(reader, from), children };
  return nodeFrom(reader, start, { kind: "block", children });
}

function readIf(reader: Reader, start: number): SyntaxNode {
  take(reader);
  const condition = withRole(readExpression(reader), "condition");
  statementEnd(reader);
  const body = withRole(readBody(reader, endOf(reader, 0)), "body");
  let otherwise: SyntaxNode | null = null;
  if (word(reader) === "elseif") otherwise = withRole(readIf(reader, reader.at), "otherwise");
  else {
    if (takeIf(reader, "else")) otherwise = withRole(readBody(reader, endOf(reader, 0)), "otherwise");
    takeIf(reader, "end", "endif");
    statementEnd(reader);
  }
  return nodeFrom(reader, start, { kind: "if", children: [condition, body, otherwise] });
}

function readFunction(reader: Reader, start: number): SyntaxNode {
  take(reader);
  const from = reader.at;
  // function r = f(a), function [r, s] = f(a), function f(a)
  let name = take(reader);
  const results: SyntaxNode[] = [];
  const results_of = (first: number) => {
    for (const token of reader.tokens.slice(first, reader.at))
      if (token.kind === "name")
        results.push({
          kind: "parameter",
          from: token.from,
          to: token.to,
          sign: token.text,
          role: "target",
          children: [],
        });
  };
  if (name?.text === "[") {
    while (peek(reader) && word(reader) !== "]") take(reader);
    results_of(from + 1);
    take(reader);
    if (takeIf(reader, "=")) name = take(reader);
  } else if (word(reader) === "=") {
    results_of(from);
    take(reader);
    name = take(reader);
  }
  const definition: SyntaxNode = {
    ...{ kind: "name", role: "definition", from: name?.from ?? 0, to: name?.to ?? 0 },
    ...{ sign: name?.text ?? "", children: [] },
  };
  const parameters: SyntaxNode[] = [];
  if (takeIf(reader, "(")) {
    while (peek(reader) && word(reader) !== ")" && !(peek(reader)?.kind === "keyword")) {
      const token = take(reader);
      if (token?.kind === "name")
        parameters.push({ kind: "parameter", from: token.from, to: token.to, sign: token.text, children: [] });
    }
    takeIf(reader, ")");
  }
  const body = withRole(readBody(reader, endOf(reader, 0)), "body");
  takeIf(reader, "end", "endfunction");
  statementEnd(reader);
  return nodeFrom(reader, start, { kind: "function", children: [...results, definition, ...parameters, body] });
}

function readStatement(reader: Reader): SyntaxNode | null {
  return nested(reader, readOneStatement);
}

function readOneStatement(reader: Reader): SyntaxNode | null {
  const start = reader.at;
  switch (word(reader)) {
    case ";":
    case ",":
      take(reader);
      return null;
    case "if":
      return readIf(reader, start);
    case "while": {
      take(reader);
      const condition = withRole(readExpression(reader), "condition");
      statementEnd(reader);
      const body = withRole(readBody(reader, endOf(reader, 0)), "body");
      takeIf(reader, "end", "endwhile");
      statementEnd(reader);
      return nodeFrom(reader, start, { kind: "while", children: [condition, body] });
    }
    case "do": {
      take(reader);
      const body = withRole(readBody(reader, endOf(reader, 0)), "body");
      const condition = takeIf(reader, "until") ? withRole(readExpression(reader), "condition") : null;
      statementEnd(reader);
      return nodeFrom(reader, start, { kind: "do", sign: "until", children: [body, condition] });
    }
    case "for": {
      take(reader);
      const bracket = takeIf(reader, "(");
      const header = readExpression(reader);
      if (bracket) takeIf(reader, ")");
      statementEnd(reader);
      const [target, source] = header?.kind === "assignment" ? header.children : [undefined, header];
      const body = withRole(readBody(reader, endOf(reader, 0)), "body");
      takeIf(reader, "end", "endfor");
      statementEnd(reader);
      return nodeFrom(reader, start, {
        kind: "foreach",
        children: [withRole(target, "target"), withRole(source, "source"), body],
      });
    }
    case "switch": {
      take(reader);
      const condition = withRole(readExpression(reader), "condition");
      const children: Array<SyntaxNode | null> = [condition];
      while (takeIf(reader, ";", ","));
      while (word(reader) === "case" || word(reader) === "otherwise") {
        const at = reader.at;
        const value = take(reader)?.text === "case" ? readExpression(reader) : null;
        statementEnd(reader);
        children.push(nodeFrom(reader, at, { kind: "case", children: [value, readBody(reader, endOf(reader, 0))] }));
      }
      takeIf(reader, "end", "endswitch");
      statementEnd(reader);
      return nodeFrom(reader, start, { kind: "switch", children });
    }
    case "try": {
      take(reader);
      const children: SyntaxNode[] = [readBody(reader, endOf(reader, 0))];
      if (takeIf(reader, "catch")) {
        if (peek(reader)?.kind === "name" && !lineEnded(reader)) take(reader);
        children.push(readBody(reader, endOf(reader, 0)));
      }
      takeIf(reader, "end", "end_try_catch");
      return nodeFrom(reader, start, { kind: "try", children });
    }
    case "function":
      return readFunction(reader, start);
    case "return":
      take(reader);
      statementEnd(reader);
      return nodeFrom(reader, start, { kind: "return" });
    case "break":
    case "continue": {
      const first = take(reader);
      statementEnd(reader);
      return nodeFrom(reader, start, { kind: "leave", sign: first?.text ?? "" });
    }
    case "global":
    case "persistent": {
      take(reader);
      while (peek(reader) && !lineEnded(reader) && word(reader) !== ";") take(reader);
      statementEnd(reader);
      return nodeFrom(reader, start, { kind: "statement" });
    }
    default: {
      const value = readExpression(reader);
      if (!value) return null;
      // A command: words behind a name without brackets belong to it.
      while (peek(reader) && !lineEnded(reader) && ![";", ","].includes(word(reader)) && !allEnds.has(word(reader)))
        take(reader);
      statementEnd(reader);
      return nodeFrom(reader, start, { kind: "statement", children: [value] });
    }
  }
}

/** Octave, as far as students' programs go. */
export const octaveSyntax = programReader(octaveTokens, octaveExpressions, readStatement, [";", ","]);
