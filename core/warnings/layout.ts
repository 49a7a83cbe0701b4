import type { OwnWarning, OwnWarningRule } from "../languages/language.ts";
import type { Token } from "../languages/token.ts";
import { partnerOf } from "./ownWarning.ts";

const headers = new Set(["if", "while", "for", "foreach"]);
const compound = new Set(["if", "while", "for", "foreach", "do", "switch", "try", "{", ";", "lock", "using"]);

/** The index of the token after a header: after its condition in brackets, or after else. */
function bodyOf(code: readonly Token[], at: number): number | null {
  if (code[at]?.text === "else") return at + 1;
  return code[at + 1]?.text === "(" ? partnerOf(code, at + 1) + 1 : null;
}

/** The index of the semicolon that ends a simple statement. */
function endOf(code: readonly Token[], from: number): number {
  for (let at = from; at < code.length; at++) {
    if (code[at]?.text === ";") return at;
    if (["(", "[", "{"].includes(code[at]?.text ?? "")) at = partnerOf(code, at);
  }
  return code.length - 1;
}

/** A while that ends a do: what stands before it closes the do's block. */
function endsDo(code: readonly Token[], at: number): boolean {
  return code[at]?.text === "while" && code[at - 1]?.text === "}" && code[bodyOf(code, at) ?? at]?.text === ";";
}

/**
 * Statements in languages with braces that stand as if they belonged to a header without braces above them, where only
 * the first does.
 */
export const misleadingIndentation: OwnWarningRule = ({ code }) => {
  const found: OwnWarning[] = [];
  for (const [at, header] of code.entries()) {
    if (!headers.has(header.text) && header.text !== "else") continue;
    const body = bodyOf(code, at);
    const first = body === null ? undefined : code[body];
    if (body === null || !first || compound.has(first.text) || first.line === header.line) continue;
    const next = code[endOf(code, body) + 1];
    if (!next || next.text === "}" || next.text === "else" || next.line === first.line) continue;
    if (next.offset === first.offset && next.offset > header.offset)
      found.push({
        line: header.line,
        kind: "misleading layout",
        says: `Line ${next.line} stands as if it belonged to this “${header.text}”, but only the statement before it does.`,
        usually: "Braces around both statements are missing.",
      });
  }
  return found;
};

/** An else that stands below one if and belongs to another: it always belongs to the nearest one without an else. */
export const danglingElse = ({ code }: { code: readonly Token[] }): OwnWarning[] => {
  const found: OwnWarning[] = [];
  for (const [at, outer] of code.entries()) {
    if (outer.text !== "if") continue;
    const inner = bodyOf(code, at);
    if (inner === null || code[inner]?.text !== "if") continue;
    const innerIf = code[inner];
    const body = bodyOf(code, inner);
    if (body === null || !innerIf) continue;
    const end = code[body]?.text === "{" ? partnerOf(code, body) : endOf(code, body);
    const otherwise = code[end + 1];
    if (otherwise?.text === "else" && otherwise.offset === outer.offset && otherwise.offset !== innerIf.offset)
      found.push({
        line: otherwise.line,
        kind: "misleading layout",
        says: `This “else” stands below the “if” of line ${outer.line} and belongs to that of line ${innerIf.line}.`,
        usually: "Braces around the inner if are missing.",
      });
  }
  return found;
};

/** A header that a semicolon ends before its block: the block is no part of it. */
export const emptyBody: OwnWarningRule = ({ code }) =>
  code.flatMap((header, at): OwnWarning[] => {
    if (!headers.has(header.text) || endsDo(code, at)) return [];
    const body = bodyOf(code, at);
    if (body === null || code[body]?.text !== ";" || code[body + 1]?.text !== "{") return [];
    return [
      {
        line: header.line,
        kind: "suspicious condition",
        says: `A semicolon ends this “${header.text}” before its block: the block always runs, once.`,
        usually: "The semicolon after the bracket is one too many.",
      },
    ];
  });
