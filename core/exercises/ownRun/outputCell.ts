import { isUnknown } from "../../expressions/known.ts";
import type { Answer } from "../../expressions/rules.ts";
import { sameValue } from "../cellValues.ts";

/** Blanks and line ends do not tell outputs apart. */
const squeezed = (text: string) => text.replace(/\s+/g, " ").trim();

/** True if two outputs of a row are the same but for blanks and line ends. */
export function sameOutput(own: string, key: string): boolean {
  return squeezed(own) === squeezed(key) || sameValue(squeezed(own), squeezed(key));
}

/** Where a format puts a value in, as "%d" or "%6.2f". */
export const putIn = /%[-+ #0]*\d*(?:\.\d+)?[a-zA-Z]+/g;

/**
 * Fixed texts of a program without their quotes and signs for line ends, one behind the other, or in their places where
 * the first one says these.
 */
export function plainTexts(fixed: readonly string[]): string {
  const plain = fixed.map((text) => text.replace(/^[a-zA-Z$@]*["']|["']$/g, "").replace(/\\n/g, ""));
  const [first = "", ...rest] = plain;
  return [first.replace(putIn, (place) => rest.shift() ?? place), ...rest].join(" ");
}

/** Numbers in a text, as they are written. */
const numbersIn = (text: string): string[] => text.match(/[+-]?(?:\d+(?:\.\d+)?|\.\d+)(?:[eE][+-]?\d+)?/g) ?? [];

/** True if a number is written as a value, rounded to as many places as are written. */
function isNumber(own: string, value: number): boolean {
  const places = /\.(\d+)$/.exec(own)?.[1]?.length ?? 0;
  return Number(own) === value || (places > 0 && Math.abs(Number(own) - value) <= 0.5 * 10 ** -places * (1 + 1e-9));
}

/**
 * Whether what is written holds the values that a print has, in their order and no number beside them; null where that
 * cannot be said (a value is not known, or there is none).
 */
export function holdsValues(
  own: string,
  values: readonly Answer[],
  fixed: readonly string[],
  write: (value: Answer) => string,
): boolean | null {
  if (values.length === 0 || values.some(isUnknown)) return null;
  const inFixed = numbersIn(fixed.join(" "));
  let rest = own;
  let numbers = numbersIn(own);
  for (const number of inFixed) {
    const at = numbers.indexOf(number);
    if (at >= 0) numbers = numbers.filter((_, index) => index !== at);
  }
  for (const value of values) {
    if (value.kind === "whole" || value.kind === "real") {
      const [first, ...others] = numbers;
      if (first === undefined || !isNumber(first, Number(value.value))) return false;
      numbers = others;
      continue;
    }
    const text = value.kind === "text" ? value.value : write(value);
    const at = rest.toLowerCase().indexOf(text.toLowerCase());
    if (at < 0) return false;
    rest = rest.slice(at + text.length);
    for (const number of numbersIn(text))
      numbers = numbers.filter((each, index) => each !== number || index !== numbers.indexOf(number));
  }
  return numbers.length === 0;
}

/** What is left of a written output without the prompts that stand in it. */
export function withoutPrompts(own: string, prompts: readonly string[]): string {
  let rest = own;
  for (const prompt of prompts) if (squeezed(prompt) !== "") rest = rest.replace(prompt.trim(), "");
  return prompts.some((prompt) => squeezed(prompt) === squeezed(own)) ? "" : rest.trim() === "" ? "" : rest;
}
