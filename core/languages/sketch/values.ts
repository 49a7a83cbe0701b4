import { numberOf } from "../../expressions/fixedWidth.ts";
import { type Known, real, unknown, whole } from "../../expressions/known.ts";
import type { Answer, ValueRules } from "../../expressions/rules.ts";
import { javaValues } from "../java/values.ts";

/** Functions of sketches that are Java's under another name; what they give is a float where Java's is a double. */
const asInJava: ReadonlySet<string> = new Set(["max", "min", "abs", "sqrt", "pow"]);

/** `int(x)`, `float(x)` and `str(x)`; of a text the number that it says, and of one that says none 0 or not a number. */
function converts(name: string, value: Known): Answer | null {
  if (name === "str")
    return value.kind === "many" || value.kind === "nothing"
      ? null
      : (javaValues.call("String.valueOf", [value]) ?? null);
  if (name !== "int" && name !== "float") return null;
  if (value.kind === "text") {
    const isPlain = /^[+-]?\d{1,9}(?:\.\d*)?$/.test(value.value);
    if (!isPlain && /\d/.test(value.value)) return unknown("Whether this text says a number is not worked out here.");
    if (name === "int") return whole(isPlain ? BigInt(value.value.replace(/\..*$/, "")) : 0n, "int");
    return real(isPlain ? Math.fround(Number(value.value)) : Number.NaN, "float");
  }
  return numberOf(value) ? (javaValues.cast?.(name, value) ?? null) : null;
}

/** How sketches work out expressions: as Java does, with floats in the place of doubles. */
export const sketchValues: ValueRules = {
  ...javaValues,
  literal: (node) => {
    const found = javaValues.literal(node);
    const isFloat = found.kind === "real" && found.type === "double" && !/[dD]$/.test(node.sign ?? "");
    return isFloat ? real(Math.fround(found.value), "float") : found;
  },
  call: (name, given) => {
    const [first] = given;
    const made = first && given.length === 1 ? converts(name, first) : null;
    if (made) return made;
    if (!asInJava.has(name)) return name.includes(".") ? javaValues.call(name, given) : null;
    const found = javaValues.call(`Math.${name}`, given);
    if (found?.kind === "real" && found.type === "double") return real(Math.fround(found.value), "float");
    return found?.kind === "whole" && (name === "sqrt" || name === "pow") ? real(Number(found.value), "float") : found;
  },
};
