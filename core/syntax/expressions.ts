import { ownOf } from "../source/ownOf.ts";
import type { PlacedToken } from "./placed.ts";
import { deepest } from "./shallow.ts";
import type { SyntaxNode } from "./tree.ts";

/** How a language writes expressions, for languages that no published grammar of ours covers. */
export type ExpressionRules = {
  /** Operators between two values: how strongly they bind (more is stronger), and whether they group from the right. */
  binary: Readonly<Record<string, number>>;
  fromRight?: ReadonlySet<string>;
  /** Operators before a value, with how strongly they bind what follows. */
  prefix: Readonly<Record<string, number>>;
  /** Operators behind a value that are a step of a variable (`++`), and those that make another value of it (`'`, `^`). */
  steps?: ReadonlySet<string>;
  postfix?: ReadonlySet<string>;
  assignments: ReadonlySet<string>;
  /** Words that are values by themselves. */
  constants: ReadonlySet<string>;
  /** Signs before the name of a part. */
  members: ReadonlySet<string>;
  /** True if letter case does not count in words. */
  anyCase?: boolean;
  /** True if a statement ends with its line. */
  byLine?: boolean;
  /** True if blanks part the values of a list, and braces pick a part of a value. */
  braceIndexes?: boolean;
  /** Operators of two words, by the first one. */
  pairs?: Readonly<Record<string, string>>;
  /** The two words of a choice that stands behind the value that it gives (`a if b else c`). */
  choice?: readonly [string, string];
  /** What begins a value in a way of its own (`new`, a cast); null where it does not. */
  begins?: (reader: Reader) => SyntaxNode | null;
};

/** Goes through the tokens of a program. `at` is the next one. */
export type Reader = {
  tokens: readonly PlacedToken[];
  at: number;
  rules: ExpressionRules;
  /** How deep in brackets it is; there a line's end ends nothing. */
  depth: number;
  /** How many statements and expressions lie around the next token. */
  nested: number;
};

/** A reader before the first token. `depth` is 1 where only an expression is read, in which a line's end ends nothing. */
export function readerOf(tokens: readonly PlacedToken[], rules: ExpressionRules, depth = 0): Reader {
  return { tokens, at: 0, rules, depth, nested: 0 };
}

/** What `read` finds within what is being read; null, and nothing is taken, where it would lie too deep. */
export function nested(reader: Reader, read: (reader: Reader) => SyntaxNode | null): SyntaxNode | null {
  if (reader.nested >= deepest) return null;
  reader.nested += 1;
  const found = read(reader);
  reader.nested -= 1;
  return found;
}

export function peek(reader: Reader, ahead = 0): PlacedToken | undefined {
  return reader.tokens[reader.at + ahead];
}

/** The next token's text as the language compares it; "" at the end. */
export function word(reader: Reader, ahead = 0): string {
  const token = peek(reader, ahead);
  if (!token || token.kind === "text") return "";
  return reader.rules.anyCase ? token.text.toLowerCase() : token.text;
}

export function take(reader: Reader): PlacedToken | undefined {
  const token = reader.tokens[reader.at];
  reader.at += 1;
  return token;
}

/** Takes the next token if it is this one. */
export function takeIf(reader: Reader, ...texts: string[]): PlacedToken | undefined {
  return texts.includes(word(reader)) ? take(reader) : undefined;
}

/** Where what was read last ends. */
export function endOf(reader: Reader, otherwise: number): number {
  return reader.tokens[reader.at - 1]?.to ?? otherwise;
}

/** A node from the token at index `start` up to what was read last. */
export function nodeFrom(
  reader: Reader,
  start: number,
  node: Omit<SyntaxNode, "from" | "to" | "children"> & { children?: Array<SyntaxNode | null | undefined> },
): SyntaxNode {
  const from = reader.tokens[start]?.from ?? reader.tokens.at(-1)?.to ?? 0;
  const children = (node.children ?? []).filter((child): child is SyntaxNode => child !== null && child !== undefined);
  // A piece of no token at all stands before the next one, which may lie behind what was read last.
  return { ...node, from, to: Math.max(from, endOf(reader, from), ...children.map((child) => child.to)), children };
}

export function withRole(
  node: SyntaxNode | null | undefined,
  role: NonNullable<SyntaxNode["role"]>,
): SyntaxNode | null {
  return node ? { ...node, role } : null;
}

/** True where the next token stands on a later line than the last one, and lines end statements. */
export function lineEnded(reader: Reader): boolean {
  if (!reader.rules.byLine || reader.depth > 0) return false;
  const before = reader.tokens[reader.at - 1];
  const next = peek(reader);
  return before !== undefined && next !== undefined && next.line > before.endLine && !next.carried;
}

/** Values between brackets, the opening one taken already; takes the closing one if it is there. */
export function listUntil(reader: Reader, close: string): SyntaxNode[] {
  const found: SyntaxNode[] = [];
  reader.depth += 1;
  while (peek(reader) && word(reader) !== close) {
    if (!reader.rules.braceIndexes && (word(reader) === ";" || word(reader) === "}" || word(reader) === "{")) break;
    const before = reader.at;
    const value = readExpression(reader);
    if (value) found.push(value);
    if (takeIf(reader, ",", ";", ":")) continue;
    if (word(reader) === close || (reader.rules.braceIndexes && reader.at > before && close !== ")")) continue;
    if (reader.at === before) take(reader);
    else if (!value) break;
  }
  reader.depth -= 1;
  takeIf(reader, close);
  return found;
}

/** A value that stands for itself, with what follows it directly: calls, indexes, parts, steps. */
function readPrimary(reader: Reader): SyntaxNode | null {
  const start = reader.at;
  const token = peek(reader);
  if (!token) return null;
  const { rules } = reader;
  let node = rules.begins?.(reader) ?? null;
  if (!node) {
    const text = word(reader);
    if (token.kind === "number") {
      take(reader);
      node = nodeFrom(reader, start, { kind: "number", sign: token.text });
    } else if (token.kind === "text") {
      take(reader);
      node = nodeFrom(reader, start, { kind: "text", sign: token.text });
    } else if (rules.constants.has(text)) {
      take(reader);
      node = nodeFrom(reader, start, { kind: "constant", sign: token.text });
    } else if (token.kind === "name") {
      take(reader);
      node = nodeFrom(reader, start, { kind: "name", sign: token.text });
    } else if (text === "(") {
      take(reader);
      node = nodeFrom(reader, start, { kind: "group", children: listUntil(reader, ")") });
      node.to = endOf(reader, node.to);
    } else if (text === "[" || text === "{") {
      take(reader);
      const inside = listUntil(reader, text === "[" ? "]" : "}");
      const sign = hasColon(reader, start) ? `${text}:` : text;
      node = nodeFrom(reader, start, { kind: "list", sign, children: inside });
    } else return null;
  }
  for (;;) {
    if (lineEnded(reader)) return node;
    const text = word(reader);
    if (text === "(" || text === "[" || (text === "{" && rules.braceIndexes)) {
      if (rules.braceIndexes && (text === "[" || (reader.depth > 0 && blankBefore(reader)))) return node;
      const opened = reader.at;
      take(reader);
      const close = text === "(" ? ")" : text === "[" ? "]" : "}";
      const given = listUntil(reader, close).map((each) => ({ ...each, role: "argument" as const }));
      const whole: SyntaxNode =
        text === "("
          ? nodeFrom(reader, start, { kind: "call", children: [{ ...node, role: "callee" }, ...given] })
          : nodeFrom(reader, start, {
              kind: "index",
              ...(hasColon(reader, opened) ? { sign: ":" } : {}),
              children: [{ ...node, role: "object" }, ...given],
            });
      node = whole;
    } else if (rules.members.has(text) && peek(reader, 1) !== undefined) {
      take(reader);
      const name = take(reader);
      node = nodeFrom(reader, start, {
        kind: "field",
        sign: name?.text ?? "",
        children: [{ ...node, role: "object" }],
      });
    } else if (rules.steps?.has(text)) {
      take(reader);
      node = nodeFrom(reader, start, { kind: "assignment", sign: text, children: [{ ...node, role: "target" }] });
    } else if (rules.postfix?.has(text) && !(text === "'" && blankBefore(reader))) {
      take(reader);
      node = nodeFrom(reader, start, { kind: "unary", sign: text, children: [{ ...node, role: "operand" }] });
    } else return node;
  }
}

/** True if what was read since the token at index `start` has a colon in it. */
function hasColon(reader: Reader, start: number): boolean {
  return reader.tokens.slice(start, reader.at).some((token) => token.text === ":");
}

function blankBefore(reader: Reader): boolean {
  const before = reader.tokens[reader.at - 1];
  const next = peek(reader);
  return before !== undefined && next !== undefined && next.from > before.to;
}

/** An expression by the strength of its operators (precedence climbing); null where none begins, or too deep in others. */
export function readExpression(reader: Reader, least = 0): SyntaxNode | null {
  return nested(reader, () => readOperations(reader, least));
}

function readOperations(reader: Reader, least: number): SyntaxNode | null {
  const { rules } = reader;
  const start = reader.at;
  const prefix = ownOf(rules.prefix, word(reader));
  let left: SyntaxNode | null;
  if (prefix !== undefined && peek(reader)) {
    const sign = take(reader)?.text ?? "";
    // Behind an operator it takes no more than that operator's other side would.
    const operand = readExpression(reader, Math.max(prefix, least));
    if (rules.steps?.has(sign))
      left = nodeFrom(reader, start, { kind: "assignment", sign, children: [withRole(operand, "target")] });
    else left = nodeFrom(reader, start, { kind: "unary", sign, children: [withRole(operand, "operand")] });
  } else left = readPrimary(reader);
  while (left && !lineEnded(reader)) {
    const pair = rules.pairs && ownOf(rules.pairs, word(reader));
    const isPair = pair !== undefined && word(reader, 1) === pair;
    const sign = isPair ? `${word(reader)} ${pair}` : word(reader);
    const strength = ownOf(rules.binary, sign);
    if (rules.assignments.has(sign) && least === 0) {
      const written = take(reader)?.text ?? sign;
      const value = readExpression(reader);
      left = nodeFrom(reader, start, {
        ...{ kind: "assignment", sign: written },
        children: [{ ...left, role: "target" }, withRole(value, "value")],
      });
      continue;
    }
    if (sign === "?" && least <= 1) {
      take(reader);
      const value = readExpression(reader);
      takeIf(reader, ":");
      const otherwise = readExpression(reader, 1);
      left = nodeFrom(reader, start, {
        kind: "choice",
        children: [{ ...left, role: "condition" }, withRole(value, "value"), withRole(otherwise, "otherwise")],
      });
      continue;
    }
    if (sign === rules.choice?.[0] && least <= 1) {
      take(reader);
      const condition = readExpression(reader, 2);
      takeIf(reader, rules.choice[1]);
      const otherwise = readExpression(reader, 1);
      left = nodeFrom(reader, start, {
        kind: "choice",
        children: [{ ...left, role: "value" }, withRole(condition, "condition"), withRole(otherwise, "otherwise")],
      });
      continue;
    }
    if (strength === undefined || strength < least) break;
    const written = isPair ? sign : (peek(reader)?.text ?? sign);
    reader.at += isPair ? 2 : 1;
    const right = readExpression(reader, rules.fromRight?.has(sign) ? strength : strength + 1);
    left = nodeFrom(reader, start, {
      ...{ kind: "binary", sign: written },
      children: [{ ...left, role: "left" }, withRole(right, "right")],
    });
  }
  return left;
}
