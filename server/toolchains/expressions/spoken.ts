import type { Value } from "../../../core/trace/trace.ts";
import type { Grammar, Sort } from "./generate.ts";

/**
 * How expressions are put to a language's own translator: `program` prints a line for each of them, `NUMBER KIND VALUE`, with KIND
 * one of whole, real, truth, text, letter (by its code), or `stopped` where the language stopped. `values` are the names that
 * the program declares, as a recording has them.
 */
export type Spoken = {
  grammar: Grammar;
  sorts: readonly Sort[];
  values: Readonly<Record<string, Value>>;
  program: (expressions: readonly string[]) => string;
};
