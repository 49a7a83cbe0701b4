import { isWord, parametersOf } from "../basic/lines.ts";
import type { Token } from "../token.ts";
import { routinesOf } from "./look.ts";
import { otherNames } from "./otherNames.ts";
import { macroTokens } from "./tokens.ts";

type Insertion = { line: number; offset: number; text: string };

/** A statement of a line: its tokens, and the token that it ends before, if that is on the line. */
type Statement = { tokens: Token[]; closedBy: Token | undefined };

const endOf = (token: Token): number => token.offset + token.text.length;
const modifiers = ["public", "private", "static", "global"];

/** Lines as the language counts them: what is carried on belongs to the line that it began on. */
function logicalLines(tokens: readonly Token[]): Token[][] {
  const lines: Token[][] = [];
  for (const token of tokens) {
    const last = lines.at(-1);
    const before = last?.at(-1);
    if (last && before && (token.line === before.endLine || token.carried)) last.push(token);
    else lines.push([token]);
  }
  return lines;
}

/** The statements of a line, parted by colons; Then and Else of an If on one line part them as well. */
function statementsOf(line: readonly Token[]): Statement[] {
  const found: Statement[] = [];
  let own: Token[] = [];
  let depth = 0;
  const close = (by: Token | undefined) => {
    if (own.length > 0) found.push({ tokens: own, closedBy: by });
    own = [];
  };
  for (const [index, token] of line.entries()) {
    if (token.kind === "bracket") depth += token.text === "(" ? 1 : -1;
    const parts = isWord(token, "else") || (isWord(token, "then") && line[index + 1] !== undefined);
    if (depth === 0 && token.text === ":") close(token);
    else if (parts) {
      close(token);
      if (isWord(token, "then") && isWord(own[0], "if", "elseif")) own = [];
    } else own.push(token);
  }
  close(undefined);
  return found;
}

const withoutModifiers = (tokens: readonly Token[]): readonly Token[] =>
  isWord(tokens[0], ...modifiers) && isWord(tokens[1], "sub", "function", "const", "dim") ? tokens.slice(1) : tokens;

/** Where the value of a statement is put, as it is written: a name, an array's name, or parts of a name; null where it is none. */
function targetOf(statement: readonly Token[]): { label: string; value: string } | null {
  const own = isWord(statement[0], "let", "set") ? statement.slice(1) : statement;
  const [first] = own;
  if (first?.kind !== "name" || otherNames.has(first.text.toLowerCase())) return null;
  let at = 1;
  if (own[at]?.text === "=") return { label: plain(first), value: first.text };
  if (own[at]?.text === "(") {
    let depth = 0;
    while (at < own.length) {
      if (own[at]?.kind === "bracket") depth += own[at]?.text === "(" ? 1 : -1;
      at += 1;
      if (depth === 0) break;
    }
    return own[at]?.text === "=" ? { label: plain(first), value: `${first.text}()` } : null;
  }
  while (own[at]?.text === "." && own[at + 1]?.kind === "name") at += 2;
  if (at === 1 || own[at]?.text !== "=") return null;
  const written = own
    .slice(0, at)
    .map((token) => token.text)
    .join("");
  return { label: written, value: written };
}

/** A name without the sign of its type. */
const plain = (token: Token): string => token.text.replace(/[%&!@$]$/, "");

/** Variables that a statement hands to routines of the module, which may change them. */
function handedTo(statement: readonly Token[], routines: ReadonlySet<string>): Array<{ label: string; value: string }> {
  const calls = statement.some((token) => token.kind === "name" && routines.has(plain(token).toLowerCase()));
  if (!calls) return [];
  const found = statement.flatMap((token, index) => {
    const [before, next] = [statement[index - 1], statement[index + 1]];
    const alone = next === undefined || next.text === "," || next.text === ")";
    const isGiven = before !== undefined && (before.text === "," || before.text === "(" || before.kind === "name");
    return token.kind === "name" && alone && isGiven && !routines.has(plain(token).toLowerCase())
      ? [{ label: plain(token), value: token.text }]
      : [];
  });
  return found.filter((each, index) => found.findIndex(({ label }) => label === each.label) === index);
}

/** Names of a whole module: what is declared outside of its routines. */
function moduleNames(lines: readonly (readonly Token[])[]): Set<string> {
  const names = new Set<string>();
  let inside = false;
  for (const line of lines) {
    const own = withoutModifiers(line);
    if (isWord(own[0], "sub", "function")) inside = true;
    else if (isWord(own[0], "end") && isWord(own[1], "sub", "function")) inside = false;
    else if (!inside && isWord(line[0], "dim", ...modifiers))
      for (const [index, token] of line.entries())
        if (token.kind === "name" && !isWord(line[index - 1], "as")) names.add(plain(token).toLowerCase());
  }
  return names;
}

/**
 * Puts calls of runners/macro/bent_nail_macro.py into a module, all within its lines, so that line numbers stay as they are. Without
 * `recording` they only keep the line that is about to run, since the office does not tell where it stopped; with it every executed
 * line, what it gave values to, conditions and calls are told. `file` is the module's number in the recording.
 */
export function instrumentMacro(text: string, file: number, recording: boolean): string {
  const tokens = macroTokens(text).filter((token) => token.kind !== "comment");
  const lines = logicalLines(tokens);
  const ofModule = moduleNames(lines);
  const routines = new Set(routinesOf(text).map(({ name }) => name.toLowerCase()));
  const insertions: Insertion[] = [];
  const before = (token: Token | undefined, inserted: string) => {
    if (token) insertions.push({ line: token.line, offset: token.offset, text: inserted });
  };
  const behind = (token: Token | undefined, inserted: string) => {
    if (token) insertions.push({ line: token.endLine, offset: endOf(token), text: inserted });
  };
  const put = ({ label, value }: { label: string; value: string }) => {
    const scope = ofModule.has(label.toLowerCase()) ? 0 : 1;
    return ` : BentNail.Put(${scope}, "${label}", ${value})`;
  };
  const step = (line: number) => (recording ? `BentNail.Step(BentNailFrame, ${line}) : ` : `BentNailLine = ${line} : `);
  const heads: Array<{ word: string; line: number }> = [];
  let routine: "sub" | "function" | null = null;
  let inType = false;

  for (const line of lines) {
    const own = withoutModifiers(line);
    const [first, second] = own;
    if (!first) continue;
    const number = first.line;
    if (isWord(first, "type")) inType = true;
    if (isWord(first, "end") && isWord(second, "type")) inType = false;
    if (isWord(first, "sub", "function") && !isWord(line[0], "declare")) {
      routine = isWord(first, "sub") ? "sub" : "function";
      const name = second?.text ?? "";
      const parameters = parametersOf(own).map((each) => `, "${each.replace(/[%&!@$]$/, "")}", ${each}`);
      behind(
        own.at(-1),
        recording
          ? ` : Dim BentNailFrame As Long : BentNailFrame = BentNail.Enter(${file}, ${number}, "${name}"${parameters.join("")})`
          : " : Dim BentNailBack As Long : BentNailBack = BentNailLine",
      );
      continue;
    }
    const leave = recording ? "BentNail.Leave(BentNailFrame) : " : "BentNailLine = BentNailBack : ";
    if (isWord(first, "end") && isWord(second, "sub", "function")) {
      before(first, leave);
      routine = null;
      continue;
    }
    if (routine === null || inType) continue;
    let marked = false;
    const mark = (token: Token | undefined) => {
      if (!marked) before(token, step(number));
      marked = true;
    };
    for (const statement of statementsOf(line)) {
      const [head, next] = statement.tokens;
      const last = statement.tokens.at(-1);
      if (!head) continue;
      if (isLabel(statement, line)) continue;
      if (isWord(head, "if", "elseif", "while") || (isWord(head, "do", "loop") && isWord(next, "while", "until"))) {
        const from = isWord(head, "do", "loop") ? 2 : 1;
        const condition = statement.tokens.slice(from).filter((token) => !isWord(token, "then"));
        if (isWord(head, "while", "do")) heads.push({ word: head.text.toLowerCase(), line: number });
        if (isWord(head, "loop")) heads.pop();
        if (recording) {
          before(condition[0], `BentNail.Test(BentNailFrame, ${number}, `);
          behind(condition.at(-1), ")");
          marked = true;
        } else if (isWord(head, "elseif")) {
          before(condition[0], `BentNailAt(${number}) And (`);
          behind(condition.at(-1), ")");
        } else mark(head);
        continue;
      }
      if (isWord(head, "for")) {
        heads.push({ word: "for", line: number });
        const counter = isWord(next, "each") ? statement.tokens[2] : next;
        if (recording) {
          behind(
            last,
            ` : BentNail.Step(BentNailFrame, ${number})${counter ? put({ label: plain(counter), value: counter.text }) : ""}`,
          );
          marked = true;
        } else mark(head);
        continue;
      }
      if (isWord(head, "next", "wend", "loop")) {
        const opened = heads.pop();
        // What goes wrong in the condition of the next pass goes wrong on its line.
        if (!recording && opened) before(head, `BentNailLine = ${opened.line} : `);
        continue;
      }
      if (isWord(head, "do")) {
        heads.push({ word: "do", line: number });
        continue;
      }
      if (
        isWord(head, "else", "endif", "case", "dim", "static", "const", "option", "redim") ||
        (isWord(head, "end") && next)
      ) {
        if (isWord(head, "redim")) mark(head);
        continue;
      }
      mark(head);
      if (isWord(head, "exit") && isWord(next, "sub", "function")) before(head, leave);
      if (!recording) continue;
      const target = targetOf(statement.tokens);
      const handed = handedTo(statement.tokens, routines).filter(({ label }) => label !== target?.label);
      for (const each of [...handed, ...(target ? [target] : [])]) behind(last, put(each));
    }
  }
  for (const token of tokens) if (isWord(token, "print")) rewritePrint(token, lines, insertions);
  return withInsertions(text, insertions);
}

/** True for a label: a name and its colon, alone at the beginning of a line. */
function isLabel(statement: Statement, line: readonly Token[]): boolean {
  const [head] = statement.tokens;
  return statement.tokens.length === 1 && statement.closedBy?.text === ":" && head === line[0] && head?.kind === "name";
}

/** Print shows a box, of which there is none without a screen: each of its values is handed on, with what stands behind it. */
function rewritePrint(print: Token, lines: readonly (readonly Token[])[], insertions: Insertion[]): void {
  const line = lines.find((each) => each.includes(print)) ?? [];
  const at = line.indexOf(print);
  const statement: Token[] = [];
  let depth = 0;
  for (const token of line.slice(at + 1)) {
    if (token.kind === "bracket") depth += token.text === "(" ? 1 : -1;
    if (depth === 0 && (token.text === ":" || isWord(token, "else"))) break;
    statement.push(token);
  }
  if (statement[0]?.text === "#") return;
  const items: Array<{ first: Token; last: Token; closedBy: Token | undefined }> = [];
  let own: Token[] = [];
  const close = (by: Token | undefined) => {
    const [first] = own;
    const last = own.at(-1);
    if (first && last) items.push({ first, last, closedBy: by });
    own = [];
  };
  depth = 0;
  for (const token of statement) {
    if (token.kind === "bracket") depth += token.text === "(" ? 1 : -1;
    if (depth === 0 && (token.text === ";" || token.text === ",")) close(token);
    else own.push(token);
  }
  close(undefined);
  const replace = (token: Token, by: string) => {
    insertions.push({ line: token.line, offset: token.offset, text: `\u0000${token.text.length}\u0000${by}` });
  };
  replace(print, items.length === 0 ? 'BentNailWrite(2, "")' : "");
  for (const [index, { first, last, closedBy }] of items.entries()) {
    const after = closedBy === undefined ? 2 : closedBy.text === "," ? 1 : 0;
    insertions.push({
      line: first.line,
      offset: first.offset,
      text: `${index === 0 ? "" : " : "}BentNailWrite(${after}, `,
    });
    insertions.push({ line: last.endLine, offset: endOf(last), text: ")" });
    if (closedBy) replace(closedBy, "");
  }
}

/** Puts texts into lines; one that begins with a count between two zero signs takes so many signs away. */
function withInsertions(text: string, insertions: readonly Insertion[]): string {
  const parts = text.split(/(\r\n|\r|\n)/);
  const order = insertions.map((each, index) => ({ ...each, index }));
  order.sort((one, other) => one.line - other.line || one.offset - other.offset || one.index - other.index);
  const byLine = new Map<number, typeof order>();
  for (const each of order) byLine.set(each.line, [...(byLine.get(each.line) ?? []), each]);
  for (const [line, own] of byLine) {
    const content = parts[(line - 1) * 2] ?? "";
    let made = "";
    let at = 0;
    for (const { offset, text: inserted } of own) {
      made += content.slice(at, Math.max(at, offset));
      at = Math.max(at, offset);
      const taken = /^\u0000(\d+)\u0000/.exec(inserted);
      made += taken ? inserted.slice(taken[0].length) : inserted;
      if (taken) at = offset + Number(taken[1]);
    }
    parts[(line - 1) * 2] = made + content.slice(at);
  }
  return parts.join("");
}
