import type { LoopCondition } from "./language.ts";
import type { Token } from "./token.ts";

/** What differs between languages that write assignments and calls alike. */
export type StatementRules = {
  assignments: ReadonlySet<string>;
  /** Signs that come before a name that belongs to what stands before them (`.` or `->`). */
  memberSigns: ReadonlySet<string>;
  /** Words for types and the like: a name after one of them, or after a name of a type, is being declared. */
  typeWords: ReadonlySet<string>;
};

const steps = new Set(["++", "--"]);

/** Names that a line gives a value: targets of assignments, names stepped by ++ or --, and names that are declared. */
export function assignedNames(line: readonly Token[], rules: StatementRules): string[] {
  const names: string[] = [];
  for (const [index, token] of line.entries()) {
    const next = line[index + 1];
    const before = line[index - 1];
    if (token.kind === "operator" && rules.assignments.has(token.text)) {
      const target = targetBefore(line, index, rules);
      if (target) names.push(target);
    } else if (token.kind === "operator" && steps.has(token.text)) {
      const target = next?.kind === "name" ? next.text : targetBefore(line, index, rules);
      if (target) names.push(target);
    } else if (token.kind === "name" && before && next?.text !== "(" && !rules.memberSigns.has(before.text)) {
      const typed =
        rules.typeWords.has(before.text) ||
        before.text === "*" ||
        before.text === "]" ||
        before.text === ">" ||
        before.kind === "name";
      if (typed && declares(line, index, rules)) names.push(token.text);
    }
  }
  return [...new Set(names)];
}

/**
 * True if the name at `index` is declared there: a type stands before it and something that may follow a declaration
 * after it.
 */
function declares(line: readonly Token[], index: number, rules: StatementRules): boolean {
  const next = line[index + 1]?.text;
  if (next !== undefined && ![";", ",", "=", ")", "[", "in", ":"].includes(next)) return false;
  let at = index - 1;
  while (at >= 0 && ["*", "]", "[", ">", "<", "&"].includes(line[at]?.text ?? "")) at--;
  const type = line[at];
  if (!type || (!rules.typeWords.has(type.text) && type.kind !== "name")) return false;
  const beforeType = line[at - 1];
  return (
    beforeType === undefined ||
    ["(", ",", ";", "{", "<"].includes(beforeType.text) ||
    rules.typeWords.has(beforeType.text) ||
    beforeType.kind === "keyword"
  );
}

/** The name that an assignment sign at `index` gives a value: for rows[i].load = that is rows. */
function targetBefore(line: readonly Token[], index: number, rules: StatementRules): string | null {
  let at = index - 1;
  let depth = 0;
  let name: string | null = null;
  for (; at >= 0; at--) {
    const token = line[at];
    if (!token) break;
    if (token.text === "]" || token.text === ")") depth += 1;
    else if (token.text === "[" || token.text === "(") {
      if (depth === 0) break;
      depth -= 1;
    } else if (depth === 0) {
      if (token.kind === "name" || token.text === "this") name = token.text === "this" ? name : token.text;
      else if (!rules.memberSigns.has(token.text) && token.text !== "^") break;
      if (token.kind === "name" && !rules.memberSigns.has(line[at - 1]?.text ?? "") && line[at - 1]?.text !== "^")
        break;
    }
  }
  return name;
}

/** Names that a line uses, members of other names left out. */
export function usedNames(line: readonly Token[], rules: StatementRules): string[] {
  return [
    ...new Set(
      line
        .filter((token, index) => {
          const before = line[index - 1]?.text ?? "";
          return token.kind === "name" && (!rules.memberSigns.has(before) || line[index - 2]?.text === "this");
        })
        .map((token) => token.text),
    ),
  ];
}

const orders: ReadonlySet<string> = new Set(["<", "<=", ">", ">="]);
const opposite = { "<": ">=", "<=": ">", ">": "<=", ">=": "<" } as const;
type Order = keyof typeof opposite;
const inequalities: ReadonlySet<string> = new Set(["!=", "<>", "~=", "≠"]);
const equalities: ReadonlySet<string> = new Set(["=", "=="]);

/**
 * A condition from its tokens; `untilIt`: the loop ends when it holds (repeat ... until). `quiet` are calls that only
 * look.
 */
export function conditionOf(tokens: readonly Token[], quiet: ReadonlySet<string>, untilIt = false): LoopCondition {
  const inner = withoutBrackets(tokens);
  const names = inner
    .filter((token, index) => token.kind === "name" && inner[index - 1]?.text !== "." && inner[index + 1]?.text !== "(")
    .map((token) => token.text);
  const calls = inner.some(
    (token, index) => token.kind === "name" && inner[index + 1]?.text === "(" && !quiet.has(token.text),
  );
  const condition: LoopCondition = { names: [...new Set(names)], calls, constant: names.length === 0 && !calls };
  const [left, sign, right] = inner;
  const plain = (token: Token | undefined) => token?.kind === "name" || token?.kind === "number";
  if (inner.length !== 3 || !left || !right || !sign || !plain(left) || !plain(right)) return condition;
  const [one, other] = [left.text, right.text];
  if (orders.has(sign.text)) {
    const order = sign.text as Order;
    condition.comparison = { left: one, operator: untilIt ? opposite[order] : order, right: other };
  } else if ((untilIt ? equalities : inequalities).has(sign.text))
    condition.comparison = { left: one, operator: "!=", right: other };
  return condition;
}

function withoutBrackets(tokens: readonly Token[]): readonly Token[] {
  if (tokens[0]?.text !== "(" || tokens.at(-1)?.text !== ")") return tokens;
  let depth = 0;
  for (const [index, token] of tokens.entries()) {
    if (token.text === "(") depth += 1;
    if (token.text === ")") depth -= 1;
    if (depth === 0 && index < tokens.length - 1) return tokens;
  }
  return withoutBrackets(tokens.slice(1, -1));
}

/** The tokens between the bracket at `open` and its partner, or up to the line's end. */
export function insideBrackets(line: readonly Token[], open: number): readonly Token[] {
  let depth = 0;
  for (let at = open; at < line.length; at++) {
    if (line[at]?.text === "(") depth += 1;
    if (line[at]?.text === ")") depth -= 1;
    if (depth === 0) return line.slice(open + 1, at);
  }
  return line.slice(open + 1);
}
