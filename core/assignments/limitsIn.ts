import type { Language } from "../languages/language.ts";
import { comparisonsIn } from "./comparisonsIn.ts";
import type { InputShape } from "./inputShape.ts";

/**
 * Numbers that a program compares values with, by the name of the value, and under "" those that it compares others with.
 * A number that only ends the typing of a repeated value is no limit.
 */
export function limitsIn(language: Language, program: string, shape: InputShape): Map<string, number[]> {
  const ends = new Set(shape.map((value) => value.repeat.replace(/^until /, "")));
  const limits = new Map<string, number[]>();
  for (const { name, number } of comparisonsIn(language, program)) {
    if (number === null || ends.has(String(number))) continue;
    const known = shape.some((value) => value.name === name) ? name : "";
    limits.set(known, [...(limits.get(known) ?? []), number]);
  }
  return limits;
}
