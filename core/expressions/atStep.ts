import type { Language } from "../languages/language.ts";
import { type StateAt, stateAt } from "../trace/stateAt.ts";
import type { Trace, Value } from "../trace/trace.ts";
import { type Names, type Way, type Worked, workOut } from "./evaluate.ts";
import type { PlacedExpression } from "./expressionsOn.ts";

/** What a recorded state tells of names: case does not count where it does not in the language. */
export function namesOf(language: Language, state: StateAt): Names {
  const rules = language.values;
  const anyCase = rules?.reads.anyCase === true;
  const fold = (name: string) => (anyCase ? name.toLowerCase() : name);
  const held = (name: string) =>
    state.value(name) ??
    (anyCase ? state.value(state.names().find((each) => fold(each) === fold(name)) ?? "") : undefined);
  const waiting = [...state.returned];
  const known = (value: Value | undefined) => (value && rules ? rules.recorded(value) : null);
  return {
    value: (name) => known(held(name) ?? partOf(held, name)),
    call: (name) => {
      const at = waiting.findIndex((each) => fold(each.call).split(/[.:]/).at(-1) === fold(name));
      const [made] = at < 0 ? [] : waiting.splice(at, 1);
      return known(made?.value ?? undefined);
    },
  };
}

/** A field of an object that is named with it (`boat.load`), as far as its object is known. */
function partOf(held: (name: string) => Value | undefined, name: string): Value | undefined {
  const [first = "", ...fields] = name.split(/\.|->/);
  let value = fields.length > 0 ? held(first) : undefined;
  for (const field of fields) value = value?.items?.find((item) => item.key === field)?.value;
  return value;
}

/**
 * An expression of a line taken apart with the values that a recorded run had where that line ran (`place` in its steps); null
 * where it cannot be read. The condition of a `for` is asked after its step.
 */
export function workOutAt(
  language: Language,
  trace: Pick<Trace, "steps">,
  place: number,
  expression: Pick<PlacedExpression, "text" | "loop">,
  way: Way = "machine",
): Worked | null {
  const state = stateAt(trace, place, expression.loop === "for" ? "after" : "before");
  return state && workOut(language, expression.text, namesOf(language, state), way);
}
