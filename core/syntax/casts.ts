import { nodeFrom, type Reader, readExpression, take, withRole, word } from "./expressions.ts";
import type { SyntaxNode } from "./tree.ts";

/** How strongly what stands before a value binds in C and its relatives: more than any operator between two values. */
export const prefixStrength = 20;

/** Operators between two values by strength, as C, Java and C# share them. */
export const sharedOperators: Readonly<Record<string, number>> = {
  ...{ "||": 3, "&&": 4, "|": 5, "^": 6, "&": 7, "==": 8, "!=": 8, "<": 9, ">": 9, "<=": 9, ">=": 9 },
  ...{ "<<": 10, ">>": 10, "+": 11, "-": 11, "*": 12, "/": 12, "%": 12 },
};

/** A type in brackets before a value; null where none begins. `types` are the words of which a type may be made. */
export function readCast(reader: Reader, types: ReadonlySet<string>): SyntaxNode | null {
  if (word(reader) !== "(" || !types.has(word(reader, 1))) return null;
  let ahead = 1;
  while (types.has(word(reader, ahead))) ahead += 1;
  if (word(reader, ahead) !== ")") return null;
  const start = reader.at;
  const words = reader.tokens.slice(start + 1, start + ahead).map((token) => token.text);
  reader.at += 1;
  const type = { ...nodeFrom({ ...reader, at: start + ahead }, start + 1, { kind: "type" }), sign: words.join(" ") };
  reader.at = start + ahead;
  take(reader);
  const operand = readExpression(reader, prefixStrength);
  return nodeFrom(reader, start, { kind: "cast", children: [withRole(type, "type"), withRole(operand, "operand")] });
}
