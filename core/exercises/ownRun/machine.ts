import { workOut } from "../../expressions/evaluate.ts";
import { isUnknown, type Known, text as textValue, unknown } from "../../expressions/known.ts";
import { expressionTree } from "../../expressions/readExpression.ts";
import type { Answer } from "../../expressions/rules.ts";
import type { Language } from "../../languages/language.ts";
import { nodesOf } from "../../syntax/tree.ts";
import type { Instructions } from "./instruction.ts";

/** A loop that goes through something: its elements, which comes next, and whether its variable counts up by itself. */
type Round = { name: string; items: readonly Answer[]; next: number; counts: boolean };

/**
 * Where a program is: the place in its instructions, the values of its names, its loops, how often each line has begun,
 * and how many passes of loops there were.
 */
export type Place = {
  at: number;
  line: number;
  values: ReadonlyMap<string, Answer>;
  rounds: ReadonlyMap<number, Round>;
  times: ReadonlyMap<number, number>;
  passes: number;
  steps: number;
};

/**
 * What happens next. `decision`: where it goes on if the condition holds, and if it does not; `holds` null: not known;
 * `isOpen`: by the number of passes it is one, by the loop's own variable the other.
 */
export type Happening =
  | { happens: "row"; line: number; time: number }
  | { happens: "value"; name: string; value: Answer }
  | { happens: "take"; line: number; time: number; reads: boolean; names: readonly string[] }
  | { happens: "print"; values: readonly Answer[]; fixed: readonly string[] }
  | { happens: "decision"; holds: boolean | null; ways: { holds: number; fails: number }; isOpen?: boolean }
  | { happens: "lost" }
  | { happens: "end" };

export const beginning: Place = {
  ...{ at: 0, line: 0, values: new Map(), rounds: new Map(), times: new Map(), passes: 0, steps: 0 },
};

const longest = 20_000;

/** Works out expressions of a language with some values; what was worked out once is kept. */
export type Evaluator = (expression: string, values: Place["values"]) => Answer;

export function createEvaluator(language: Language): Evaluator {
  const fold = nameFolding(language);
  const names = new Map<string, string[] | null>();
  const known = new Map<string, Answer>();
  const namesOf = (expression: string): string[] | null => {
    const found = names.get(expression);
    if (found !== undefined) return found;
    const tree = expressionTree(language, expression);
    const used = tree
      ? [...new Set(nodesOf(tree).flatMap((node) => (node.kind === "name" ? [node.sign ?? ""] : [])))]
      : null;
    names.set(expression, used);
    return used;
  };
  return (expression, values) => {
    const used = namesOf(expression);
    if (used === null) return unknown("This is no expression that is worked out here.");
    const key = `${expression}\u0000${used.map((name) => signature(values.get(fold(name)))).join("\u0000")}`;
    const before = known.get(key);
    if (before) return before;
    const worked = workOut(language, expression, {
      value: (name) => values.get(fold(name)) ?? null,
      call: () => null,
    });
    const value = worked?.value ?? unknown("This is no expression that is worked out here.");
    if (known.size > 20_000) known.clear();
    known.set(key, value);
    return value;
  };
}

/** One text for a value with its type, so that equal ones have equal texts. */
export function signature(value: Answer | undefined): string {
  if (!value) return "";
  if (value.kind === "unknown") return "?";
  if (value.kind === "many") return `${value.type}[${value.items.map(signature).join(",")}]`;
  return `${value.kind}:${value.type}:${value.kind === "nothing" ? "" : String(value.value)}`;
}

/** How names are told apart: in any case where the language does not tell them by it. */
export function nameFolding(language: Language): (name: string) => string {
  return language.values?.reads.anyCase ? (name) => name.toLowerCase() : (name) => name;
}

/** What goes on a program from a place by one happening; `firstPlace` is the position of a list's first element. */
export type Machine = (place: Place, firstPlace: 0 | 1) => { place: Place; happening: Happening };

export function createMachine(language: Language, { list }: Instructions, evaluate: Evaluator): Machine {
  const rules = language.values;
  const fold = nameFolding(language);

  function assigned(place: Place, name: string, sign: string, value: string | null, type: string | null): Answer {
    const former = place.values.get(fold(name));
    if (!rules) return unknown("");
    const operator = sign === "++" ? "+" : sign === "--" ? "-" : /^[^=:]+=$/.test(sign) ? sign.slice(0, -1) : null;
    const given = value === null ? evaluate("1", place.values) : evaluate(value, place.values);
    if (isUnknown(given)) return given;
    let result: Answer = given;
    if (operator !== null) {
      if (!former || isUnknown(former)) return unknown("It has no value before.");
      result = rules.binary(operator, former, given);
    }
    if (isUnknown(result)) return result;
    // What is put into a variable becomes of its type.
    if (former && !isUnknown(former) && former.kind !== result.kind && type !== null && rules.cast)
      return rules.cast(type, result);
    if (type !== null && rules.cast && (result.kind === "whole" || result.kind === "real")) {
      const cast = rules.cast(type, result);
      return isUnknown(cast) ? result : cast;
    }
    return result;
  }

  function replaced(place: Place, name: string, at: string, value: string, first: 0 | 1): Answer {
    const many = place.values.get(fold(name));
    const [index, item] = [evaluate(at, place.values), evaluate(value, place.values)];
    if (many?.kind !== "many" || index.kind !== "whole" || isUnknown(item)) return unknown("");
    const position = Number(index.value) - (index.value < 0n ? -many.items.length : first);
    if (position < 0 || position >= many.items.length) return unknown("");
    return { ...many, items: many.items.map((each, index) => (index === position ? item : each)) };
  }

  function itemsOf(place: Place, instruction: Extract<Instructions["list"][number], { does: "each" }>): Round {
    const { source, name } = instruction;
    const nothing = { name, items: [unknown("")], next: 0, counts: false };
    if (source.kind === "items") {
      const of = evaluate(source.of, place.values);
      if (of.kind === "many") return { name, items: of.items, next: 0, counts: false };
      if (of.kind === "text")
        return { name, items: [...of.value].map((each) => textValue(each, of.type)), next: 0, counts: false };
      return nothing;
    }
    const bound = (expression: string | null, usual: string) => evaluate(expression ?? usual, place.values);
    return range(name, bound(source.start, "0"), bound(source.limit, "0"), bound(source.step, "1"), source.inclusive);
  }

  function range(name: string, start: Answer, limit: Answer, step: Answer, inclusive: boolean): Round {
    if (isUnknown(start) || isUnknown(limit) || isUnknown(step))
      return { name, items: [unknown("")], next: 0, counts: false };
    const number = (value: Known) =>
      value.kind === "whole" || value.kind === "real" ? Number(value.value) : Number.NaN;
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

  return (from, firstPlace) => {
    let place = from;
    for (;;) {
      if (place.steps > longest) return { place, happening: { happens: "lost" } };
      const instruction = list[place.at];
      const here = { ...place, at: place.at + 1, steps: place.steps + 1 };
      switch (instruction?.does) {
        case "line": {
          const time = (place.times.get(instruction.line) ?? 0) + 1;
          const times = new Map(place.times).set(instruction.line, time);
          return {
            place: { ...here, line: instruction.line, times },
            happening: { happens: "row", line: instruction.line, time },
          };
        }
        case "assign":
        case "element": {
          const name = fold(instruction.name);
          const value =
            instruction.does === "assign"
              ? assigned(place, name, instruction.sign, instruction.value, instruction.type)
              : replaced(place, name, instruction.place, instruction.value, firstPlace);
          return {
            place: { ...here, values: new Map(place.values).set(name, value) },
            happening: { happens: "value", name, value },
          };
        }
        case "take":
          return {
            place: here,
            happening: {
              ...{ happens: "take", line: place.line, time: place.times.get(place.line) ?? 1 },
              ...{ reads: instruction.reads, names: instruction.names },
            },
          };
        case "print": {
          const values = instruction.values.map((value) => evaluate(value, place.values));
          return { place: here, happening: { happens: "print", values, fixed: instruction.fixed } };
        }
        case "decide": {
          const value = evaluate(instruction.condition, place.values);
          const truth = isUnknown(value) ? null : rules?.isTrue(value);
          const holds = typeof truth === "boolean" ? truth : null;
          const ways = { holds: instruction.holds, fails: instruction.fails };
          const next = { ...here, passes: place.passes + 1, at: holds ? ways.holds : ways.fails };
          return { place: next, happening: { happens: "decision", holds, ways } };
        }
        case "count":
        case "each": {
          const round =
            instruction.does === "each"
              ? itemsOf(place, instruction)
              : range(
                  instruction.name,
                  evaluate(instruction.start, place.values),
                  evaluate(instruction.limit, place.values),
                  evaluate(String(instruction.step), place.values),
                  true,
                );
          place = { ...here, rounds: new Map(place.rounds).set(instruction.loop, round) };
          continue;
        }
        case "next": {
          const round = place.rounds.get(instruction.loop);
          const holds = round !== undefined && round.next < round.items.length;
          const { holds: goesRound, fails } = instruction;
          const isOpen = round !== undefined && holds !== byOwnValue(round, place.values.get(fold(round.name)));
          return {
            place: { ...here, passes: place.passes + 1, at: holds ? goesRound : fails },
            happening: { happens: "decision", holds, ways: { holds: goesRound, fails }, ...(isOpen ? { isOpen } : {}) },
          };
        }
        case "item": {
          const round = place.rounds.get(instruction.loop);
          if (!round) return { place, happening: { happens: "lost" } };
          const name = fold(round.name);
          const value = counted(round, place.values.get(name));
          const rounds = new Map(place.rounds).set(instruction.loop, { ...round, next: round.next + 1 });
          return {
            place: { ...here, rounds, values: new Map(place.values).set(name, value) },
            happening: { happens: "value", name, value },
          };
        }
        case "go":
          place = { ...here, at: instruction.to };
          continue;
        case "end":
          return { place, happening: { happens: "end" } };
        default:
          return { place, happening: { happens: "lost" } };
      }
    }
  };
}

/** True for a value with which the language stops the program. */
export const stops = (value: Answer) => value.kind === "unknown" && value.raised === true;

/** How far a counting loop goes on with each pass. */
function stepOf({ items: [first, second] }: Round): number {
  const number = (value: Answer | undefined) =>
    value?.kind === "whole" || value?.kind === "real" ? Number(value.value) : Number.NaN;
  return second ? number(second) - number(first) : 1;
}

/** The next value of a loop's variable: of one that counts its own last one and the step. */
function counted(round: Round, own: Answer | undefined): Answer {
  const item = round.items[round.next];
  if (!round.counts || round.next === 0) return item ?? unknown("There is nothing left to go through.");
  const step = stepOf(round);
  if (own?.kind === "whole") return { ...own, value: own.value + BigInt(Math.round(step)) };
  if (own?.kind === "real") return { ...own, value: own.value + step };
  return item ?? unknown("There is nothing left to go through.");
}

/** Whether a counting loop goes round once more by the value that its variable has. */
function byOwnValue(round: Round, own: Answer | undefined): boolean {
  const [holds, last] = [round.next < round.items.length, round.items.at(-1)];
  if (!round.counts || round.next === 0 || !last) return holds;
  if ((own?.kind !== "whole" && own?.kind !== "real") || (last.kind !== "whole" && last.kind !== "real")) return holds;
  const step = stepOf(round);
  const next = Number(own.value) + step;
  return step > 0 ? next <= Number(last.value) : next >= Number(last.value);
}
