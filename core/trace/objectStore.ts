import { unsetText, type Value, type Write } from "./trace.ts";

/** What a changeable object holds by now. */
export type Stored = {
  type: string;
  shape: NonNullable<Value["shape"]>;
  items: Array<{ key?: string; value: Value }>;
  length?: number;
  /** What changed last behind the items that are recorded, by place or key. */
  behind?: Map<string, Value>;
};

/** Changes behind the recorded items that are shown at most. */
const mostBehind = 3;
/** What stands for an element that holds no value yet. */
const unsetElement = "?";

/** Parts of one value that are written, and how deep they may stand in one another; the rest of it is "…". */
const mostParts = 12_000;
const deepest = 50;
/** Parts that are written in a whole run: a value that comes after so many is written with its first ones alone. */
const mostInRun = 5_000_000;
const partsThen = 100;
/** What stands for parts that are not written. */
const rest = "…";

/** How a store writes: a plain value, and a changeable object in the place of all that it holds (undefined: all that it holds). */
export type Writing = {
  plain?: (value: Value & { text: string }) => string;
  object?: (id: number, stored: Stored, whole: () => string) => string | undefined;
};

/** Remembers the contents of every changeable object as a run goes on, and writes values as a person does. */
export function createObjectStore({ plain = (value) => value.text, object }: Writing = {}) {
  const objects = new Map<number, Stored>();

  function learn(value: Value): void {
    for (const item of value.items ?? []) learn(item.value);
    if (value.id !== undefined && value.shape && value.items) {
      objects.set(value.id, {
        type: value.type,
        shape: value.shape,
        items: [...value.items],
        ...(value.length === undefined ? {} : { length: value.length }),
      });
    }
  }

  function apply(write: Write): void {
    if (write.value) learn(write.value);
    if (write.scope !== "object") return;
    const target = objects.get(write.owner);
    const [part] = write.path;
    if (!target || part === undefined) return;
    // Keys of dictionaries are written with their quotes; an object may well have a field of this name.
    if (part === "length" && (target.shape === "list" || target.shape === "dictionary")) {
      const length = Number(write.value?.text ?? target.items.length);
      target.length = length;
      if (target.shape === "list")
        for (const place of target.behind?.keys() ?? []) if (Number(place) >= length) target.behind?.delete(place);
    } else if (target.shape === "list") {
      if (typeof part === "number") changeItem(target, part, write.value);
    } else {
      changeKey(target, String(part), write.value);
    }
  }

  function changeItem(target: Stored, place: number, value: Value | null): void {
    if (place > target.items.length || (place === target.items.length && (target.length ?? 0) > place))
      changeBehind(target, String(place), value);
    else if (value) target.items[place] = { value };
    else target.items.splice(place, 1);
  }

  function changeKey(target: Stored, key: string, value: Value | null): void {
    const at = target.items.findIndex((item) => item.key === key);
    if (at < 0 && (target.length ?? 0) > target.items.length) changeBehind(target, key, value);
    else if (!value) target.items.splice(at, at < 0 ? 0 : 1);
    else if (at < 0) target.items.push({ key, value });
    else target.items[at] = { key, value };
  }

  function changeBehind(target: Stored, place: string, value: Value | null): void {
    target.behind ??= new Map();
    target.behind.delete(place);
    if (value) target.behind.set(place, value);
    for (const each of [...target.behind.keys()].slice(0, -mostBehind)) target.behind.delete(each);
  }

  /** What a value holds, as far as it is known by now; undefined for plain values and unknown objects. */
  function contentsOf(value: Value): Stored | undefined {
    if (value.id !== undefined) return objects.get(value.id);
    if (!value.shape || !value.items) return undefined;
    const behind = value.behind && new Map(value.behind.map((item) => [item.key, item.value]));
    return { type: value.type, shape: value.shape, items: [...value.items], ...(behind ? { behind } : {}) };
  }

  /** True for what holds no value yet: a variable before its first value, or a whole array of such. `seen`: whether an object is done. */
  function isUnset(value: Value, seen: Map<number, boolean> = new Map()): boolean {
    if (value.text !== undefined) return value.text === unsetText;
    // One that is looked at again was unset; one that holds itself is not.
    const known = value.id === undefined ? undefined : seen.get(value.id);
    if (known !== undefined) return known;
    if (value.id !== undefined) seen.set(value.id, false);
    const items = contentsOf(value)?.items ?? [];
    const found = items.length > 0 && items.every((item) => isUnset(item.value, seen));
    if (value.id !== undefined) seen.set(value.id, found);
    return found;
  }

  /** Parts that may still be written of the value at hand, and those that were written before it. */
  let left = 0;
  let done = 0;
  let isCut = false;

  /** Does what writes one value, which may hold the same object ever so often: within the parts that one may have. */
  function withinParts<Result>(work: () => Result): Result {
    const most = done < mostInRun ? mostParts : partsThen;
    left = most;
    const result = work();
    done += most - left;
    return result;
  }

  /** Whether a part may be written of a value that stands inside `depth` others. */
  function hasRoom(depth: number): boolean {
    if (left > 0 && depth < deepest) return true;
    isCut = true;
    return false;
  }

  /** A value as a person writes it; `open`: the objects inside of which it stands. */
  function writeInside(value: Value, open: Set<number>, isInside: boolean): string {
    left -= 1;
    const { text } = value;
    if (text !== undefined) return isInside && text === unsetText ? unsetElement : plain({ ...value, text });
    const stored = contentsOf(value);
    if (!stored || (value.id !== undefined && open.has(value.id)) || !hasRoom(open.size)) return rest;
    const own = value.id !== undefined && object?.(value.id, stored, () => writeStored(value, stored, open));
    return typeof own === "string" ? own : writeStored(value, stored, open);
  }

  function writeStored(value: Value, stored: Stored, open: Set<number>): string {
    const parts: string[] = [];
    if (value.id !== undefined) open.add(value.id);
    for (const item of stored.items) {
      if (!hasRoom(0)) {
        parts.push(rest);
        break;
      }
      const text = writeInside(item.value, open, true);
      const isField = stored.shape === "object";
      parts.push(item.key === undefined ? text : isField ? `${item.key}=${text}` : `${item.key}: ${text}`);
    }
    const total = stored.length ?? value.length;
    if (total !== undefined && total > stored.items.length) {
      const behind = [...(stored.behind ?? [])].map(([place, item]) => `${place}: ${writeInside(item, open, true)}`);
      parts.push([`… ${total} in all`, ...behind].join("; "));
    }
    if (value.id !== undefined) open.delete(value.id);
    const joined = parts.join(", ");
    if (stored.shape === "list")
      return /^list(?: from -?\d+)?$/.test(stored.type) ? `[${joined}]` : `${stored.type}([${joined}])`;
    if (stored.shape === "tuple") return `(${joined}${parts.length === 1 ? "," : ""})`;
    if (stored.shape === "set" && stored.type === "frozenset")
      return parts.length === 0 ? "frozenset()" : `frozenset({${joined}})`;
    if (stored.shape === "set") return parts.length === 0 ? "set()" : `{${joined}}`;
    if (stored.shape === "dictionary") return `{${joined}}`;
    return `${stored.type}(${joined})`;
  }

  const write = (value: Value): string => withinParts(() => writeInside(value, new Set(), false));

  function wholeInside(value: Value, open: Set<number>): Value {
    left -= 1;
    const stored = contentsOf(value);
    if (value.text !== undefined || !stored || (value.id !== undefined && open.has(value.id))) return value;
    if (!hasRoom(open.size)) return value;
    if (value.id !== undefined) open.add(value.id);
    const { length = stored.items.length, type, shape } = stored;
    const items: Array<{ key?: string; value: Value }> = [];
    for (const item of stored.items) {
      if (!hasRoom(0)) break;
      items.push({ ...item, value: wholeInside(item.value, open) });
    }
    if (value.id !== undefined) open.delete(value.id);
    const ownId = value.id === undefined ? {} : { id: value.id };
    return { type, shape, ...ownId, ...(length > items.length ? { length } : {}), items };
  }

  /** A value with all that it holds by now; what holds itself is left out there, and what is more than can be written. */
  const whole = (value: Value): Value => withinParts(() => wholeInside(value, new Set()));

  /** A value with what it holds, also where an object of its kind is written otherwise. */
  function writeContents(value: Value): string {
    const stored = contentsOf(value);
    return withinParts(() => (stored ? writeStored(value, stored, new Set()) : writeInside(value, new Set(), false)));
  }

  return {
    ...{ apply, write, writeContents, whole, contentsOf },
    isUnset: (value: Value) => isUnset(value),
    /** Whether something was too much to be written as a whole. */
    isCut: () => isCut,
  };
}
