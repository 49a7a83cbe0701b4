import type { OwnWarning, OwnWarningRule } from "../languages/language.ts";
import type { Token } from "../languages/token.ts";
import { partnerOf } from "./ownWarning.ts";

const types = new Set([
  "int",
  "long",
  "short",
  "char",
  "float",
  "double",
  "unsigned",
  "signed",
  "size_t",
  "bool",
  "_Bool",
]);
const changes = new Set(["+=", "-=", "*=", "/=", "%=", "&=", "|=", "^=", "<<=", ">>=", "++", "--"]);

/** Local variables that are declared without a value, with the index after their declaration. */
function unset(code: readonly Token[], from: number, to: number): Array<{ name: string; after: number }> {
  const found: Array<{ name: string; after: number }> = [];
  for (let at = from; at < to; at++) {
    const before = code[at - 1]?.text ?? "";
    if (!types.has(code[at]?.text ?? "") || !["{", "}", ";"].includes(before)) continue;
    let next = at;
    while (types.has(code[next]?.text ?? "")) next += 1;
    const names: string[] = [];
    // Names with commas between; whatever is more than a name is left aside.
    for (; next < to && code[next]?.text !== ";"; next++) {
      const [token, following] = [code[next], code[next + 1]?.text];
      if (["(", "[", "{"].includes(token?.text ?? "")) next = partnerOf(code, next);
      else if (
        token?.kind === "name" &&
        (following === "," || following === ";") &&
        /^[,\w]/.test(code[next - 1]?.text ?? "")
      )
        names.push(token.text);
    }
    found.push(...names.map((name) => ({ name, after: next })));
    at = next;
  }
  return found;
}

/** The line where a variable is read before anything gives it a value, or null. Branches count as if they ran. */
function readFirst(code: readonly Token[], name: string, from: number, to: number): number | null {
  const isName = (token: Token | undefined) => token?.kind === "name" && token.text === name;
  const at = code.findIndex((token, index) => index > from && index < to && isName(token));
  const token = code[at];
  if (!token) return null;
  const [before, after] = [code[at - 1]?.text ?? "", code[at + 1]?.text ?? ""];
  const follows = code[at - 2];
  const isOperand = follows?.kind === "name" || follows?.kind === "number" || follows?.text === ")";
  if ((before === "&" && !isOperand) || before === "sizeof" || follows?.text === "sizeof") return null;
  if (changes.has(after) || before === "++" || before === "--") return token.line;
  if (after !== "=") return token.line;
  for (let index = at + 2; index < to && code[index]?.text !== ";"; index++) if (isName(code[index])) return token.line;
  return null;
}

/** Variables of a function in C that are read before they have a value: they hold whatever was in memory. */
export const startValue: OwnWarningRule = ({ code }) => {
  const found: OwnWarning[] = [];
  for (let at = 0; at < code.length; at++) {
    if (code[at]?.text !== "{") continue;
    const end = partnerOf(code, at);
    if (code[at - 1]?.text === ")")
      for (const { name, after } of unset(code, at + 1, end)) {
        const line = readFirst(code, name, after, end);
        if (line !== null)
          found.push({
            line,
            kind: "not set",
            says: `“${name}” is read here before anything gave it a value.`,
            usually: "Its start value is missing, often 0 for a sum or a count; it then holds whatever was in memory.",
          });
      }
    at = end;
  }
  return found;
};
