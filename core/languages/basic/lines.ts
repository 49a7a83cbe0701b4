import type { LoopCondition } from "../language.ts";
import { tokensByLine } from "../lexical.ts";
import { conditionOf } from "../statements.ts";
import type { Token } from "../token.ts";

/** True for a token that is one of some words, in any letter case. */
export const isWord = (token: Token | undefined, ...words: string[]): boolean =>
  token !== undefined && words.includes(token.text.toLowerCase());

const givingSigns: ReadonlySet<string> = new Set(["=", "+=", "-=", "*=", "/=", "&="]);

/** Where the statements of a line begin: behind colons, and behind Then and Else. */
function statementsOf(line: readonly Token[]): Token[][] {
  const found: Token[][] = [[]];
  for (const token of line) {
    if (token.text === ":" || isWord(token, "then", "else")) found.push([]);
    else found.at(-1)?.push(token);
  }
  return found.filter((statement) => statement.length > 0);
}

/** The name that a statement gives a value, past positions; null for a part of an object. */
function givenBy(statement: readonly Token[]): string | null {
  const start = isWord(statement[0], "let", "set", "const", "public", "private") ? 1 : 0;
  const first = statement[start];
  if (first?.kind !== "name") return null;
  let depth = 0;
  for (const token of statement.slice(start + 1)) {
    if (token.kind === "bracket") depth += token.text === "(" ? 1 : -1;
    else if (depth === 0) return token.kind === "operator" && givingSigns.has(token.text) ? first.text : null;
  }
  return null;
}

/** Names that get a value on a line: left of =, as a loop's counter, as parameters, or declared. */
export function assignedNames(line: readonly Token[]): string[] {
  const names: string[] = [];
  const routine = line.findIndex((token) => isWord(token, "sub", "function", "property"));
  if (routine >= 0 && !isWord(line[0], "end", "exit", "declare")) return parametersOf(line.slice(routine));
  for (const statement of statementsOf(line)) {
    const given = givenBy(statement);
    if (given !== null) names.push(given);
    if (isWord(statement[0], "for")) {
      const counter = statement[isWord(statement[1], "each") ? 2 : 1];
      if (counter?.kind === "name") names.push(counter.text);
    }
    if (isWord(statement[0], "dim", "static", "redim", "global", "public", "private"))
      names.push(...declared(statement));
  }
  return [...new Set(names)];
}

/** Names that a declaration makes: those that no As, dot or bracket stands before. */
function declared(statement: readonly Token[]): string[] {
  let depth = 0;
  return statement.flatMap((token, index) => {
    if (token.kind === "bracket") depth += token.text === "(" ? 1 : -1;
    const before = statement[index - 1];
    const begins = before?.text === "," || (before?.kind === "keyword" && !isWord(before, "as", "new", "to"));
    return depth === 0 && token.kind === "name" && begins ? [token.text] : [];
  });
}

/** The names of a routine's parameters. */
export function parametersOf(header: readonly Token[]): string[] {
  const open = header.findIndex((token) => token.text === "(");
  if (open < 0) return [];
  return header.slice(open + 1).flatMap((token, index, rest) => {
    const before = rest[index - 1];
    return token.kind === "name" &&
      (before === undefined || before.text === "," || before.kind === "keyword") &&
      !isWord(before, "as")
      ? [token.text]
      : [];
  });
}

/** The names on a line that belong to no object. */
export function usedNames(line: readonly Token[]): string[] {
  const own = line.filter((token, index) => token.kind === "name" && line[index - 1]?.text !== ".");
  return [...new Set(own.map((token) => token.text))];
}

/** The condition of a conditional loop on its head or its end. */
export function loopConditionOf(quietFunctions: ReadonlySet<string>) {
  return (line: readonly Token[]): LoopCondition | null => {
    const at = line.findIndex((token) => isWord(token, "while", "until"));
    if (at < 0 || at > 1 || isWord(line[0], "end")) return null;
    return conditionOf(line.slice(at + 1), quietFunctions, isWord(line[at], "until"));
  };
}

/**
 * Lines of the loop at `header`, from For, While or Do to its Next, Wend, End While or Loop; from a Loop with a
 * condition back to its Do.
 */
export function blockLinesBy(tokens: (text: string) => readonly Token[]) {
  return (program: string, header: number): number[] => {
    const lines = tokensByLine(tokens(program));
    const numbers = [...lines.keys()].sort((one, other) => one - other);
    const opens = (line: number) => isWord(lines.get(line)?.[0], "for", "while", "do");
    const closes = (line: number) =>
      isWord(lines.get(line)?.[0], "next", "wend", "loop") ||
      (isWord(lines.get(line)?.[0], "end") && isWord(lines.get(line)?.[1], "while"));
    const backwards = isWord(lines.get(header)?.[0], "loop");
    const body: number[] = [];
    let depth = 0;
    const order = backwards
      ? numbers.filter((each) => each <= header).reverse()
      : numbers.filter((each) => each >= header);
    for (const line of order) {
      if (backwards ? closes(line) : opens(line)) depth += 1;
      if (backwards ? opens(line) : closes(line)) depth -= 1;
      if (line !== header) backwards ? body.unshift(line) : body.push(line);
      if (depth <= 0) break;
    }
    return body;
  };
}

/** Words that head a decision or a loop, as they are written in either case. */
const inBothCases = (words: string) =>
  new Set(words.split(" ").flatMap((word) => [word.toLowerCase(), word, word.toUpperCase()]));

/** What leads ask of any Basic. */
export const basicBlocks = {
  decisionWords: inBothCases("If ElseIf While Do Loop For Select Case"),
  loopWords: inBothCases("While Do For"),
  // "End If" closes and does not open again; single-line ifs are left to the reader's eye.
  blockWords: {
    opens: new Set(["for", "while", "do", "select", "with", "sub", "function", "module"]),
    closes: new Set(["next", "wend", "loop"]),
  },
  loopExits: ["Exit", "exit", "Return", "return", "End", "end", "Stop", "GoTo"],
};
