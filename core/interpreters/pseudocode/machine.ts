import { type BuiltinCall, type CompiledProgram, type DeclaredType, type LoopSlots, op } from "./code.ts";
import {
  type ArrayValue,
  add,
  compare,
  copied,
  divide,
  fitted,
  isArray,
  isReal,
  isRecord,
  join,
  kindOf,
  multiply,
  needTruth,
  negate,
  power,
  rest,
  Stop,
  subtract,
  textOf,
  typedIn,
  type Value,
  wholeQuotient,
} from "./values.ts";

/** A place that is given by reference: a slot, an element, or a field. */
export type Reference =
  | { to: "slot"; slots: Slots; at: number; type: string; name: string }
  | { to: "element"; array: ArrayValue; at: number }
  | { to: "field"; fields: Record<string, Value | undefined>; name: string; record: number };
export type Slots = Array<Value | Reference | undefined>;

export type Frame = {
  routine: number;
  slots: Slots;
  types: string[];
  back: number;
  line: number;
  number: number;
  asValue: boolean;
};
export type OpenFile = { lines: string[]; at: number; use: "read" | "write" | "append" };

/** All that there is of a run; a copy of it (by `structuredClone`) is a run of its own. */
export type MachineState = {
  at: number;
  line: number;
  stack: Array<Value | Reference>;
  globals: Slots;
  globalTypes: string[];
  frames: Frame[];
  frameCount: number;
  objectCount: number;
  typed: string[];
  typedAt: number;
  files: Record<string, string[]>;
  open: Record<string, OpenFile>;
  steps: number;
  ended: null | "end" | { errorName: string; says: string; line: number };
  inputRanOut: boolean;
};

/** What a recording notes as a run goes on. Lines are 1-based; `frame` is 0 for the whole program. */
export type Watcher = {
  line: (line: number, frame: number, depth: number) => void;
  slot: (frame: number, name: string, value: Value | undefined) => void;
  element: (array: ArrayValue, at: number, value: Value) => void;
  field: (record: number, name: string, value: Value) => void;
  condition: (holds: boolean) => void;
  out: (text: string) => void;
  typed: (text: string) => void;
  enter: (name: string, line: number, frame: number, depth: number) => void;
  leave: (value: Value | undefined, line: number, frame: number, depth: number) => void;
};

/** How far a run may go; open calls beyond `mostCalls` are a recursion without end. */
export type MachineLimits = { steps: number; mostCalls: number; outputCharacters: number };
export const usualMachineLimits: MachineLimits = { steps: 50_000_000, mostCalls: 5_000, outputCharacters: 1_000_000 };

/** A run that has not begun. */
export function newState(
  program: CompiledProgram,
  input: string,
  files: Readonly<Record<string, string>> = {},
): MachineState {
  const typed = input === "" ? [] : input.replace(/\r\n?/g, "\n").replace(/\n$/, "").split("\n");
  return {
    ...{
      at: 0,
      line: 0,
      stack: [],
      globals: new Array(program.globals.length).fill(undefined),
      globalTypes: [],
      frames: [],
    },
    ...{ frameCount: 0, objectCount: 0, typed, typedAt: 0, open: {}, steps: 0, ended: null, inputRanOut: false },
    files: Object.fromEntries(Object.entries(files).map(([name, text]) => [name, linesOf(text)])),
  };
}
const linesOf = (text: string): string[] =>
  text === "" ? [] : text.replace(/\r\n?/g, "\n").replace(/\n$/, "").split("\n");

const isReference = (value: Value | Reference | undefined): value is Reference =>
  typeof value === "object" && value !== null && "to" in value;

const element = (array: ArrayValue, place: Value, name: string): number => {
  if (typeof place !== "number")
    throw new Stop("wrong kind", `A position is a whole number, but here is ${textOf(place)}.`);
  const at = place - array.from;
  if (at < 0 || at >= array.array.length)
    throw new Stop(
      "position outside",
      array.array.length === 0
        ? `${name} has no elements, so there is no position ${place}.`
        : `${name} has positions ${array.from} to ${array.from + array.array.length - 1}, and none ${place}.`,
    );
  return at;
};

/** Where a run writes to, and what is told of what was typed in (line ends included). */
export type MachineConsole = { write: (text: string) => void; typed: (text: string) => void };

/** Why a run ended that was stopped from outside of the program. */
export type Cut = "steps" | "output";

/**
 * Goes on with a run up to its end, or by `mostLines` lines. The state is changed in place. A watcher is told of everything. Gives why it was cut off, null where it was not.
 */
export function runMachine(
  program: CompiledProgram,
  state: MachineState,
  console: MachineConsole,
  limits: MachineLimits = usualMachineLimits,
  watcher: Watcher | null = null,
  mostLines = Number.POSITIVE_INFINITY,
): Cut | null {
  const { code } = program;
  const { stack } = state;
  let at = state.at;
  let frame = state.frames.at(-1) ?? null;
  let slots: Slots = frame ? frame.slots : state.globals;
  let left = mostLines;
  let steps = state.steps;
  let written = 0;
  const newId = () => ++state.objectCount;
  const pop = (): Value => stack.pop() as Value;
  const print = (text: string): void => {
    written += text.length;
    console.write(text);
    watcher?.out(text);
  };
  const nextTyped = (): Value => {
    const text = state.typed[state.typedAt];
    if (text === undefined) {
      state.inputRanOut = true;
      throw new Stop("no more input", "The program asks for input, but nothing more was typed in.");
    }
    state.typedAt += 1;
    console.typed(`${text}\n`);
    watcher?.typed(`${text}\n`);
    return typedIn(text);
  };
  const noValue = (name: string): never => {
    throw new Stop("no value", `${name} has no value here: nothing was given to it yet, or its loop is over.`);
  };
  const frameNumber = () => frame?.number ?? 0;
  const make = (type: DeclaredType, bounds: readonly Value[], from = 0): Value | undefined => {
    if (type.is === "array") {
      const dimensions = type.dimensions ?? 1;
      const inner = (dimension: number): Value => {
        const [low, high] = [bounds[(from + dimension) * 2], bounds[(from + dimension) * 2 + 1]];
        if (typeof low !== "number" || typeof high !== "number")
          throw new Stop("wrong kind", "The bounds of an array are whole numbers.");
        const length = high - low + 1;
        if (length < 0 || length > 1_000_000)
          throw new Stop("no such array", `An array cannot go from ${low} to ${high}.`);
        const own = newId();
        const array = Array.from({ length }, () =>
          dimension < dimensions - 1 ? inner(dimension + 1) : make(type.of ?? { is: "any" }, bounds, from + dimensions),
        );
        return { array, from: low, id: own };
      };
      return inner(0);
    }
    if (type.is !== "record") return undefined;
    const record = program.records[type.record ?? ""];
    const fields: Record<string, Value | undefined> = {};
    const id = newId();
    for (const { name, type: own } of record?.fields ?? []) fields[name.toLowerCase()] = make(own, bounds);
    return { record: record?.name ?? "", fields, id };
  };
  const fileName = (value: Value): string => {
    if (typeof value === "string") return value;
    throw new Stop("wrong kind", "The name of a file is a text.");
  };
  const setSlot = (
    into: Slots,
    types: string[],
    slot: number,
    value: Value,
    name: string | null,
    number: number,
  ): void => {
    const type = types[slot];
    let given = type === undefined ? value : fitted(value, type, name ?? "");
    if (typeof given === "object" && !isReal(given)) given = copied(given, newId);
    into[slot] = given;
    if (watcher && name !== null) watcher.slot(number, name, given);
  };

  try {
    for (;;) {
      const instruction = code[at] as (typeof code)[number];
      at += 1;
      switch (instruction.op) {
        case op.line:
          if (left <= 0) {
            at -= 1;
            return null;
          }
          left -= 1;
          steps += 1;
          state.line = instruction.line;
          if (steps > limits.steps) return "steps";
          if (written > limits.outputCharacters) return "output";
          watcher?.line(instruction.line, frameNumber(), state.frames.length);
          break;
        case op.constant:
          stack.push(instruction.with as Value);
          break;
        case op.global: {
          const value = state.globals[instruction.a] as Value | undefined;
          stack.push(value === undefined ? noValue(instruction.with as string) : value);
          break;
        }
        case op.local: {
          const value = slots[instruction.a];
          stack.push(value === undefined ? noValue(instruction.with as string) : value);
          break;
        }
        case op.reference: {
          const reference = slots[instruction.a] as Reference;
          const value =
            reference.to === "slot"
              ? (reference.slots[reference.at] as Value | undefined)
              : reference.to === "element"
                ? reference.array.array[reference.at]
                : reference.fields[reference.name];
          stack.push(value === undefined ? noValue(instruction.with as string) : value);
          break;
        }
        case op.setGlobal:
          setSlot(
            state.globals,
            state.globalTypes,
            instruction.a,
            pop(),
            instruction.b === 1 ? null : (instruction.with as string),
            0,
          );
          break;
        case op.setLocal:
          setSlot(
            slots,
            frame?.types ?? [],
            instruction.a,
            pop(),
            instruction.b === 1 ? null : (instruction.with as string),
            frameNumber(),
          );
          break;
        case op.setReference: {
          const reference = slots[instruction.a] as Reference;
          const value = pop();
          const own = typeof value === "object" && !isReal(value) ? copied(value, newId) : value;
          if (reference.to === "slot") {
            const given = reference.type === "" ? own : fitted(own, reference.type, reference.name);
            reference.slots[reference.at] = given;
            if (watcher) {
              const owner = state.frames.find((each) => each.slots === reference.slots);
              watcher.slot(owner?.number ?? 0, reference.name, given);
              watcher.slot(frameNumber(), instruction.with as string, given);
            }
          } else if (reference.to === "element") {
            reference.array.array[reference.at] = own;
            watcher?.element(reference.array, reference.at, own);
            watcher?.slot(frameNumber(), instruction.with as string, own);
          } else {
            reference.fields[reference.name] = own;
            watcher?.field(reference.record, reference.name, own);
            watcher?.slot(frameNumber(), instruction.with as string, own);
          }
          break;
        }
        case op.element: {
          const place = pop();
          const of = pop();
          if (typeof of === "string") {
            const signs = [...of];
            if (typeof place !== "number" || place < 1 || place > signs.length)
              throw new Stop(
                "position outside",
                `The text has positions 1 to ${signs.length}, and none ${textOf(place)}.`,
              );
            stack.push(signs[place - 1] as string);
            break;
          }
          if (!isArray(of)) throw new Stop("wrong kind", `${instruction.with} is no array: it has no positions.`);
          const value = of.array[element(of, place, instruction.with as string)];
          stack.push(value === undefined ? noValue(`${instruction.with}[${textOf(place)}]`) : value);
          break;
        }
        case op.setElement: {
          const place = pop();
          const of = pop();
          const value = pop();
          if (!isArray(of)) throw new Stop("wrong kind", `${instruction.with} is no array: it has no positions.`);
          const position = element(of, place, instruction.with as string);
          const own = typeof value === "object" && !isReal(value) ? copied(value, newId) : value;
          of.array[position] = own;
          watcher?.element(of, position, own);
          break;
        }
        case op.field: {
          const of = pop();
          const name = (instruction.with as string).toLowerCase();
          if (!isRecord(of))
            throw new Stop("wrong kind", `It is a ${kindOf(of)} and no record: it has no field ${instruction.with}.`);
          if (!(name in of.fields)) throw new Stop("no such field", `${of.record} has no field ${instruction.with}.`);
          stack.push(of.fields[name] ?? noValue(`the field ${instruction.with}`));
          break;
        }
        case op.setField: {
          const of = pop();
          const value = pop();
          const name = (instruction.with as string).toLowerCase();
          if (!isRecord(of))
            throw new Stop("wrong kind", `It is a ${kindOf(of)} and no record: it has no field ${instruction.with}.`);
          if (!(name in of.fields)) throw new Stop("no such field", `${of.record} has no field ${instruction.with}.`);
          const type = program.records[of.record.toLowerCase()]?.fields.find(
            (each) => each.name.toLowerCase() === name,
          )?.type;
          let own = type ? fitted(value, type.is, instruction.with as string) : value;
          if (typeof own === "object" && !isReal(own)) own = copied(own, newId);
          of.fields[name] = own;
          watcher?.field(of.id, instruction.with as string, own);
          break;
        }
        case op.list: {
          const items = stack.splice(stack.length - instruction.a, instruction.a) as Value[];
          stack.push({ array: items.map((each) => copied(each, newId)), from: 1, id: newId() });
          break;
        }
        case op.add: {
          const right = pop();
          const one = pop();
          stack.push(add(one, right));
          break;
        }
        case op.subtract: {
          const right = pop();
          const one = pop();
          stack.push(subtract(one, right));
          break;
        }
        case op.less: {
          const right = pop();
          const one = pop();
          stack.push(compare("<", one, right) < 0);
          break;
        }
        case op.lessOrEqual: {
          const right = pop();
          const one = pop();
          stack.push(compare("≤", one, right) <= 0);
          break;
        }
        case op.greater: {
          const right = pop();
          const one = pop();
          stack.push(compare(">", one, right) > 0);
          break;
        }
        case op.equal: {
          const right = pop();
          const one = pop();
          stack.push(compare("=", one, right) === 0);
          break;
        }
        case op.binary: {
          const right = pop();
          const one = pop();
          stack.push(worked(instruction.with as string, one, right));
          break;
        }
        case op.negate:
          stack.push(negate(pop()));
          break;
        case op.not:
          stack.push(!needTruth(pop(), "NOT"));
          break;
        case op.jump:
          at = instruction.a;
          break;
        case op.jumpUnless: {
          const holds = needTruth(pop(), instruction.with as string);
          if (instruction.b === 1) watcher?.condition(holds);
          if (!holds) at = instruction.a;
          break;
        }
        case op.andThen:
          if (needTruth(stack[stack.length - 1] as Value, "AND")) stack.pop();
          else at = instruction.a;
          break;
        case op.orElse:
          if (!needTruth(stack[stack.length - 1] as Value, "OR")) stack.pop();
          else at = instruction.a;
          break;
        case op.truth:
          needTruth(stack[stack.length - 1] as Value, instruction.with as string);
          break;
        case op.call: {
          const routine = program.routines[instruction.a] as (typeof program.routines)[number];
          if (state.frames.length >= limits.mostCalls)
            throw new Stop(
              "too many calls",
              `${routine.name} is called again and again, ${limits.mostCalls} calls deep: nothing ends the recursion.`,
            );
          const given = stack.splice(stack.length - (instruction.with as number), instruction.with as number);
          const own: Slots = new Array(routine.slots.length).fill(undefined);
          const types: string[] = [];
          state.frameCount += 1;
          const next: Frame = {
            routine: instruction.a,
            slots: own,
            types,
            back: at,
            line: instruction.line,
            number: state.frameCount,
            asValue: instruction.b === 1,
          };
          watcher?.enter(routine.name, routine.line, next.number, state.frames.length + 1);
          for (const [place, parameter] of routine.parameters.entries()) {
            const value = given[place];
            if (parameter.byReference || isReference(value)) {
              own[place] = value;
              if (watcher && isReference(value)) {
                const held =
                  value.to === "slot"
                    ? value.slots[value.at]
                    : value.to === "element"
                      ? value.array.array[value.at]
                      : value.fields[value.name];
                watcher.slot(next.number, parameter.name, isReference(held) ? undefined : held);
              }
              continue;
            }
            if (parameter.type.is !== "any") types[place] = parameter.type.is;
            setSlot(own, types, place, value as Value, parameter.name, next.number);
          }
          state.frames.push(next);
          frame = next;
          slots = own;
          at = routine.begin;
          break;
        }
        case op.builtin: {
          const { builtin, given } = instruction.with as BuiltinCall;
          const values = stack.splice(stack.length - given, given) as Value[];
          stack.push(builtin.gives(values));
          break;
        }
        case op.giveBack:
        case op.leave: {
          const done = state.frames.pop() as Frame;
          const routine = program.routines[done.routine] as (typeof program.routines)[number];
          if (instruction.op === op.leave && routine.gives) {
            state.frames.push(done);
            state.line = routine.endLine;
            throw new Stop(
              "nothing given back",
              `${routine.name} came to its end without RETURN, so it gives no value back.`,
            );
          }
          let value = instruction.op === op.giveBack && instruction.a === 1 ? pop() : undefined;
          if (value !== undefined && routine.returns.is !== "any")
            value = fitted(value, routine.returns.is, `What ${routine.name} gives back`);
          at = done.back;
          frame = state.frames.at(-1) ?? null;
          slots = frame ? frame.slots : state.globals;
          state.line = done.line;
          watcher?.leave(value, done.line, frameNumber(), state.frames.length);
          if (done.asValue) stack.push(value as Value);
          break;
        }
        case op.drop:
          stack.pop();
          break;
        case op.output: {
          const items = stack.splice(stack.length - instruction.a, instruction.a) as Value[];
          print(items.map(textOf).join("") + (instruction.b === 1 ? "" : "\n"));
          break;
        }
        case op.input:
          stack.push(nextTyped());
          break;
        case op.declareGlobal:
        case op.declareLocal: {
          const { type, name } = instruction.with as { type: DeclaredType; name: string };
          const bounds = stack.splice(stack.length - instruction.b * 2, instruction.b * 2) as Value[];
          const isGlobal = instruction.op === op.declareGlobal;
          const into = isGlobal ? state.globals : slots;
          const types = isGlobal ? state.globalTypes : (frame?.types ?? []);
          if (type.is !== "any") types[instruction.a] = type.is;
          const value = make(type, bounds);
          into[instruction.a] = value;
          if (watcher && value !== undefined) watcher.slot(isGlobal ? 0 : frameNumber(), name, value);
          break;
        }
        case op.forBegin: {
          const { counter, limit, step, isGlobal, name } = instruction.with as LoopSlots;
          const into = isGlobal ? state.globals : slots;
          const by = pop();
          const to = pop();
          const from = pop();
          for (const each of [from, to, by])
            if (typeof each !== "number" && typeof each !== "bigint" && !isReal(each))
              throw new Stop("wrong kind", `A loop counts with numbers, but here is ${textOf(each)}.`);
          if (compare("=", by, 0) === 0)
            throw new Stop("step of zero", "A loop with STEP 0 never comes to its last value.");
          into[limit] = to;
          into[step] = by;
          setSlot(
            into,
            isGlobal ? state.globalTypes : (frame?.types ?? []),
            counter,
            from,
            name,
            isGlobal ? 0 : frameNumber(),
          );
          break;
        }
        case op.forTest: {
          const { counter, limit, step, isGlobal, name } = instruction.with as LoopSlots;
          const into = isGlobal ? state.globals : slots;
          const value = into[counter];
          if (value === undefined) noValue(name);
          const off = compare("≤", value as Value, into[limit] as Value);
          const goesOn = compare(">", into[step] as Value, 0) > 0 ? off <= 0 : off >= 0;
          watcher?.condition(goesOn);
          if (!goesOn) {
            into[counter] = undefined;
            watcher?.slot(isGlobal ? 0 : frameNumber(), name, undefined);
            at = instruction.a;
          }
          break;
        }
        case op.forNext: {
          const { counter, step, isGlobal, name } = instruction.with as LoopSlots;
          const into = isGlobal ? state.globals : slots;
          const value = into[counter];
          if (value === undefined) noValue(name);
          setSlot(
            into,
            isGlobal ? state.globalTypes : (frame?.types ?? []),
            counter,
            add(value as Value, into[step] as Value),
            name,
            isGlobal ? 0 : frameNumber(),
          );
          break;
        }
        case op.eachTest: {
          const { list, at: place, isGlobal } = instruction.with as { list: number; at: number; isGlobal: boolean };
          const into = isGlobal ? state.globals : slots;
          const of = into[list] as Value;
          if (typeof of !== "string" && !isArray(of))
            throw new Stop("wrong kind", "FOR EACH goes through an array or a text.");
          const items: ReadonlyArray<Value | undefined> = typeof of === "string" ? [...of] : of.array;
          const next = into[place] as number;
          watcher?.condition(next < items.length);
          if (next >= items.length) {
            at = instruction.a;
            break;
          }
          into[place] = next + 1;
          stack.push(items[next] ?? noValue("An element"));
          break;
        }
        case op.caseTest: {
          const to = instruction.b === 1 ? pop() : null;
          const from = pop();
          const value = pop();
          stack.push(
            to === null
              ? compare("=", value, from) === 0
              : compare("≥", value, from) >= 0 && compare("≤", value, to) <= 0,
          );
          break;
        }
        case op.referToGlobal:
        case op.referToLocal: {
          const isGlobal = instruction.op === op.referToGlobal;
          const types = isGlobal ? state.globalTypes : (frame?.types ?? []);
          stack.push({
            ...{ to: "slot", slots: isGlobal ? state.globals : slots, at: instruction.a },
            ...{ type: types[instruction.a] ?? "", name: instruction.with as string },
          });
          break;
        }
        case op.referToElement: {
          const place = pop();
          const of = pop();
          if (!isArray(of)) throw new Stop("wrong kind", `${instruction.with} is no array: it has no positions.`);
          stack.push({ to: "element", array: of, at: element(of, place, instruction.with as string) });
          break;
        }
        case op.referToField: {
          const of = pop();
          const name = (instruction.with as string).toLowerCase();
          if (!isRecord(of) || !(name in of.fields))
            throw new Stop("no such field", `There is no field ${instruction.with}.`);
          stack.push({ to: "field", fields: of.fields, name, record: of.id });
          break;
        }
        case op.unknown:
          throw new Stop("name not known", instruction.with as string);
        case op.openFile: {
          const name = fileName(pop());
          const use = instruction.with as OpenFile["use"];
          if (state.open[name]) throw new Stop("file open", `The file ${name} is open already.`);
          if (use === "read" && !(name in state.files)) throw new Stop("no such file", `There is no file ${name}.`);
          const lines = use === "write" ? [] : (state.files[name] ?? []);
          state.files[name] = lines;
          state.open[name] = { lines, at: 0, use };
          break;
        }
        case op.readFile: {
          const name = fileName(pop());
          const file = state.open[name];
          if (file?.use !== "read") throw new Stop("file not open", `The file ${name} is not open for reading.`);
          const line = file.lines[file.at];
          if (line === undefined) throw new Stop("end of file", `The file ${name} has no more lines.`);
          file.at += 1;
          stack.push(line);
          break;
        }
        case op.writeFile: {
          const value = pop();
          const name = fileName(pop());
          const file = state.open[name];
          if (!file || file.use === "read")
            throw new Stop("file not open", `The file ${name} is not open for writing.`);
          file.lines.push(textOf(value));
          break;
        }
        case op.closeFile: {
          const name = fileName(pop());
          if (!state.open[name]) throw new Stop("file not open", `The file ${name} is not open.`);
          delete state.open[name];
          break;
        }
        case op.endOfFile: {
          const name = fileName(pop());
          const file = state.open[name];
          if (file?.use !== "read") throw new Stop("file not open", `The file ${name} is not open for reading.`);
          stack.push(file.at >= file.lines.length);
          break;
        }
        case op.stop:
          at -= 1;
          state.ended = "end";
          return null;
      }
    }
  } catch (problem) {
    if (!(problem instanceof Stop)) throw problem;
    state.ended = { errorName: problem.errorName, says: problem.says, line: state.line };
    return null;
  } finally {
    state.at = at;
    state.steps = steps;
  }
}

function worked(sign: string, left: Value, right: Value): Value {
  switch (sign) {
    case "*":
      return multiply(left, right);
    case "/":
      return divide(left, right);
    case "div":
      return wholeQuotient(left, right);
    case "mod":
      return rest(left, right);
    case "^":
      return power(left, right);
    case "&":
      return join(left, right);
    case "≠":
      return compare("≠", left, right) !== 0;
    default:
      return compare("≥", left, right) >= 0;
  }
}
