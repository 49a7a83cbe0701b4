import type { Language, LoopCondition, Token } from "../language.ts";
import { meaningOfMessage } from "./meanings.ts";
import { readPythonMessages } from "./messages.ts";
import { keywords, pythonTokens } from "./tokens.ts";
import { pythonWords } from "./words.ts";

const assignments = new Set(["=", "+=", "-=", "*=", "/=", "//=", "%=", "**=", "&=", "|=", "^=", ">>=", "<<=", "@=", ":="]);
const definers = new Set(["def", "class", "import", "as", "for", "global", "nonlocal"]);

function assignedNames(line: readonly Token[]): string[] {
  const names: string[] = [];
  let depth = 0;
  for (const [index, token] of line.entries()) {
    if (token.kind === "bracket") depth += "([{".includes(token.text) ? 1 : -1;
    if (token.kind !== "name") continue;
    const before = line[index - 1];
    if (before?.kind === "keyword" && definers.has(before.text)) names.push(token.text);
    else if (line[0]?.text === "def" && depth === 1) names.push(token.text);
  }
  const lastAssignment = line.findLastIndex((token) => token.kind === "operator" && assignments.has(token.text));
  let nesting = 0;
  let at = 0;
  for (const token of line.slice(0, Math.max(0, lastAssignment))) {
    at += 1;
    if (token.kind === "bracket") nesting += "([{".includes(token.text) ? 1 : -1;
    const next = line[at];
    const attribute = line[at - 2]?.text === ".";
    if (token.kind === "name" && !attribute && (nesting === 0 || line[0]?.text === "(") && next?.text !== "(") names.push(token.text);
    // The target of rows[i] = ... is rows.
    if (token.kind === "name" && nesting === 0 && next?.text === "[" && !names.includes(token.text)) names.push(token.text);
  }
  return [...new Set(names)];
}

const orders = new Set(["<", "<=", ">", ">="]);

function isOrder(text: string | undefined): text is "<" | "<=" | ">" | ">=" {
  return text !== undefined && orders.has(text);
}

function loopCondition(line: readonly Token[]): LoopCondition | null {
  if (line[0]?.text !== "while") return null;
  const names = line.filter((token) => token.kind === "name").map((token) => token.text);
  const calls = line.some(
    (token, index) => token.text === "(" && (line[index - 1]?.kind === "name" || line[index - 1]?.text === ")") && line[index - 1]?.text !== "len",
  );
  const condition: LoopCondition = { names: [...new Set(names)], calls, constant: names.length === 0 };
  const [, left, sign, right, colon] = line;
  const plain = (token: Token | undefined) => token?.kind === "name" || token?.kind === "number";
  if (line.length === 5 && colon?.text === ":" && left && right && plain(left) && plain(right) && isOrder(sign?.text))
    condition.comparison = { left: left.text, operator: sign.text, right: right.text };
  return condition;
}

/** Python 3 as run by CPython. */
export const python: Language = {
  id: "python",
  name: "Python",
  extension: ".py",
  mainName: "program.py",
  lineComment: "#",
  namesCheckedAt: "run",
  indentationIsGrammar: true,
  tokens: pythonTokens,
  readMessages: readPythonMessages,
  meaning: meaningOfMessage,
  assignedNames,
  usedNames: (line) => [...new Set(line.filter((token, index) => token.kind === "name" && line[index - 1]?.text !== ".").map((token) => token.text))],
  loopCondition,
  quietFunctions: new Set("print len abs min max sum round int float str bool range append".split(" ")),
  loopExits: ["break", "return", "raise", "exit", "quit", "_exit"],
  ownWords: new Set([...keywords, ...pythonWords]),
};
