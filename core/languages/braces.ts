import type { LoopCondition } from "./language.ts";
import { tokensByLine } from "./lexical.ts";
import { conditionOf, insideBrackets } from "./statements.ts";
import type { Token } from "./token.ts";

/** What languages with blocks in braces have in common. */
export const braceDecisions: ReadonlySet<string> = new Set(["if", "else", "while", "for", "switch", "do", "foreach"]);
export const braceLoops: ReadonlySet<string> = new Set(["while", "for", "do", "foreach"]);
export const braceLoopExits: readonly string[] = ["break", "return", "throw", "goto", "exit", "abort"];

/** The condition of while (...), of } while (...); and of for (...; ...; ...); null for other lines. */
export function braceLoopCondition(line: readonly Token[], quiet: ReadonlySet<string>): LoopCondition | null {
  const at = line.findIndex((token) => token.kind === "keyword" && (token.text === "while" || token.text === "for"));
  if (at < 0 || line[at + 1]?.text !== "(" || line.slice(0, at).some((token) => token.text !== "}")) return null;
  const inside = insideBrackets(line, at + 1);
  if (line[at]?.text === "while") return conditionOf(inside, quiet);
  const first = inside.findIndex((token) => token.text === ";");
  const second = inside.findIndex((token, index) => index > first && token.text === ";");
  if (first < 0 || second < 0) return null;
  return conditionOf(inside.slice(first + 1, second), quiet);
}

/** Lines of the block after `header`: up to the partner of its brace, or the one statement that follows. */
export function braceBlockLines(tokens: readonly Token[], header: number): number[] {
  const code = tokens.filter((token) => token.kind !== "comment");
  const start = code.findIndex((token) => token.line >= header && braceDecisions.has(token.text));
  if (start < 0 || code[start]?.line !== header) return [];
  // What has no condition, as do and else, begins its block at once.
  let at = code[start + 1]?.text === "(" ? start + 1 : start;
  let depth = 0;
  for (; at > start && at < code.length; at++) {
    if (code[at]?.text === "(") depth += 1;
    if (code[at]?.text === ")") depth -= 1;
    if (depth === 0) break;
  }
  const first = code[at + 1];
  if (!first) return [];
  if (first.text === ";") return doBlockBefore(code, start);
  let until = at + 1;
  if (first.text === "{") {
    let open = 0;
    for (; until < code.length; until++) {
      if (code[until]?.text === "{") open += 1;
      if (code[until]?.text === "}") open -= 1;
      if (open === 0) break;
    }
  } else while (until < code.length && code[until]?.text !== ";") until++;
  return linesBetween(header, code[Math.min(until, code.length - 1)]?.endLine ?? header, tokens);
}

/** The block of a do ... while (...), from its closing line. */
function doBlockBefore(code: readonly Token[], end: number): number[] {
  const header = code[end]?.line ?? 0;
  let depth = 0;
  for (let at = end - 1; at >= 0; at--) {
    if (code[at]?.text === "}") depth += 1;
    if (code[at]?.text === "{") depth -= 1;
    if (depth === 0) return linesBetween((code[at]?.line ?? header) - 1, header - 1, code);
  }
  return [];
}

function linesBetween(header: number, last: number, tokens: readonly Token[]): number[] {
  return [...tokensByLine(tokens).keys()]
    .filter((line) => line > header && line <= last)
    .sort((one, other) => one - other);
}
