import { close, closes, type Open, readLines } from "./blocks.ts";
import { readExpression, readMade, readTypeName } from "./expressions.ts";
import {
  ended,
  expect,
  herePlace,
  lineEnded,
  Misread,
  note,
  peek,
  type Reader,
  refuse,
  skipLine,
  take,
  takeIf,
  takeName,
  word,
} from "./reader.ts";
import type { Branch, CaseTest, Declarator, Expression, Place, Statement } from "./tree.ts";

/** What stands on a statement's left side binds more strongly than its sign. */
const leftSide = 5;
const givingSigns = new Set(["=", "+=", "-=", "*=", "/=", "\\=", "^=", "&="]);

/** Statements up to what closes or parts their block. */
export function readBody(open: Open, parts: readonly string[] = []): Statement[] {
  const body: Statement[] = [];
  readLines(open, parts, () => {
    const found = readStatement(open);
    if (found) body.push(found);
  });
  return body;
}

const lastLine = (reader: Reader): number => reader.tokens[reader.at - 1]?.endLine ?? 1;

/** A name that is declared, with its bounds, type and first value. */
export function readDeclarators(reader: Reader, after: string): Declarator[] {
  const found: Declarator[] = [];
  do {
    const group: Declarator[] = [readDeclared(reader, after)];
    // Dim a, b As Integer: the type is that of all names before it.
    while (word(reader) === "," && !ended(reader) && group.every((each) => each.type === null && each.value === null)) {
      take(reader);
      group.push(readDeclared(reader, ","));
    }
    const typed = group.at(-1);
    if (typed?.type && group.length > 1) for (const each of group) each.type ??= typed.isNew ? null : typed.type;
    found.push(...group);
  } while (takeIf(reader, ","));
  return found;
}

function readDeclared(reader: Reader, after: string): Declarator {
  const token = peek(reader);
  const { name, place } = takeName(reader, after);
  const sign = /[%&!@#$]$/.exec(token?.text ?? "")?.[0];
  let bounds: Expression[] | null = null;
  const ranks: number[] = [];
  while (word(reader) === "(" && !ended(reader)) {
    take(reader);
    if (/^[,)]$/.test(word(reader))) {
      let rank = 1;
      while (takeIf(reader, ",")) rank += 1;
      ranks.push(rank);
    } else {
      if (bounds) refuse(reader, "BC30638", "Only the first brackets of an array say its bounds.");
      bounds = [];
      do {
        const bound = readExpression(reader);
        // The first position may be said, as long as it is 0.
        bounds.push(takeIf(reader, "to") ? readExpression(reader) : bound);
      } while (takeIf(reader, ","));
    }
    expect(reader, ")", "BC30198", "The bracket of an array is not closed: ) is expected.");
  }
  const declared: Declarator = { name, place, type: null, bounds, ranks, isNew: false, value: null };
  if (takeIf(reader, "as")) {
    if (takeIf(reader, "new")) {
      declared.isNew = true;
      const made = readMade(reader, herePlace(reader));
      declared.value = made;
      if (made.kind === "new") declared.type = made.type;
    } else declared.type = readTypeName(reader);
  } else if (sign) declared.type = { name: signTypes[sign] ?? "Object", of: [], ranks: [], optional: false, place };
  if (!declared.isNew && takeIf(reader, "=")) declared.value = readExpression(reader);
  return declared;
}

const signTypes: Readonly<Record<string, string>> = {
  ...{ "%": "Integer", "&": "Long", "!": "Single", "#": "Double", $: "String", "@": "Decimal" },
};

/** The statements of an If that stands on one line, up to Else. */
function readOnLine(open: Open): Statement[] {
  const { reader } = open;
  const body: Statement[] = [];
  while (peek(reader) && !lineEnded(reader) && word(reader) !== "else") {
    if (takeIf(reader, ":")) continue;
    const found = readStatement(open);
    if (found) body.push(found);
    if (peek(reader) && !lineEnded(reader) && word(reader) !== ":" && word(reader) !== "else")
      refuse(reader, "BC30205", `The statement is over before “${peek(reader)?.text}”.`);
  }
  return body;
}

function readIf(open: Open, place: Place): Statement {
  const { reader } = open;
  take(reader);
  const branches: Branch[] = [];
  const condition = readCondition(reader, "If");
  const then = takeIf(reader, "then");
  if (then && !lineEnded(reader) && word(reader) !== ":") {
    branches.push({ line: place.line, condition, body: readOnLine(open) });
    if (takeIf(reader, "else")) branches.push({ line: place.line, condition: null, body: readOnLine(open) });
    return { kind: "if", branches, endLine: lastLine(reader), onLine: true, place, lastLine: lastLine(reader) };
  }
  if (!then && !lineEnded(reader)) {
    note(reader, herePlace(reader), "BC30205", `Then is expected before “${peek(reader)?.text}”.`);
    skipLine(reader);
  }
  const header = lastLine(reader);
  open.blocks.push({ block: "if", place });
  let current: Branch = { line: place.line, condition, body: [] };
  branches.push(current);
  let over = false;
  for (;;) {
    current.body.push(...readBody(open, ["else", "elseif"]));
    const next = word(reader);
    if (next !== "else" && next !== "elseif") break;
    const at = herePlace(reader);
    take(reader);
    if (over) note(reader, at, "BC30086", "A second Else of the same If stands here.");
    if (next === "else" && word(reader) !== "if") {
      over = true;
      current = { line: at.line, condition: null, body: [] };
    } else {
      if (next === "else") take(reader);
      let asked: Expression | null = null;
      try {
        asked = readCondition(reader, "ElseIf");
        takeIf(reader, "then");
      } catch (problem) {
        if (!(problem instanceof Misread)) throw problem;
        skipLine(reader);
      }
      current = { line: at.line, condition: asked, body: [] };
    }
    branches.push(current);
  }
  const endLine = close(open, "if", place);
  return { kind: "if", branches, endLine, onLine: false, place, lastLine: header };
}

function readCondition(reader: Reader, after: string): Expression {
  if (ended(reader) || word(reader) === "then") refuse(reader, "BC30201", `A condition is expected behind ${after}.`);
  return readExpression(reader);
}

function readSelect(open: Open, place: Place): Statement {
  const { reader } = open;
  take(reader);
  takeIf(reader, "case");
  const value = readExpression(reader);
  open.blocks.push({ block: "select", place });
  const header = lastLine(reader);
  const cases: Array<{ line: number; tests: CaseTest[] | null; body: Statement[] }> = [];
  const before = readBody(open, ["case"]);
  if (before[0]) note(reader, before[0].place, "BC30058", "Between Select Case and the first Case nothing can stand.");
  while (word(reader) === "case") {
    const { line } = herePlace(reader);
    take(reader);
    let tests: CaseTest[] | null = [];
    try {
      if (takeIf(reader, "else")) tests = null;
      else
        do tests.push(readTest(reader));
        while (takeIf(reader, ","));
    } catch (problem) {
      if (!(problem instanceof Misread)) throw problem;
      skipLine(reader);
    }
    cases.push({ line, tests, body: readBody(open, ["case"]) });
  }
  const endLine = close(open, "select", place);
  return { kind: "select", value, cases, endLine, place, lastLine: header };
}

function readTest(reader: Reader): CaseTest {
  const is = takeIf(reader, "is");
  const sign = takeIf(reader, "<", "<=", ">", ">=", "=", "<>");
  if (is && !sign) refuse(reader, "BC30239", "A comparison is expected behind Is.");
  if (sign) return { kind: "comparison", sign: sign.text, value: readExpression(reader) };
  const value = readExpression(reader);
  return takeIf(reader, "to") ? { kind: "range", from: value, to: readExpression(reader) } : { kind: "value", value };
}

function readFor(open: Open, place: Place): Statement {
  const { reader } = open;
  take(reader);
  const each = takeIf(reader, "each") !== null;
  const named = takeName(reader, each ? "Each" : "For");
  let counter: Expression = { kind: "name", ...named };
  while (word(reader) === "." && !lineEnded(reader)) {
    take(reader);
    counter = { kind: "member", owner: counter, name: takeName(reader, ".").name, place: named.place };
  }
  const type = takeIf(reader, "as") ? readTypeName(reader) : null;
  if (each) {
    expect(reader, "in", "BC36607", "In is expected between the name and what is gone through.");
    const source = readExpression(reader);
    const header = lastLine(reader);
    open.blocks.push({ block: "for", place });
    const body = readBody(open);
    const endLine = closeFor(open, place, named.name);
    return { kind: "each", counter, type, source, body, endLine, place, lastLine: header };
  }
  expect(reader, "=", "BC30249", "= is expected behind the counter of a For.");
  const from = readExpression(reader);
  expect(reader, "to", "BC30205", "To and the last value of the counter are expected here.");
  const to = readExpression(reader);
  const step = takeIf(reader, "step") ? readExpression(reader) : null;
  const header = lastLine(reader);
  open.blocks.push({ block: "for", place });
  const body = readBody(open);
  const endLine = closeFor(open, place, named.name);
  return { kind: "for", counter, type, from, to, step, body, endLine, place, lastLine: header };
}

function closeFor(open: Open, place: Place, counter: string): number {
  const { reader } = open;
  const closed = closes(reader) === "for";
  const line = close(open, "for", place);
  if (!closed || lineEnded(reader) || peek(reader)?.kind !== "name") return line;
  const named = takeName(reader, "Next");
  if (named.name.toLowerCase() !== counter.toLowerCase())
    note(reader, named.place, "BC30070", `Next names “${named.name}”, but the innermost For counts “${counter}”.`);
  return line;
}

function readLoop(open: Open, place: Place, kind: "do" | "while"): Statement {
  const { reader } = open;
  take(reader);
  const asked = kind === "while" ? null : takeIf(reader, "while", "until");
  const head =
    kind === "while" || asked
      ? { until: asked?.text.toLowerCase() === "until", condition: readCondition(reader, asked?.text ?? "While") }
      : null;
  const header = lastLine(reader);
  open.blocks.push({ block: kind, place });
  const body = readBody(open);
  const closed = closes(reader) === kind;
  const endLine = close(open, kind, place);
  let tail: { until: boolean; condition: Expression } | null = null;
  if (closed && kind === "do" && !lineEnded(reader)) {
    const at = herePlace(reader);
    const word = takeIf(reader, "while", "until");
    if (word) {
      tail = { until: word.text.toLowerCase() === "until", condition: readCondition(reader, word.text) };
      if (head) note(reader, at, "BC30238", "A Do has its condition at its beginning or at its end, not at both.");
    }
  }
  return { kind: "loop", word: kind, head, tail, body, endLine, place, lastLine: header };
}

function readTry(open: Open, place: Place): Statement {
  const { reader } = open;
  take(reader);
  open.blocks.push({ block: "try", place });
  const parts = ["catch", "finally"];
  const body = readBody(open, parts);
  const catches: Array<Extract<Statement, { kind: "try" }>["catches"][number]> = [];
  let last: { line: number; body: Statement[] } | null = null;
  while (parts.includes(word(reader))) {
    const { line } = herePlace(reader);
    if (takeIf(reader, "finally")) {
      last = { line, body: readBody(open, parts) };
      continue;
    }
    take(reader);
    const named = peek(reader)?.kind === "name" && !lineEnded(reader) ? takeName(reader, "Catch").name : null;
    const type = takeIf(reader, "as") ? readTypeName(reader) : null;
    const when = takeIf(reader, "when") ? readExpression(reader) : null;
    catches.push({ line, name: named, type, when, body: readBody(open, parts) });
  }
  const endLine = close(open, "try", place);
  if (catches.length === 0 && !last)
    note(reader, place, "BC30030", "Try needs a Catch or a Finally before its End Try.");
  return { kind: "try", body, catches, finally: last, endLine, place, lastLine: place.line };
}

/** What begins with a value: a call, or something that is given a value. */
function readGivingOrCall(reader: Reader, place: Place): Statement {
  const left = readExpression(reader, leftSide);
  const sign = word(reader);
  if (!ended(reader) && givingSigns.has(sign)) {
    take(reader);
    const value = readExpression(reader);
    return { kind: "assign", target: left, sign, value, place, lastLine: lastLine(reader) };
  }
  if (!ended(reader) && (left.kind === "name" || left.kind === "member") && peek(reader) && word(reader) !== "else") {
    // Values without brackets behind a routine's name, as older Basics allow.
    refuse(
      reader,
      sign === ")" ? "BC30035" : "BC30800",
      sign === ")"
        ? "A closing bracket stands here that nothing opens."
        : "What is handed to a routine stands in brackets.",
    );
  }
  if (left.kind !== "apply" && left.kind !== "name" && left.kind !== "member" && left.kind !== "new")
    refuse(reader, "BC30035", "A value by itself is no statement.", place);
  return { kind: "call", call: left, place, lastLine: lastLine(reader) };
}

export function readStatement(open: Open): Statement | null {
  const { reader } = open;
  reader.begin = reader.at;
  const place = herePlace(reader);
  const first = word(reader);
  const done = (): { place: Place; lastLine: number } => ({ place, lastLine: lastLine(reader) });
  switch (first) {
    case "if":
      return readIf(open, place);
    case "select":
      return readSelect(open, place);
    case "for":
      return readFor(open, place);
    case "do":
      return readLoop(open, place, "do");
    case "while":
      return readLoop(open, place, "while");
    case "try":
      return readTry(open, place);
    case "dim":
    case "const":
    case "static": {
      take(reader);
      const declared = readDeclarators(reader, first);
      if (first === "const")
        for (const each of declared)
          if (!each.value) note(reader, each.place, "BC30438", `The constant “${each.name}” needs a value.`);
      return { kind: "declare", word: first, declared, ...done() };
    }
    case "with": {
      take(reader);
      const value = readExpression(reader);
      const header = lastLine(reader);
      open.blocks.push({ block: "with", place });
      const body = readBody(open);
      return { kind: "with", value, body, endLine: close(open, "with", place), place, lastLine: header };
    }
    case "using": {
      take(reader);
      const declared = readDeclared(reader, "Using");
      const header = lastLine(reader);
      open.blocks.push({ block: "using", place });
      const body = readBody(open);
      return { kind: "using", declared, body, endLine: close(open, "using", place), place, lastLine: header };
    }
    case "redim": {
      take(reader);
      const preserve = takeIf(reader, "preserve") !== null;
      const targets: Array<{ target: Expression; bounds: Expression[] }> = [];
      do {
        const read = readExpression(reader);
        if (read.kind !== "apply") refuse(reader, "BC30670", "ReDim needs the new bounds in brackets.");
        else targets.push({ target: read.of, bounds: read.given.flatMap(({ value }) => (value ? [value] : [])) });
      } while (takeIf(reader, ","));
      return { kind: "redim", preserve, targets, ...done() };
    }
    case "exit":
    case "continue": {
      take(reader);
      const what = word(reader);
      const known = first === "exit" ? /^(?:for|do|while|sub|function|select|try|property)$/ : /^(?:for|do|while)$/;
      if (ended(reader) || !known.test(what))
        refuse(
          reader,
          first === "exit" ? "BC30240" : "BC30781",
          `What is left or gone on with is expected behind ${first}.`,
        );
      take(reader);
      return { kind: first, what, ...done() };
    }
    case "return": {
      take(reader);
      const value = ended(reader) || word(reader) === "else" ? null : readExpression(reader);
      return { kind: "return", value, ...done() };
    }
    case "throw": {
      take(reader);
      const value = ended(reader) ? null : readExpression(reader);
      return { kind: "throw", value, ...done() };
    }
    case "call": {
      take(reader);
      return { kind: "call", call: readExpression(reader, leftSide), ...done() };
    }
    case "addhandler":
    case "removehandler": {
      take(reader);
      const event = readExpression(reader);
      expect(reader, ",", "BC30196", "A comma is expected between the event and AddressOf.");
      const handler = readExpression(reader);
      return { kind: "listen", add: first === "addhandler", event, handler, ...done() };
    }
    case "end":
    case "stop":
      take(reader);
      return { kind: "end", ...done() };
    case "else":
    case "elseif":
      return refuse(reader, "BC30086", "Else stands here without the If that it belongs to.");
    case "case":
      return refuse(reader, "BC30072", "Case stands here outside of a Select Case.");
    case "catch":
    case "finally":
      return refuse(
        reader,
        first === "catch" ? "BC30380" : "BC30382",
        `${peek(reader)?.text} stands here without the Try that it belongs to.`,
      );
    case "on":
    case "goto":
    case "gosub":
    case "resume":
    case "erase":
    case "synclock":
      return refuse(reader, "BN30001", `“${peek(reader)?.text}” is known, but our engine does not run it.`);
    case "set":
    case "let":
      return refuse(reader, "BC30807", "Let and Set are no longer written before what is given a value.");
    case "public":
    case "private":
    case "friend":
    case "protected":
    case "shared":
      return refuse(
        reader,
        "BC30247",
        `“${peek(reader)?.text}” cannot stand before a name that is declared inside of a routine.`,
      );
    case "sub":
    case "function":
    case "module":
    case "class":
    case "structure":
    case "enum":
    case "imports":
    case "option":
    case "property":
    case "namespace":
      return refuse(
        reader,
        "BC30289",
        `${peek(reader)?.text} cannot stand inside of a routine: the end of the one before may be missing.`,
      );
  }
  const token = peek(reader);
  if (token?.kind === "name" && word(reader, 1) === ":" && isLabel(reader)) {
    take(reader);
    take(reader);
    return { kind: "nothing", ...done() };
  }
  if (
    token?.kind === "name" ||
    first === "me" ||
    first === "mybase" ||
    first === "." ||
    first === "new" ||
    isTypeWord(reader)
  )
    return readGivingOrCall(reader, place);
  if (token?.kind === "other" || token?.kind === "operator")
    return refuse(
      reader,
      /^[?!@#$]/.test(token.text) || token.kind === "other" ? "BC30037" : "BC30035",
      `“${token.text}” begins no statement.`,
    );
  return refuse(reader, "BC30035", `No statement begins with “${token?.text}”.`);
}

const isTypeWord = (reader: Reader): boolean =>
  word(reader, 1) === "." || /^(?:ctype|directcast|trycast)$/.test(word(reader));

/** True for a name with a colon that stands first on its line, with nothing behind. */
function isLabel(reader: Reader): boolean {
  const [before, own, behind] = [reader.tokens[reader.at - 1], peek(reader), peek(reader, 2)];
  return (before?.endLine ?? 0) < (own?.line ?? 0) && (behind?.line ?? Number.POSITIVE_INFINITY) > (own?.line ?? 0);
}
