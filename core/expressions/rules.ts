import type { ExpressionRules } from "../syntax/expressions.ts";
import type { SyntaxNode } from "../syntax/tree.ts";
import type { Value } from "../trace/trace.ts";
import type { Known, Unknown } from "./known.ts";

/** The value of an expression, or why it is not known. */
export type Answer = Known | Unknown;

/**
 * How a language works out expressions, one operation at a time. What is asked for is never an expression with parts of its own: these were worked out before.
 */
export type ValueRules = {
  /** How its expressions are read, with the strength of its operators. */
  reads: ExpressionRules;
  /** A value as it was recorded. */
  recorded: (value: Value) => Answer;
  /** A value as the text says it. */
  literal: (node: SyntaxNode) => Answer;
  /** Operators of which the right side is not looked at where the left one is this. */
  cuts: Readonly<Record<string, { when: boolean }>>;
  /** True if the same signs put whole numbers together bit by bit, where nothing is cut short. */
  cutsTruths?: true;
  /** True if `and` and `or` give one of their sides and not a truth. */
  givesSide?: true;
  /** Signs of comparison that may stand in a chain (`1 < x < 5`): each is asked with its neighbours. */
  chains?: ReadonlySet<string>;
  /** What a decision makes of a value; unknown where the language refuses it. */
  isTrue: (value: Known) => boolean | Unknown;
  truth: (value: boolean) => Known;
  binary: (sign: string, left: Known, right: Known) => Answer;
  unary: (sign: string, operand: Known) => Answer;
  index: (object: Known, places: readonly Known[]) => Answer;
  field?: (object: Known, name: string) => Answer;
  /** A function of the language's own, where it is known here what it gives; null where it is none of them. */
  call: (name: string, given: readonly Known[]) => Answer | null;
  /** The same for one that belongs to a value (`name.length()`). */
  method?: (object: Known, name: string, given: readonly Known[]) => Answer | null;
  /**
   * What `a ? b : c` comes to where the type of the side that is not taken counts as well; `constant` is true for a side that
   * has no name in it.
   */
  choice?: (taken: Known, other: Answer, constant: { taken: boolean; other: boolean }) => Answer;
  /** True if round brackets behind a name pick an element where it holds something. */
  callsPick?: true;
  /** A value made another type's; null where the language has no such thing. */
  cast?: (type: string, value: Known) => Answer;
  list?: (items: readonly Known[], node: SyntaxNode) => Answer;
  /** A value as the trace table writes it. */
  write: (value: Known) => string;
};
