import type { OwnWarning, OwnWarningRule } from "../languages/language.ts";
import type { Token } from "../languages/token.ts";
import { partnerOf } from "./ownWarning.ts";

const mayLeave = new Set([
  "if",
  "while",
  "for",
  "foreach",
  "switch",
  "case",
  "return",
  "throw",
  "try",
  "?",
  "&&",
  "||",
  "do",
]);

/** How many values stand between a bracket and its partner. */
function countValues(code: readonly Token[], open: number): number {
  const close = partnerOf(code, open);
  if (close === open + 1) return 0;
  let count = 1;
  for (let at = open + 1; at < close; at++) {
    if (["(", "[", "{"].includes(code[at]?.text ?? "")) at = partnerOf(code, at);
    else if (code[at]?.text === ",") count += 1;
  }
  return count;
}

/** Methods that call themselves before anything could end that. */
export const endlessRecursion: OwnWarningRule = ({ code }) => {
  const found: OwnWarning[] = [];
  for (const [at, token] of code.entries()) {
    const open = code[at + 1];
    const isDefinition =
      token.kind === "name" && open?.text === "(" && ["name", "keyword"].includes(code[at - 1]?.kind ?? "");
    if (!isDefinition || code[at - 1]?.text === "new" || code[at - 1]?.text === "return") continue;
    const body = partnerOf(code, at + 1) + 1;
    if (code[body]?.text !== "{") continue;
    const end = partnerOf(code, body);
    for (let index = body + 1; index < end; index++) {
      const each = code[index];
      const calls = each?.kind === "name" && each.text === token.text && code[index + 1]?.text === "(";
      // A call in what is returned comes before the return is done.
      const leaves = mayLeave.has(each?.text ?? "") && each?.text !== "return";
      if (leaves || (each?.text === ";" && code.slice(body, index).some((one) => one.text === "return"))) break;
      if (!calls || (code[index - 1]?.text === "." && code[index - 2]?.text !== "this")) continue;
      if (countValues(code, index + 1) !== countValues(code, at + 1)) continue;
      found.push({
        line: each.line,
        kind: "stack exhausted",
        says: `“${token.text}” calls itself here whatever happens: nothing before it could end that.`,
        usually: "The case in which no further call is made is missing, or stands below the call.",
      });
      break;
    }
  }
  return found;
};
