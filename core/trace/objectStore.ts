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

  /** True for what holds no value yet: a variable before its first value, or a whole array of such. */
  function isUnset(value: Value, open: readonly number[] = []): boolean {
    if (value.text !== undefined) return value.text === unsetText;
    if (value.id !== undefined && open.includes(value.id)) return false;
    const items = contentsOf(value)?.items ?? [];
    const inside = value.id === undefined ? open : [...open, value.id];
    return items.length > 0 && items.every((item) => isUnset(item.value, inside));
  }

  /** A value as a person writes it; `open`: the objects inside of which it stands. */
  function write(value: Value, open: ReadonlySet<number> = new Set(), isInside = false): string {
    const { text } = value;
    if (text !== undefined) return isInside && text === unsetText ? unsetElement : plain({ ...value, text });
    const stored = contentsOf(value);
    if (!stored) return "…";
    if (value.id !== undefined && open.has(value.id)) return "…";
    const own = value.id !== undefined && object?.(value.id, stored, () => writeStored(value, stored, open));
    return typeof own === "string" ? own : writeStored(value, stored, open);
  }

  function writeStored(value: Value, stored: Stored, open: ReadonlySet<number>): string {
    const inside = value.id === undefined ? open : new Set([...open, value.id]);
    const parts = stored.items.map((item) => {
      const text = write(item.value, inside, true);
      return item.key === undefined ? text : stored.shape === "object" ? `${item.key}=${text}` : `${item.key}: ${text}`;
    });
    const total = stored.length ?? value.length;
    if (total !== undefined && total > stored.items.length) {
      const behind = [...(stored.behind ?? [])].map(([place, item]) => `${place}: ${write(item, inside, true)}`);
      parts.push([`… ${total} in all`, ...behind].join("; "));
    }
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

  /** A value with all that it holds by now; what holds itself is left out there. */
  function whole(value: Value, open: ReadonlySet<number> = new Set()): Value {
    const stored = contentsOf(value);
    if (value.text !== undefined || !stored || (value.id !== undefined && open.has(value.id))) return value;
    const inside = value.id === undefined ? open : new Set([...open, value.id]);
    const { length, type, shape } = stored;
    return {
      ...{ type, shape },
      ...(value.id === undefined ? {} : { id: value.id }),
      ...(length === undefined || length <= stored.items.length ? {} : { length }),
      items: stored.items.map((item) => ({ ...item, value: whole(item.value, inside) })),
    };
  }

  /** A value with what it holds, also where an object of its kind is written otherwise. */
  function writeContents(value: Value): string {
    const stored = contentsOf(value);
    return stored ? writeStored(value, stored, new Set()) : write(value);
  }

  return { apply, write, writeContents, isUnset, whole, contentsOf };
}
