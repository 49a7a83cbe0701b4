import { type ExpressionRules, nodeFrom, peek, take, word } from "../../syntax/expressions.ts";
import { programReader } from "../../syntax/program.ts";
import { readBasicStatement } from "../basic/syntax.ts";
import { macroTokens } from "./tokens.ts";

/**
 * Operators of the office's Basic by strength, as its parser has them (tried: And, Or and Xor are equally strong and group from
 * the left; Not and a minus before a value bind before everything else).
 */
export const macroExpressions: ExpressionRules = {
  binary: {
    ...{ and: 1, or: 1, xor: 1, eqv: 1, imp: 1, is: 1 },
    ...{ "=": 3, "<>": 3, "<": 3, "<=": 3, ">": 3, ">=": 3, like: 3 },
    ...{ "&": 4, "+": 5, "-": 5, mod: 6, "\\": 7, "*": 8, "/": 8, "^": 9 },
  },
  prefix: { "-": 10, "+": 10, not: 10 },
  assignments: new Set(),
  constants: new Set(["true", "false", "nothing", "empty", "null"]),
  members: new Set(["."]),
  anyCase: true,
  byLine: true,
  begins: (reader) => {
    // Inside of With a part begins with its dot.
    if (word(reader) !== "." || peek(reader, 1)?.kind !== "name") return null;
    const start = reader.at;
    take(reader);
    const name = take(reader);
    return nodeFrom(reader, start, { kind: "field", sign: name?.text ?? "" });
  },
};

/** Macros of the office's Basic. */
export const macroSyntax = programReader(macroTokens, macroExpressions, readBasicStatement, [":"]);
