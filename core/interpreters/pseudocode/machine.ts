import { type BuiltinCall, type CompiledProgram, type DeclaredType, type LoopSlots, op } from "./code.ts";
import { madeOf } from "./declared.ts";
import { closeFile, isAtEnd, openFile, readLine, writeLine } from "./files.ts";
import { element, fieldOf, givenOn, isReference, ownerOf, readPlace, writePlace } from "./places.ts";
import type { Frame, MachineState, OpenFile, Reference, Slots } from "./state.ts";
import {
  type ArrayValue,
  add,
  compare,
  copied,
  fitted,
  isArray,
  isReal,
  needTruth,
  negate,
  Stop,
  subtract,
  textOf,
  typedIn,
  type Value,
  worked,
} from "./values.ts";

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
  const setSlot = (
    into: Slots,
    types: string[],
    slot: number,
    value: Value,
    name: string | null,
    number: number,
  ): void => {
    const type = types[slot];
    const given = givenOn(type === undefined ? value : fitted(value, type, name ?? ""), newId);
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
        case op.reference:
          stack.push(readPlace(slots[instruction.a] as Reference) ?? noValue(instruction.with as string));
          break;
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
          const place = slots[instruction.a] as Reference;
          const value = writePlace(place, givenOn(pop(), newId));
          if (watcher && place.to === "slot") watcher.slot(ownerOf(state.frames, place.slots), place.name, value);
          if (watcher && place.to === "element") watcher.element(place.array, place.at, value);
          if (watcher && place.to === "field") watcher.field(place.record, place.name, value);
          watcher?.slot(frameNumber(), instruction.with as string, value);
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
          const own = givenOn(fitted(value, of.of, instruction.with as string), newId);
          of.array[position] = own;
          watcher?.element(of, position, own);
          break;
        }
        case op.field: {
          const { record, key } = fieldOf(pop(), instruction.with as string);
          stack.push(record.fields[key] ?? noValue(`the field ${instruction.with}`));
          break;
        }
        case op.setField: {
          const name = instruction.with as string;
          const { record, key } = fieldOf(pop(), name);
          const type = program.records
            .get(record.record.toLowerCase())
            ?.fields.find((each) => each.name.toLowerCase() === key)?.type;
          const value = givenOn(type ? fitted(pop(), type.is, name) : pop(), newId);
          record.fields[key] = value;
          watcher?.field(record.id, name, value);
          break;
        }
        case op.list: {
          const items = stack.splice(stack.length - instruction.a, instruction.a) as Value[];
          stack.push({ array: items.map((each) => copied(each, newId)), from: 1, of: "any", id: newId() });
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
              if (watcher && isReference(value)) watcher.slot(next.number, parameter.name, readPlace(value));
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
          const value = madeOf(program, type, bounds, newId);
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
          const { record, key } = fieldOf(pop(), instruction.with as string);
          stack.push({ to: "field", fields: record.fields, name: key, record: record.id });
          break;
        }
        case op.unknown:
          throw new Stop("name not known", instruction.with as string);
        case op.openFile:
          openFile(state, pop(), instruction.with as OpenFile["use"]);
          break;
        case op.readFile:
          stack.push(readLine(state, pop()));
          break;
        case op.writeFile: {
          const value = pop();
          writeLine(state, pop(), value);
          break;
        }
        case op.closeFile:
          closeFile(state, pop());
          break;
        case op.endOfFile:
          stack.push(isAtEnd(state, pop()));
          break;
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
