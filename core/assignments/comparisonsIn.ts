import type { Language } from "../languages/language.ts";
import type { Token } from "../languages/token.ts";

/** A comparison of a name with a written number or text. `operator` as it reads with the name on its left. */
export type WrittenComparison = {
  name: string;
  operator: "<" | "<=" | ">" | ">=" | "=" | "!=";
  number: number | null;
  text: string | null;
  line: number;
};

const operators: Readonly<Record<string, WrittenComparison["operator"]>> = {
  ...{ "<": "<", "<=": "<=", ">": ">", ">=": ">=", "==": "=", "===": "=", "=": "=" },
  ...{ "!=": "!=", "!==": "!=", "<>": "!=", "~=": "!=" },
};
const turned = { "<": ">", "<=": ">=", ">": "<", ">=": "<=", "=": "=", "!=": "!=" } as const;

/** Two operator tokens that stand side by side are one sign (some languages' tokens are single signs). */
function joined(tokens: readonly Token[]): Token[] {
  const all: Token[] = [];
  for (const token of tokens) {
    const last = all.at(-1);
    const sticks =
      last?.kind === "operator" &&
      token.kind === "operator" &&
      last.line === token.line &&
      last.offset + last.text.length === token.offset &&
      `${last.text}${token.text}` in operators;
    if (last && sticks) all[all.length - 1] = { ...last, text: last.text + token.text };
    else all.push(token);
  }
  return all;
}

/** The value of a written number or text that begins at a place, with how many tokens it takes; null if it is neither. */
function writtenAt(
  tokens: readonly Token[],
  at: number,
): { number: number | null; text: string | null; length: number } | null {
  const [token, next] = [tokens[at], tokens[at + 1]];
  if (token?.kind === "number")
    return { number: Number(token.text.replace(/[_fFdDlLuUmM]+$/g, "")), text: null, length: 1 };
  if (token?.text === "-" && next?.kind === "number") return { number: -Number(next.text), text: null, length: 2 };
  if (token?.kind === "text") return { number: null, text: token.text.replace(/^[^"']*["']+|["']+$/g, ""), length: 1 };
  return null;
}

/** Every comparison of a name with a written number or text in a program, in the order in which they stand. */
export function comparisonsIn(language: Language, program: string): WrittenComparison[] {
  const tokens = joined(language.tokens(program).filter((token) => token.kind !== "comment"));
  const found: WrittenComparison[] = [];
  for (const [index, token] of tokens.entries()) {
    const operator = token.kind === "operator" ? operators[token.text] : undefined;
    if (!operator || (token.text === "=" && !language.inputForms?.oneEqualsCompares)) continue;
    const [before, after] = [tokens[index - 1], tokens[index + 1]];
    const right = writtenAt(tokens, index + 1);
    if (before?.kind === "name" && right)
      found.push({ name: before.text, operator, number: right.number, text: right.text, line: token.line });
    const left = before && writtenAt(tokens, index - 1);
    if (left && after?.kind === "name") {
      const negative = tokens[index - 2]?.text === "-" && !["name", "number"].includes(tokens[index - 3]?.kind ?? "");
      const number = left.number === null ? null : negative ? -left.number : left.number;
      found.push({ name: after.text, operator: turned[operator], number, text: left.text, line: token.line });
    }
  }
  return found.filter(({ number }) => number === null || Number.isFinite(number));
}
