import type { StepChange } from "../../outcome/outcome.ts";
import { builtins } from "./builtins.ts";
import type { CompiledProgram } from "./code.ts";
import { createCursor, Unread } from "./cursor.ts";
import { createExpressionReader } from "./expressionReader.ts";
import { lexemesOf } from "./lexer.ts";
import type { Watcher } from "./machine.ts";
import { element, fieldOf, isReference, ownerOf, readPlace, writePlace } from "./places.ts";
import { linesOf, type MachineState, type Reference, type Slots } from "./state.ts";
import { type Expression, folded } from "./syntaxTree.ts";
import { copied, isArray, needTruth, negate, Stop, type Value, worked } from "./values.ts";

/** Why something could not be put in, in words; or how a recording is told of what was. */
export type Changed = { why: string } | { tell: (watcher: Watcher) => void };

/** Changes a run that stands before a line: a value, and files. The state is changed in place, or stays as it was. */
export function applyChange(program: CompiledProgram, state: MachineState, change: StepChange): Changed {
  const { put, files = {} } = change;
  const missing = Object.entries(files).find(([name, text]) => text === null && !Object.hasOwn(state.files, name));
  if (missing) return { why: `There is no file ${missing[0]} that could be taken away.` };
  let tell: (watcher: Watcher) => void = () => undefined;
  if (put) {
    const done = putIn(program, state, put);
    if (typeof done === "string") return { why: done };
    tell = done;
  }
  for (const [name, text] of Object.entries(files)) {
    if (text === null) delete state.files[name];
    else state.files[name] = linesOf(text);
  }
  return { tell };
}

/** The files of a run as texts. */
export const filesOf = (state: MachineState): Array<{ name: string; text: string }> =>
  Object.entries(state.files).map(([name, lines]) => ({ name, text: lines.join("\n") }));

function readWhole(text: string, what: string, isTarget: boolean): Expression | string {
  const { lexemes, problems } = lexemesOf(text);
  const [problem] = problems;
  if (problem) return problem.says;
  const cursor = createCursor(lexemes);
  const reader = createExpressionReader(cursor);
  try {
    const found = isTarget ? reader.target() : reader.expression();
    return cursor.now().kind === "line" ? found : `${text} is no ${what}.`;
  } catch (problem) {
    if (problem instanceof Unread) return problem.problem.says;
    throw problem;
  }
}

/** Gives a name, an element or a field a value where a run stands; words where that cannot be. */
function putIn(
  program: CompiledProgram,
  state: MachineState,
  { name, value }: { name: string; value: string },
): string | ((watcher: Watcher) => void) {
  const target = readWhole(name, "name, element or field", true);
  if (typeof target === "string") return target;
  const given = readWhole(value, "value", false);
  if (typeof given === "string") return given;
  try {
    const made = copied(workedOut(program, state, given), () => ++state.objectCount);
    const place = placeOf(program, state, target);
    // What is kept for the recording is what the place holds then.
    const held = writePlace(place, made);
    return (watcher) => tellOf(watcher, state, place, held);
  } catch (problem) {
    if (problem instanceof Stop) return problem.says;
    throw problem;
  }
}

function tellOf(watcher: Watcher, state: MachineState, place: Reference, held: Value): void {
  if (place.to === "element") watcher.element(place.array, place.at, held);
  else if (place.to === "field") watcher.field(place.record, place.name, held);
  else if (isReference(place.slots[place.at])) tellOf(watcher, state, place.slots[place.at] as Reference, held);
  else watcher.slot(ownerOf(state.frames, place.slots), place.name, held);
}

/** The slot that a name stands for where a run stands: of the open routine, else of the whole program. */
function slotOf(program: CompiledProgram, state: MachineState, name: string): Reference {
  const wanted = folded(name);
  const frame = state.frames.at(-1);
  const among = (names: ReadonlyArray<string | null>, slots: Slots, types: readonly string[]): Reference | null => {
    const at = names.findIndex((each) => each !== null && folded(each) === wanted);
    return at < 0 ? null : { to: "slot", slots, at, type: types[at] ?? "", name: names[at] ?? name };
  };
  const own = frame ? among(program.routines[frame.routine]?.slots ?? [], frame.slots, frame.types) : null;
  const found = own ?? among(program.globals, state.globals, state.globalTypes);
  if (found) return found;
  throw new Stop("name not known", `The program has no name ${name} here.`);
}

function placeOf(program: CompiledProgram, state: MachineState, target: Expression): Reference {
  if (target.is === "name") {
    const slot = slotOf(program, state, target.name);
    const held = slot.to === "slot" ? slot.slots[slot.at] : undefined;
    return isReference(held) ? held : slot;
  }
  if (target.is === "field") {
    const { record, key } = fieldOf(workedOut(program, state, target.of), target.name);
    return { to: "field", fields: record.fields, name: key, record: record.id };
  }
  if (target.is !== "index") throw new Stop("no target", "Only a name, an element or a field can be given a value.");
  let array = workedOut(program, state, target.of);
  for (const [at, each] of target.places.entries()) {
    if (!isArray(array)) throw new Stop("wrong kind", "Only an array has elements that can be changed.");
    const place = element(array, workedOut(program, state, each), "The array");
    if (at === target.places.length - 1) return { to: "element", array, at: place };
    array = array.array[place] ?? noValue();
  }
  return noValue();
}

const noValue = (): never => {
  throw new Stop("no value", "There is no value here yet.");
};

/** What an expression comes to where a run stands, by the operations of the machine; routines of the program are not called. */
function workedOut(program: CompiledProgram, state: MachineState, given: Expression): Value {
  const of = (each: Expression): Value => workedOut(program, state, each);
  switch (given.is) {
    case "number":
      return given.whole ? given.value : { real: Number(given.value) };
    case "text":
    case "truth":
      return given.value;
    case "name":
    case "field":
    case "index": {
      if (given.is === "index") {
        const text = of(given.of);
        if (typeof text === "string") return [...text][Number(of(given.places[0] as Expression)) - 1] ?? noValue();
      }
      return readPlace(placeOf(program, state, given)) ?? noValue();
    }
    case "list":
      return { array: given.items.map(of), from: 1, of: "any", id: ++state.objectCount };
    case "unary":
      return given.sign === "-" ? negate(of(given.of)) : !needTruth(of(given.of), "NOT");
    case "binary":
      return worked(given.sign, of(given.left), of(given.right));
    case "call": {
      const builtin = builtins.get(folded(given.name));
      if (!builtin || given.given.length < builtin.least || given.given.length > builtin.most)
        throw new Stop("name not known", `${given.name} is not called while something is put in.`);
      return builtin.gives(given.given.map(of));
    }
    case "input":
      throw new Stop("no value", "Nothing is typed in while something is put in.");
  }
}
