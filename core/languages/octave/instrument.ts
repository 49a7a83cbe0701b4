import { lineTexts } from "../../source/lines.ts";
import type { Token } from "../token.ts";
import { octave } from "./octave.ts";
import { octaveTokens } from "./tokens.ts";

const opens: ReadonlySet<string> = new Set([
  "if",
  "while",
  "for",
  "switch",
  "try",
  "unwind_protect",
  "do",
  "parfor",
  "function",
]);
const closes: ReadonlySet<string> = new Set([
  ...[
    "end",
    "endif",
    "endwhile",
    "endfor",
    "endparfor",
    "endfunction",
    "endswitch",
    "end_try_catch",
    "end_unwind_protect",
    "until",
  ],
]);
/** Words that no statement begins with: they belong to the block around them. */
const parts: ReadonlySet<string> = new Set([
  ...closes,
  "else",
  "elseif",
  "case",
  "otherwise",
  "catch",
  "unwind_protect_cleanup",
]);
/** Words that only begin a block: what is done there begins with the statement behind. */
const begins: ReadonlySet<string> = new Set(["do", "try", "unwind_protect"]);
const tested: ReadonlySet<string> = new Set(["while", "until", "if", "elseif"]);

type Insertion = { line: number; offset: number; text: string; order: number };

const quote = (name: string) => `"${name}"`;
const list = (names: readonly string[]) =>
  `{${names
    .filter((name) => name !== "~")
    .map(quote)
    .join(",")}}`;

/**
 * Puts calls of the recorder (runners/octave/__bent_nail__.m) into a text of Octave, all within its lines, so that line
 * numbers stay as they are: before the first statement of every line, around conditions, at the beginning of every pass
 * of a for loop, at the entry of functions and before they end. `file` is the file's number in the recording;
 * `isScript` false for a file that holds functions only.
 */
export function instrumentOctave(text: string, file: number, isScript: boolean): string {
  const tokens = octaveTokens(text).filter((token) => token.kind !== "comment");
  const lines = lineTexts(text);
  const byLine = new Map<number, Token[]>();
  for (const token of tokens) byLine.set(token.line, [...(byLine.get(token.line) ?? []), token]);
  const namesOf = (line: number) => octave.assignedNames(byLine.get(line) ?? []);
  const insertions: Insertion[] = [];
  let order = 0;
  const insert = (line: number, offset: number, inserted: string) =>
    insertions.push({ line, offset, text: inserted, order: order++ });
  const blocks: string[] = [];
  let depth = 0;
  let lastLine = 0;
  let inFunction = false;

  const startsStatement = (at: number): boolean => {
    const before = tokens[at - 1];
    const token = tokens[at];
    if (!before || !token) return true;
    if (token.line > before.endLine) return !continued(before, token);
    return (
      before.text === ";" ||
      before.text === "," ||
      ["else", "try", "do", "otherwise", "unwind_protect", "unwind_protect_cleanup"].includes(before.text)
    );
  };
  const continued = (before: Token, token: Token): boolean => {
    for (let line = before.endLine; line < token.line; line++) {
      const from = line === before.endLine ? endOffset(before) : 0;
      if (/\.\.\./.test((lines[line - 1] ?? "").slice(from))) return true;
    }
    return false;
  };

  for (let at = 0; at < tokens.length; at++) {
    const token = tokens[at];
    if (!token) continue;
    const starts = depth === 0 && startsStatement(at);
    if (token.kind === "bracket") depth = Math.max(0, depth + ("([{".includes(token.text) ? 1 : -1));
    if (!starts) continue;
    const word = token.kind === "keyword" ? token.text : "";
    if (word === "function") {
      // A function whose text is not closed by a word of its own ends where the next one begins.
      if (inFunction && blocks.length === 1) blocks.pop();
      const end = endOfHeader(tokens, at);
      const header = tokens.slice(at, end + 1);
      const name = functionName(header);
      const parameters = parametersOf(header, name);
      const last = tokens[end];
      if (last)
        insert(
          last.endLine,
          endOffset(last),
          `; __bent_nail__(3,${file},${token.line},${list(parameters)},${quote(name)});`,
        );
      inFunction = true;
      blocks.push(word);
      at = end;
      lastLine = token.line;
      continue;
    }
    if (closes.has(word)) {
      const opened = blocks.pop();
      if (opened === "function") {
        insert(token.line, token.offset, "__bent_nail__(4); ");
        inFunction = blocks.includes("function");
      }
    }
    if (opens.has(word)) blocks.push(word);
    if (tested.has(word)) {
      const [from, to] = conditionRange(tokens, at, continued);
      const first = tokens[from];
      const last = tokens[to];
      if (first && last && from <= to) {
        insert(first.line, first.offset, `__bent_nail__(1,${file},${token.line},${list(namesOf(token.line))},`);
        insert(last.endLine, endOffset(last), ")");
      }
      lastLine = token.line;
      at = Math.max(at, to);
      continue;
    }
    if (word === "for" || word === "parfor") {
      const [, to] = conditionRange(tokens, at, continued);
      const last = tokens[to];
      const counter = tokens.slice(at, to).find((each) => each.kind === "name")?.text ?? "";
      const others = namesOf(token.line).filter((name) => name !== counter);
      if (last)
        insert(
          last.endLine,
          endOffset(last),
          `; __bent_nail__(2,${file},${token.line},${list([counter, ...others])});`,
        );
      lastLine = token.line;
      at = Math.max(at, to);
      continue;
    }
    if (!parts.has(word) && !begins.has(word) && token.line !== lastLine) {
      lastLine = token.line;
      insert(token.line, token.offset, `__bent_nail__(0,${file},${token.line},${list(namesOf(token.line))}); `);
    }
    // The call is over once the line with the word has its row.
    if (word === "return") insert(token.line, token.offset, "__bent_nail__(4); ");
  }
  const changed = [...lines];
  for (const { line, offset, text: inserted } of insertions.sort(
    (one, other) => other.line - one.line || other.offset - one.offset || other.order - one.order,
  )) {
    const content = changed[line - 1] ?? "";
    changed[line - 1] = content.slice(0, offset) + inserted + content.slice(offset);
  }
  // The last line's own values are seen when the program ends.
  return `${changed.join("\n")}${isScript && !inFunction ? "\n__bent_nail__(4);\n" : "\n"}`;
}

function endOffset(token: Token): number {
  const lastLineEnd = Math.max(token.text.lastIndexOf("\n"), token.text.lastIndexOf("\r"));
  return lastLineEnd < 0 ? token.offset + token.text.length : token.text.length - lastLineEnd - 1;
}

/** The last token of a function's header: its closing bracket, or its name. */
function endOfHeader(tokens: readonly Token[], at: number): number {
  const line = tokens[at]?.line ?? 0;
  let depth = 0;
  let end = at;
  for (let next = at + 1; next < tokens.length; next++) {
    const token = tokens[next];
    if (!token || (token.line > line && depth === 0)) break;
    if (token.kind === "bracket") depth += "([{".includes(token.text) ? 1 : -1;
    if (depth === 0 && (token.text === ";" || token.text === ",")) break;
    end = next;
    if (depth === 0 && token.text === ")") break;
  }
  return end;
}

function functionName(header: readonly Token[]): string {
  const equals = header.findIndex((token) => token.text === "=");
  return header.slice(equals + 1).find((token) => token.kind === "name")?.text ?? "";
}

function parametersOf(header: readonly Token[], name: string): string[] {
  const at = header.findIndex((token) => token.text === name);
  const open = header.findIndex((token, index) => index > at && token.text === "(");
  if (open < 0) return [];
  return header
    .slice(open + 1)
    .filter((token, index, all) => token.kind === "name" && (index === 0 || all[index - 1]?.text === ","))
    .map((token) => token.text);
}

/**
 * The tokens (first and last place) of what stands after while, if, until or for: in its brackets, or up to the line's
 * end or a sign that ends it.
 */
function conditionRange(
  tokens: readonly Token[],
  at: number,
  continued: (before: Token, token: Token) => boolean,
): [number, number] {
  const first = at + 1;
  let depth = 0;
  let last = at;
  for (let next = first; next < tokens.length; next++) {
    const token = tokens[next];
    const before = tokens[next - 1];
    if (!token || !before) break;
    if (depth === 0 && next > first && token.line > before.endLine && !continued(before, token)) break;
    if (depth === 0 && (token.text === ";" || token.text === ",")) break;
    // A value right behind a value begins the first statement: "if n == 0 n = 5; end".
    if (depth === 0 && next > first && endsValue(before) && beginsValue(token)) break;
    if (token.kind === "bracket") depth += "([{".includes(token.text) ? 1 : -1;
    last = next;
    // "(...)" is the whole condition unless an operator goes on.
    const after = tokens[next + 1];
    if (
      depth === 0 &&
      token.text === ")" &&
      tokens[first]?.text === "(" &&
      after &&
      after.line === token.endLine &&
      matches(tokens, first, next)
    ) {
      if (after.kind !== "operator" || ["~", "!", "++", "--", "@"].includes(after.text)) break;
    }
  }
  return [first, last];
}

function endsValue(token: Token): boolean {
  return (
    ["name", "number", "text"].includes(token.kind) ||
    [")", "]", "}", "'", ".'", "++", "--"].includes(token.text) ||
    token.text === "end"
  );
}

/** True for what cannot go on with the value before it: a round bracket would be its index. */
function beginsValue(token: Token): boolean {
  return ["name", "number", "text", "keyword"].includes(token.kind) || token.text === "[";
}

/** True if the bracket at `open` is closed at `close` and not before. */
function matches(tokens: readonly Token[], open: number, close: number): boolean {
  let depth = 0;
  for (let at = open; at <= close; at++) {
    const token = tokens[at];
    if (token?.kind === "bracket") depth += "([{".includes(token.text) ? 1 : -1;
    if (depth === 0) return at === close;
  }
  return false;
}
