import { isUnknown, type Known, text as textValue, unknown } from "../../expressions/known.ts";
import type { Answer } from "../../expressions/rules.ts";
import type { Source } from "./instruction.ts";

/** A loop that goes through something: its elements, which comes next, and whether its variable counts up by itself. */
export type Round = { name: string; items: readonly Answer[]; next: number; counts: boolean };

/** What a loop goes through, with what works out its expressions. */
export function roundOf(name: string, source: Source, worked: (expression: string) => Answer): Round {
  if (source.kind === "items") {
    const of = worked(source.of);
    if (of.kind === "many") return { name, items: of.items, next: 0, counts: false };
    if (of.kind === "text")
      return { name, items: [...of.value].map((each) => textValue(each, of.type)), next: 0, counts: false };
    return { name, items: [unknown("")], next: 0, counts: false };
  }
  const bound = (expression: string | null, usual: string) => worked(expression ?? usual);
  return range(name, bound(source.start, "0"), bound(source.limit, "0"), bound(source.step, "1"), source.inclusive);
}

/** The numbers from one to another one, by steps. */
export function range(name: string, start: Answer, limit: Answer, step: Answer, inclusive: boolean): Round {
  if (isUnknown(start) || isUnknown(limit) || isUnknown(step))
    return { name, items: [unknown("")], next: 0, counts: false };
  const number = (value: Known) => (value.kind === "whole" || value.kind === "real" ? Number(value.value) : Number.NaN);
  const [from, to, by] = [number(start), number(limit), number(step)];
  const items: Answer[] = [];
  const made = (value: number): Answer => {
    if (start.kind === "whole") return { ...start, value: BigInt(Math.round(value)) };
    return start.kind === "real" ? { ...start, value } : unknown("");
  };
  if (by === 0 || [from, to, by].some(Number.isNaN)) return { name, items: [unknown("")], next: 0, counts: false };
  for (
    let value = from;
    by > 0 ? (inclusive ? value <= to : value < to) : inclusive ? value >= to : value > to;
    value += by
  ) {
    items.push(made(value));
    if (items.length > 5000) break;
  }
  return { name, items, next: 0, counts: true };
}

/** How far a counting loop goes on with each pass. */
function stepOf({ items: [first, second] }: Round): number {
  const number = (value: Answer | undefined) =>
    value?.kind === "whole" || value?.kind === "real" ? Number(value.value) : Number.NaN;
  return second ? number(second) - number(first) : 1;
}

/** The next value of a loop's variable: of one that counts its own last one and the step. */
export function counted(round: Round, own: Answer | undefined): Answer {
  const item = round.items[round.next];
  if (!round.counts || round.next === 0) return item ?? unknown("There is nothing left to go through.");
  const step = stepOf(round);
  if (own?.kind === "whole") return { ...own, value: own.value + BigInt(Math.round(step)) };
  if (own?.kind === "real") return { ...own, value: own.value + step };
  return item ?? unknown("There is nothing left to go through.");
}

/** Whether a counting loop goes round once more by the value that its variable has. */
export function byOwnValue(round: Round, own: Answer | undefined): boolean {
  const [holds, last] = [round.next < round.items.length, round.items.at(-1)];
  if (!round.counts || round.next === 0 || !last) return holds;
  if ((own?.kind !== "whole" && own?.kind !== "real") || (last.kind !== "whole" && last.kind !== "real")) return holds;
  const step = stepOf(round);
  const next = Number(own.value) + step;
  return step > 0 ? next <= Number(last.value) : next >= Number(last.value);
}
