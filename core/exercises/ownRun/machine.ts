import { workOut } from "../../expressions/evaluate.ts";
import { isUnknown, unknown } from "../../expressions/known.ts";
import { expressionTree } from "../../expressions/readExpression.ts";
import type { Answer } from "../../expressions/rules.ts";
import type { Language } from "../../languages/language.ts";
import { nodesOf } from "../../syntax/tree.ts";
import type { Instructions } from "./instruction.ts";
import { byOwnValue, counted, type Round, range, roundOf } from "./rounds.ts";

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
  /** The function that it is in, and where it goes on behind each of those that were called; none in the main part. */
  frames: readonly Frame[];
};

/** A call that is not over: what is to go on behind it, and the name that its caller knows its result by. */
export type Frame = {
  function: string;
  given: readonly Answer[];
  result: string;
  back: Pick<Place, "at" | "line" | "values" | "rounds">;
};

/** The name of the function that a place is in; null in the main part. */
export const functionAt = ({ frames }: Place): string | null => frames.at(-1)?.function ?? null;

/**
 * What happens next. `decision`: where it goes on if the condition holds, and if it does not; `holds` null: not known;
 * `isNew`: a parameter that begins, whatever it was
 * in a call before; `isOpen`: by the number of passes it is one, by the loop's own variable the other.
 */
export type Happening =
  | { happens: "row"; line: number; time: number }
  | { happens: "value"; name: string; value: Answer; isNew?: true }
  | { happens: "take"; line: number; time: number; reads: boolean; names: readonly string[] }
  | { happens: "print"; values: readonly Answer[]; fixed: readonly string[] }
  | { happens: "decision"; holds: boolean | null; ways: { holds: number; fails: number }; isOpen?: boolean }
  | { happens: "lost" }
  | { happens: "end" };

export const beginning: Place = {
  ...{ at: 0, line: 0, values: new Map(), rounds: new Map(), times: new Map(), passes: 0, steps: 0, frames: [] },
};

const longest = 20_000;
const deepest = 40;

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

export function createMachine(
  language: Language,
  { list, functions, mainFunction }: Instructions,
  evaluate: Evaluator,
): Machine {
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
    return typed(result, type);
  }

  /** A value as a type has it: 4 as 4.0 for a decimal parameter. */
  function typed(value: Answer, type: string | null): Answer {
    if (type === null || !rules?.cast || (value.kind !== "whole" && value.kind !== "real")) return value;
    const cast = rules.cast(type, value);
    return isUnknown(cast) ? value : cast;
  }

  function replaced(place: Place, name: string, at: string, value: string, first: 0 | 1): Answer {
    const many = place.values.get(fold(name));
    const [index, item] = [evaluate(at, place.values), evaluate(value, place.values)];
    if (many?.kind !== "many" || index.kind !== "whole" || isUnknown(item)) return unknown("");
    const position = Number(index.value) - (index.value < 0n ? -many.items.length : first);
    if (position < 0 || position >= many.items.length) return unknown("");
    return { ...many, items: many.items.map((each, index) => (index === position ? item : each)) };
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
              ? roundOf(instruction.name, instruction.source, (expression) => evaluate(expression, place.values))
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
        case "call": {
          const at = functions.get(instruction.function);
          if (at === undefined || place.frames.length >= deepest) return { place, happening: { happens: "lost" } };
          const given = instruction.given.map((each) => evaluate(each, place.values));
          const frame: Frame = {
            ...{ function: instruction.function, given, result: instruction.result },
            back: { at: here.at, line: place.line, values: place.values, rounds: place.rounds },
          };
          // What stands outside of all functions is known in each of them.
          const bottom = place.frames[0]?.back.values ?? place.values;
          const values = mainFunction === null ? bottom : new Map<string, Answer>();
          place = { ...here, at, values, rounds: new Map(), frames: [...place.frames, frame] };
          continue;
        }
        case "receive": {
          const name = fold(instruction.name);
          const value = typed(place.frames.at(-1)?.given[instruction.at] ?? unknown(""), instruction.type);
          return {
            place: { ...here, values: new Map(place.values).set(name, value) },
            happening: { happens: "value", name, value, isNew: true },
          };
        }
        case "give": {
          const frame = place.frames.at(-1);
          if (!frame) return { place, happening: { happens: "lost" } };
          const value =
            instruction.value === null
              ? unknown("")
              : typed(evaluate(instruction.value, place.values), instruction.type);
          const values = new Map(frame.back.values).set(fold(frame.result), value);
          place = { ...here, ...frame.back, values, frames: place.frames.slice(0, -1) };
          continue;
        }
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
