import { findLanguage } from "../languages/languages.ts";
import type { Value } from "../trace/trace.ts";
import { workOut } from "./evaluate.ts";
import { isUnknown } from "./known.ts";

/**
 * What an expression of a language is worth, for tests: its value as the program writes it, what stops the program, or why
 * nothing is said of it. `names`: what names hold, as a recorder tells it.
 */
export function plainValue(
  id: string,
  expression: string,
  names: Readonly<Record<string, Value>> = {},
): { written: string } | { stops: string } | { unknown: string } {
  const language = findLanguage(id);
  const rules = language?.values;
  if (!language || !rules) throw new Error(`no values of ${id}`);
  const value = (name: string) => (names[name] ? rules.recorded(names[name]) : null);
  const worked = workOut(language, expression, { value, call: () => null });
  if (!worked) return { unknown: "This is no expression." };
  if (!isUnknown(worked.value)) return { written: worked.written };
  return worked.value.raised ? { stops: worked.value.why } : { unknown: worked.value.why };
}

/** A list as a recording tells it, for tests: values of one type, as texts. */
export const listOf = (type: string, ...texts: readonly string[]): Value => ({
  ...{ type: "list", id: 1, shape: "list" },
  items: texts.map((text) => ({ value: { type, text } })),
});
