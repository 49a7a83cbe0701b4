import type { Reference, Slots } from "./state.ts";
import {
  type ArrayValue,
  copied,
  fitted,
  isReal,
  isRecord,
  kindOf,
  type RecordValue,
  Stop,
  textOf,
  type Value,
} from "./values.ts";

export const isReference = (value: Value | Reference | undefined): value is Reference =>
  typeof value === "object" && value !== null && "to" in value;

/** The place of an element in its array, from 0. Stops the program where there is none. */
export const element = (array: ArrayValue, place: Value, name: string): number => {
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

/** What stands at a place that was given by reference; undefined where there is no value yet. */
export function readPlace(place: Reference): Value | undefined {
  if (place.to === "slot") {
    const held = place.slots[place.at];
    return isReference(held) ? readPlace(held) : held;
  }
  return place.to === "element" ? place.array.array[place.at] : place.fields[place.name];
}

/** Gives a place another value, of its kind; gives what it holds then. */
export function writePlace(place: Reference, value: Value): Value {
  if (place.to === "slot") {
    const given = place.type === "" ? value : fitted(value, place.type, place.name);
    place.slots[place.at] = given;
    return given;
  }
  if (place.to === "field") {
    place.fields[place.name] = value;
    return value;
  }
  const given = fitted(value, place.array.of, "the element");
  place.array.array[place.at] = given;
  return given;
}

/** A value as it is given on: arrays and records as a copy, whatever else as it is. */
export const givenOn = (value: Value, newId: () => number): Value =>
  typeof value === "object" && !isReal(value) ? copied(value, newId) : value;

/** The record of a value and the key of one of its fields. Stops the program where there is no such field. */
export function fieldOf(of: Value, name: string): { record: RecordValue; key: string } {
  const key = name.toLowerCase();
  if (!isRecord(of)) throw new Stop("wrong kind", `It is a ${kindOf(of)} and no record: it has no field ${name}.`);
  if (!Object.hasOwn(of.fields, key)) throw new Stop("no such field", `${of.record} has no field ${name}.`);
  return { record: of, key };
}

/** The number of the frame that slots belong to; 0 for those of the whole program. */
export const ownerOf = (frames: ReadonlyArray<{ slots: Slots; number: number }>, slots: Slots): number =>
  frames.find((each) => each.slots === slots)?.number ?? 0;
