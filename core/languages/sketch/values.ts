import { real } from "../../expressions/known.ts";
import type { ValueRules } from "../../expressions/rules.ts";
import { javaValues } from "../java/values.ts";

/** Functions of sketches that are Java's under another name; what they give is a float where Java's is a double. */
const asInJava: ReadonlySet<string> = new Set(["max", "min", "abs", "sqrt", "pow"]);

/** How sketches work out expressions: as Java does, with floats in the place of doubles. */
export const sketchValues: ValueRules = {
  ...javaValues,
  literal: (node) => {
    const found = javaValues.literal(node);
    const isFloat = found.kind === "real" && found.type === "double" && !/[dD]$/.test(node.sign ?? "");
    return isFloat ? real(Math.fround(found.value), "float") : found;
  },
  call: (name, given) => {
    if (!asInJava.has(name)) return name.includes(".") ? javaValues.call(name, given) : null;
    const found = javaValues.call(`Math.${name}`, given);
    if (found?.kind === "real" && found.type === "double") return real(Math.fround(found.value), "float");
    return found?.kind === "whole" && (name === "sqrt" || name === "pow") ? real(Number(found.value), "float") : found;
  },
};
