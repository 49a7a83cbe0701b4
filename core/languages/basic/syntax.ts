import {
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
import type { SyntaxNode } from "../../syntax/tree.ts";

/** How strongly the left side of an assignment binds: above its sign. */
const leftSide = 4;

const modifiers: ReadonlySet<string> = new Set(
  "public private static global friend protected shared overridable overrides mustoverride overloads shadows readonly writeonly withevents partial mustinherit notinheritable default".split(
    " ",
  ),
);

/** Words of typed Basic that part a block. */
const partWords: ReadonlySet<string> = new Set(["catch", "finally"]);

/** True at a word that the Basic at hand reserves. */
const isTyped = (reader: Reader): boolean => peek(reader)?.kind === "keyword";

/** True where the statement is over: at a colon, a new line, or Else on the same line. */
const ended = (reader: Reader): boolean =>
  !peek(reader) || lineEnded(reader) || word(reader) === ":" || word(reader) === "else";

/** Two words, the first one being next. */
const pairIs = (reader: Reader, first: string, second: string) => word(reader) === first && word(reader, 1) === second;

/** True at a word that closes a block. */
function closes(reader: Reader): boolean {
  const text = word(reader);
  if (text === "end")
    return /^(?:if|sub|function|select|with|type|enum|property|while|try|using|module|class|structure|get|set|namespace)$/.test(
      word(reader, 1),
    );
  return (
    ["else", "elseif", "endif", "case", "next", "wend", "loop"].includes(text) ||
    (isTyped(reader) && partWords.has(text))
  );
}

function takePair(reader: Reader, first: string, second: string): boolean {
  if (!pairIs(reader, first, second)) return false;
  take(reader);
  take(reader);
  return true;
}

function name(reader: Reader, role: "definition" | "callee" | "target"): SyntaxNode {
  const start = reader.at;
  const token = take(reader);
  return nodeFrom(reader, start, { kind: "name", role, sign: token?.text ?? "" });
}

/** Statements up to a word that closes a block. */
function readBody(reader: Reader): SyntaxNode {
  const start = reader.at;
  const from = endOf(reader, reader.tokens.at(-1)?.to ?? 0);
  const children: SyntaxNode[] = [];
  while (peek(reader) && !closes(reader)) {
    const before = reader.at;
    const found = readBasicStatement(reader);
    if (found) children.push(found);
    if (reader.at === before) take(reader);
  }
  if (children.length === 0) return { kind: "block", from, to: from, children };
  return nodeFrom(reader, start, { kind: "block", children });
}

/** The statements of an If that stands on one line, up to Else. */
function readOnLine(reader: Reader): SyntaxNode | null {
  const start = reader.at;
  const children: SyntaxNode[] = [];
  while (peek(reader) && !lineEnded(reader) && word(reader) !== "else") {
    const before = reader.at;
    const found = readBasicStatement(reader);
    if (found) children.push(found);
    if (reader.at === before) take(reader);
  }
  if (children.length === 1) return children[0] ?? null;
  return children.length === 0 ? null : nodeFrom(reader, start, { kind: "block", children });
}

function readIf(reader: Reader, start: number): SyntaxNode {
  take(reader);
  const condition = withRole(readExpression(reader), "condition");
  const then = takeIf(reader, "then");
  if (then && peek(reader) && !lineEnded(reader)) {
    const body = withRole(readOnLine(reader), "body");
    const otherwise = !lineEnded(reader) && takeIf(reader, "else") ? withRole(readOnLine(reader), "otherwise") : null;
    return nodeFrom(reader, start, { kind: "if", children: [condition, body, otherwise] });
  }
  const body = withRole(readBody(reader), "body");
  let otherwise: SyntaxNode | null = null;
  if (word(reader) === "elseif") otherwise = withRole(readIf(reader, reader.at), "otherwise");
  else {
    if (takeIf(reader, "else")) otherwise = withRole(readBody(reader), "otherwise");
    if (!takePair(reader, "end", "if")) takeIf(reader, "endif");
  }
  return nodeFrom(reader, start, { kind: "if", children: [condition, body, otherwise] });
}

function readFor(reader: Reader, start: number): SyntaxNode {
  take(reader);
  const closeFor = () => {
    if (takeIf(reader, "next") && peek(reader)?.kind === "name" && !lineEnded(reader)) take(reader);
  };
  if (takeIf(reader, "each")) {
    const target = name(reader, "target");
    takeIf(reader, "in");
    const source = withRole(readExpression(reader), "source");
    const body = withRole(readBody(reader), "body");
    closeFor();
    return nodeFrom(reader, start, { kind: "foreach", children: [target, source, body] });
  }
  const begun = reader.at;
  const counter = name(reader, "target");
  const sign = takeIf(reader, "=")?.text ?? "";
  const first = withRole(readExpression(reader), "value");
  const given = nodeFrom(reader, begun, { kind: "assignment", role: "start", sign, children: [counter, first] });
  const limit = takeIf(reader, "to") ? withRole(readExpression(reader), "limit") : null;
  const step = takeIf(reader, "step") ? withRole(readExpression(reader), "step") : null;
  const body = withRole(readBody(reader), "body");
  closeFor();
  return nodeFrom(reader, start, { kind: "for", children: [given, limit, step, body] });
}

function readDo(reader: Reader, start: number): SyntaxNode {
  take(reader);
  const head = takeIf(reader, "while", "until")?.text.toLowerCase();
  if (head) {
    const condition = withRole(readExpression(reader), "condition");
    const body = withRole(readBody(reader), "body");
    takeIf(reader, "loop");
    const sign = head === "until" ? { sign: head } : {};
    return nodeFrom(reader, start, { kind: "while", ...sign, children: [condition, body] });
  }
  const body = withRole(readBody(reader), "body");
  takeIf(reader, "loop");
  const tail = lineEnded(reader) ? undefined : takeIf(reader, "while", "until")?.text.toLowerCase();
  const condition = tail ? withRole(readExpression(reader), "condition") : null;
  const sign = tail === "until" ? { sign: tail } : {};
  return nodeFrom(reader, start, { kind: "do", ...sign, children: [body, condition] });
}

function readSelect(reader: Reader, start: number): SyntaxNode {
  take(reader);
  takeIf(reader, "case");
  const children: Array<SyntaxNode | null> = [withRole(readExpression(reader), "condition")];
  while (takeIf(reader, ":"));
  while (word(reader) === "case") {
    const at = reader.at;
    take(reader);
    const values: Array<SyntaxNode | null> = [];
    if (!takeIf(reader, "else"))
      do {
        if (takeIf(reader, "is")) takeIf(reader, "<", "<=", ">", ">=", "=", "<>");
        values.push(readExpression(reader));
      } while (!lineEnded(reader) && takeIf(reader, ",", "to"));
    takeIf(reader, ":");
    children.push(nodeFrom(reader, at, { kind: "case", children: [...values, readBody(reader)] }));
  }
  takePair(reader, "end", "select");
  return nodeFrom(reader, start, { kind: "switch", children });
}

/** A type behind As. */
function readType(reader: Reader): SyntaxNode | null {
  if (!takeIf(reader, "as")) return null;
  takeIf(reader, "new");
  const start = reader.at;
  const token = take(reader);
  while (word(reader) === "." && !lineEnded(reader)) {
    take(reader);
    take(reader);
  }
  // What stands behind Of, the ranks of an array, and what a new object is handed.
  let depth = 0;
  while (peek(reader) && !lineEnded(reader) && (depth > 0 || word(reader) === "(")) {
    const text = word(reader);
    if (text === "(") depth += 1;
    if (text === ")") depth -= 1;
    take(reader);
  }
  return nodeFrom(reader, start, { kind: "type", role: "type", sign: token?.text ?? "" });
}

function readRoutine(reader: Reader, start: number): SyntaxNode {
  take(reader);
  const definition = name(reader, "definition");
  const parameters: Array<SyntaxNode | null> = [];
  if (!lineEnded(reader) && takeIf(reader, "(")) {
    while (peek(reader) && word(reader) !== ")" && !lineEnded(reader)) {
      const before = reader.at;
      while (takeIf(reader, "byref", "byval", "optional", "paramarray", "in"));
      const token = peek(reader);
      if (token?.kind === "name") {
        take(reader);
        parameters.push({ kind: "parameter", from: token.from, to: token.to, sign: token.text, children: [] });
      }
      if (takeIf(reader, "(")) takeIf(reader, ")");
      parameters.push(readType(reader));
      if (takeIf(reader, "=")) parameters.push(readExpression(reader));
      takeIf(reader, ",");
      if (reader.at === before) take(reader);
    }
    takeIf(reader, ")");
  }
  const type = lineEnded(reader) ? null : readType(reader);
  // What a routine of a form answers to.
  while (peek(reader) && !lineEnded(reader)) take(reader);
  const body = withRole(readBody(reader), "body");
  if (!takePair(reader, "end", "sub")) takePair(reader, "end", "function");
  return nodeFrom(reader, start, { kind: "function", children: [definition, ...parameters, type, body] });
}

/** Names of a Dim line with their bounds and types. */
function readDeclaration(reader: Reader, start: number): SyntaxNode {
  while (modifiers.has(word(reader)) || word(reader) === "dim" || word(reader) === "redim") take(reader);
  takeIf(reader, "preserve");
  const children: Array<SyntaxNode | null> = [];
  do {
    if (peek(reader)?.kind !== "name" || lineEnded(reader)) break;
    children.push(name(reader, "definition"));
    if (word(reader) === "(" && !lineEnded(reader)) {
      take(reader);
      reader.depth += 1;
      while (peek(reader) && word(reader) !== ")") {
        const before = reader.at;
        const bound = readExpression(reader);
        if (bound) children.push({ ...bound, role: "argument" });
        takeIf(reader, ",", "to");
        if (reader.at === before) break;
      }
      reader.depth -= 1;
      takeIf(reader, ")");
    }
    if (!lineEnded(reader)) children.push(readType(reader));
    if (!ended(reader) && takeIf(reader, "=")) children.push(withRole(readExpression(reader), "value"));
  } while (!lineEnded(reader) && takeIf(reader, ","));
  return nodeFrom(reader, start, { kind: "declaration", children });
}

/** Values parted by commas or semicolons up to the statement's end. */
function readValues(reader: Reader): SyntaxNode[] {
  const found: SyntaxNode[] = [];
  while (!ended(reader)) {
    const before = reader.at;
    const value = withRole(readExpression(reader), "argument");
    if (value) found.push(value);
    takeIf(reader, ",", ";");
    if (reader.at === before) break;
  }
  return found;
}

/** What is passed over whole: statements that no edit touches. */
function readOther(reader: Reader, start: number): SyntaxNode {
  take(reader);
  while (!ended(reader)) take(reader);
  return nodeFrom(reader, start, { kind: "other" });
}

const givingSigns: ReadonlySet<string> = new Set(["=", "+=", "-=", "*=", "/=", "\\=", "^=", "&="]);
const declaringWords: ReadonlySet<string> = new Set([
  "sub",
  "function",
  "const",
  "type",
  "property",
  "class",
  "module",
  "structure",
  "enum",
]);

/** What begins with a name or a dot: an assignment or a call. */
function readNamed(reader: Reader, start: number): SyntaxNode | null {
  const left = readExpression(reader, leftSide);
  if (!left) return null;
  if (!ended(reader) && givingSigns.has(word(reader))) {
    const sign = take(reader)?.text ?? "=";
    const value = ended(reader) ? null : withRole(readExpression(reader), "value");
    const given = nodeFrom(reader, start, { kind: "assignment", sign, children: [withRole(left, "target"), value] });
    return nodeFrom(reader, start, { kind: "statement", children: [given] });
  }
  // A label.
  if (left.kind === "name" && word(reader) === ":" && !lineEnded(reader) && isFirstOnLine(reader, start)) {
    take(reader);
    return nodeFrom(reader, start, { kind: "other" });
  }
  const given = readValues(reader);
  if (left.kind === "call" && given.length === 0)
    return nodeFrom(reader, start, { kind: "statement", children: [left] });
  const call = nodeFrom(reader, start, { kind: "call", children: [{ ...left, role: "callee" }, ...given] });
  return nodeFrom(reader, start, { kind: "statement", children: [call] });
}

function isFirstOnLine(reader: Reader, at: number): boolean {
  const before = reader.tokens[at - 1];
  const own = reader.tokens[at];
  const behind = reader.tokens[at + 2];
  return (before?.endLine ?? 0) < (own?.line ?? 0) && (behind?.line ?? Number.POSITIVE_INFINITY) > (own?.line ?? 0);
}

/** Statements between a container's line and its end. */
function readContainer(reader: Reader, start: number, word_: string): SyntaxNode {
  take(reader);
  const definition = peek(reader)?.kind === "name" ? name(reader, "definition") : null;
  while (peek(reader) && !lineEnded(reader)) take(reader);
  const body = withRole(readBody(reader), "body");
  takePair(reader, "end", word_);
  return nodeFrom(reader, start, { kind: "other", children: [definition, body] });
}

/** A block that other words part: what stands between them is read as statements. */
function readParted(reader: Reader, start: number): SyntaxNode {
  take(reader);
  const children: Array<SyntaxNode | null> = [withRole(readBody(reader), "body")];
  while (partWords.has(word(reader))) {
    take(reader);
    while (peek(reader) && !lineEnded(reader)) take(reader);
    children.push(readBody(reader));
  }
  takePair(reader, "end", "try");
  return nodeFrom(reader, start, { kind: "other", children });
}

/** What only typed Basic has; undefined where the statement is one of any Basic. */
function readTyped(reader: Reader, start: number): SyntaxNode | null | undefined {
  const first = word(reader);
  switch (first) {
    case "module":
    case "class":
    case "structure":
    case "namespace":
      return readContainer(reader, start, first);
    case "enum": {
      while (peek(reader) && !pairIs(reader, "end", "enum")) take(reader);
      takePair(reader, "end", "enum");
      return nodeFrom(reader, start, { kind: "other" });
    }
    case "property": {
      take(reader);
      const definition = peek(reader)?.kind === "name" ? name(reader, "definition") : null;
      while (peek(reader) && !lineEnded(reader)) take(reader);
      if (word(reader) !== "get" && word(reader) !== "set")
        return nodeFrom(reader, start, { kind: "other", children: [definition] });
      const body = withRole(readBody(reader), "body");
      takePair(reader, "end", "property");
      return nodeFrom(reader, start, { kind: "other", children: [definition, body] });
    }
    case "get":
    case "set":
      return readContainer(reader, start, first);
    case "try":
      return readParted(reader, start);
    case "using": {
      take(reader);
      while (peek(reader) && !lineEnded(reader)) take(reader);
      const body = withRole(readBody(reader), "body");
      takePair(reader, "end", "using");
      return nodeFrom(reader, start, { kind: "other", children: [body] });
    }
    case "return": {
      take(reader);
      const value = ended(reader) ? null : withRole(readExpression(reader), "value");
      return nodeFrom(reader, start, { kind: "return", children: [value] });
    }
    case "throw": {
      take(reader);
      const value = ended(reader) ? null : readExpression(reader);
      return nodeFrom(reader, start, { kind: "return", children: [value] });
    }
    case "continue": {
      take(reader);
      if (!ended(reader)) take(reader);
      return nodeFrom(reader, start, { kind: "leave", sign: "continue" });
    }
    case "imports":
    case "inherits":
    case "implements":
    case "addhandler":
    case "removehandler":
    case "erase":
      return readOther(reader, start);
    case "me":
    case "mybase":
    case "ctype":
    case "directcast":
      return readNamed(reader, start);
    default:
      return undefined;
  }
}

/** A statement of any Basic; what only typed Basic has begins with a word that only it reserves. */
export function readBasicStatement(reader: Reader): SyntaxNode | null {
  return nested(reader, readOneStatement);
}

function readOneStatement(reader: Reader): SyntaxNode | null {
  const start = reader.at;
  if (takeIf(reader, ":")) return null;
  let ahead = 0;
  while (modifiers.has(word(reader, ahead))) ahead += 1;
  if (ahead > 0 && declaringWords.has(word(reader, ahead))) for (; ahead > 0; ahead--) take(reader);
  const typed = isTyped(reader) ? readTyped(reader, start) : undefined;
  if (typed !== undefined) return typed;
  switch (word(reader)) {
    case "if":
      return readIf(reader, start);
    case "for":
      return readFor(reader, start);
    case "while": {
      take(reader);
      const condition = withRole(readExpression(reader), "condition");
      const body = withRole(readBody(reader), "body");
      if (!takePair(reader, "end", "while")) takeIf(reader, "wend");
      return nodeFrom(reader, start, { kind: "while", children: [condition, body] });
    }
    case "do":
      return readDo(reader, start);
    case "select":
      return readSelect(reader, start);
    case "with": {
      take(reader);
      const source = withRole(readExpression(reader), "source");
      const body = withRole(readBody(reader), "body");
      takePair(reader, "end", "with");
      return nodeFrom(reader, start, { kind: "other", children: [source, body] });
    }
    case "sub":
    case "function":
      return readRoutine(reader, start);
    case "type": {
      while (peek(reader) && !pairIs(reader, "end", "type")) take(reader);
      takePair(reader, "end", "type");
      return nodeFrom(reader, start, { kind: "other" });
    }
    case "dim":
    case "redim":
    case "static":
    case "public":
    case "private":
    case "global":
    case "friend":
    case "protected":
    case "shared":
    case "readonly":
    case "withevents":
      return readDeclaration(reader, start);
    case "const": {
      take(reader);
      const definition = name(reader, "definition");
      const type = readType(reader);
      takeIf(reader, "=");
      const value = withRole(readExpression(reader), "value");
      return nodeFrom(reader, start, { kind: "declaration", children: [definition, type, value] });
    }
    case "print": {
      const callee = name(reader, "callee");
      const call = nodeFrom(reader, start, { kind: "call", children: [callee, ...readValues(reader)] });
      return nodeFrom(reader, start, { kind: "statement", children: [call] });
    }
    case "set":
    case "let":
      take(reader);
      return readNamed(reader, start);
    case "call": {
      take(reader);
      const inner = reader.at;
      const value = readExpression(reader, leftSide);
      const call =
        value?.kind === "name"
          ? nodeFrom(reader, inner, { kind: "call", children: [{ ...value, role: "callee" }] })
          : value;
      return nodeFrom(reader, start, { kind: "statement", children: [call] });
    }
    case "exit": {
      take(reader);
      const what = take(reader)?.text.toLowerCase() ?? "";
      if (what === "for" || what === "do" || what === "while")
        return nodeFrom(reader, start, { kind: "leave", sign: `exit ${what}` });
      return nodeFrom(reader, start, { kind: "return" });
    }
    case "end":
    case "stop":
      if (closes(reader)) return null;
      take(reader);
      return nodeFrom(reader, start, { kind: "return" });
    case "on":
    case "goto":
    case "gosub":
    case "resume":
    case "option":
    case "declare":
    case "open":
    case "close":
    case "line":
    case "error":
      return readOther(reader, start);
    default:
      return peek(reader)?.kind === "name" || word(reader) === "." ? readNamed(reader, start) : null;
  }
}
