import { createObjectStore, type Stored } from "./objectStore.ts";
import type { ValueStyle } from "./tableStyle.ts";
import type { Step, Value, Write } from "./trace.ts";

/** Types of truths in all languages here; where they are numbers (`logical`, 1) as well. */
const truths = /^(?:_?bool(?:ean)?|logical|(?:byte|word|long|qword)bool)$/i;
const quoted = /^(["'])([\s\S]*)\1$/;

/** A plain value in a style. */
function plainText({ type, text }: Value & { text: string }, style: ValueStyle): string {
  if (style.truth === "plain" && truths.test(type)) return /^(?:true|1)$/i.test(text) ? "true" : "false";
  if (style.texts === "plain") return quoted.exec(text)?.[2] ?? text;
  return text;
}

/**
 * Lists, sets and dictionaries that two names of one call (or of the program) or two elements hold at the same time, by their numbers: each of them can
 * change what the other shows. What a call is given is no second name.
 */
function sharedObjects(steps: readonly Step[]): ReadonlySet<number> {
  const shared = new Set<number>();
  const holders = new Map<number, Map<string, string>>();
  const held = new Map<string, number>();
  const hold = (id: number | undefined, holder: string, group: string) => {
    const former = held.get(holder);
    if (former !== undefined) holders.get(former)?.delete(holder);
    if (id === undefined) return void held.delete(holder);
    held.set(holder, id);
    const all = holders.get(id) ?? new Map<string, string>();
    holders.set(id, all);
    if ([...all.values()].includes(group)) shared.add(id);
    all.set(holder, group);
  };
  const look = (value: Value | null, holder: string, group: string) => {
    hold(value?.id, holder, group);
    for (const [place, item] of (value?.items ?? []).entries())
      look(item.value, `${value?.id ?? holder}/${item.key ?? place}`, "element");
  };
  for (const { frame, writes, ended } of steps) {
    for (const { scope, owner, path, value } of writes)
      if (scope === "object") look(value, `${owner}/${path[0]}`, "element");
      else look(value, `${scope} ${owner}.${path[0]}`, `${scope} ${owner}`);
    for (const name of ended ?? []) hold(undefined, `frame ${frame}.${name}`, "");
  }
  return shared;
}

/** Writes values of a run in a style as the run goes on. */
export type ValueWriter = {
  apply: (write: Write) => void;
  /** A value as it is known by: a named object by its name alone. Says nothing. */
  short: (value: Value) => string;
  /** A value as it is to be told: a named object whole if it never was, what changed in it since, else its name. It counts as told. */
  tell: (value: Value) => string;
  /** Whether something in a value changed, in a named object, that was not told yet. */
  hasNews: (value: Value) => boolean;
  isUnset: (value: Value) => boolean;
  whole: (value: Value) => Value;
  /** Whether a value held too much to be written as a whole. */
  isCut: () => boolean;
  /** Named objects that were told since this was asked last, each with all that it holds. */
  told: () => Record<string, string>;
};

/** A writer for a run that begins. */
export function createValueWriter(steps: readonly Step[], style: ValueStyle): ValueWriter {
  const isNaming = style.objects === "named";
  const shared = isNaming ? sharedObjects(steps) : new Set<number>();
  const names = new Map<number, string>();
  const counts = new Map<string, number>();
  const introduced = new Set<number>();
  /** What changed in a named object since it was told, by place or field. */
  const news = new Map<number, Set<string | number>>();
  const toldNow = new Set<number>();
  /** Named objects that are to be told whole where they stand. */
  let introducing = false;

  const isNamed = (id: number, stored: Stored) => isNaming && (stored.shape === "object" || shared.has(id));
  const nameOf = (id: number, { shape, type }: Stored): string => {
    const known = names.get(id);
    if (known !== undefined) return known;
    const kind = shape === "object" ? type : shape;
    const number = (counts.get(kind) ?? 0) + 1;
    counts.set(kind, number);
    names.set(id, `${kind} ${number}`);
    return `${kind} ${number}`;
  };

  const store = createObjectStore({
    plain: (value) => plainText(value, style),
    object: (id, stored, whole) => {
      if (!isNamed(id, stored)) return undefined;
      const name = nameOf(id, stored);
      if (!introducing || introduced.has(id)) return name;
      introduced.add(id);
      toldNow.add(id);
      return wholeOf(name, stored, whole());
    },
  });

  /** A named object with all that it holds: `Ferry 2(load=3)`, `list 1 [3, 5]`. */
  function wholeOf(name: string, stored: Stored, text: string): string {
    if (stored.shape !== "object") return `${name} ${text}`;
    return text.startsWith(stored.type) ? `${name}${text.slice(stored.type.length)}` : `${name} ${text}`;
  }

  const written = (value: Value, whole: boolean) => {
    introducing = whole;
    const text = store.write(value);
    introducing = false;
    return text;
  };

  /** The named objects that can be reached from a value, itself included, each once, in the order of the text. */
  function reached(value: Value): number[] {
    const seen = new Set<number>();
    const found: number[] = [];
    // One after another, not one inside another: a chain may have thousands of links.
    const ahead: Value[] = [value];
    for (let next = ahead.pop(); next !== undefined; next = ahead.pop()) {
      const { id } = next;
      if (id !== undefined && seen.has(id)) continue;
      if (id !== undefined) seen.add(id);
      const stored = store.contentsOf(next);
      if (!stored) continue;
      if (id !== undefined && introduced.has(id)) found.push(id);
      for (let at = stored.items.length - 1; at >= 0; at--) {
        const item = stored.items[at]?.value;
        if (item && item.text === undefined) ahead.push(item);
      }
    }
    return found;
  }

  function changeOf(id: number): string {
    const stored = store.contentsOf({ type: "", id });
    const changed = news.get(id);
    news.delete(id);
    if (!stored || !changed) return "";
    toldNow.add(id);
    const parts = [...changed].map((place) => {
      if (place === "length") return `${stored.length ?? stored.items.length} in all`;
      const item =
        stored.shape === "list"
          ? stored.items[Number(place)]?.value
          : stored.items.find((each) => each.key === String(place))?.value;
      const where = stored.shape === "object" ? String(place) : `[${place}]`;
      return item ? `${where}=${written(item, true)}` : `${where} gone`;
    });
    return `${nameOf(id, stored)}: ${parts.join(", ")}`;
  }

  /** What the elements of a named object are known by, by place or field. */
  function partsOf(id: number): Map<string | number, string> {
    const stored = store.contentsOf({ type: "", id });
    const items = stored?.items ?? [];
    return new Map(items.map((item, place) => [item.key ?? place, written(item.value, false)]));
  }

  /** Named objects that a write brings anew, with all that they hold. */
  function broughtAnew(value: Value | null, found: number[] = []): number[] {
    if (value?.id !== undefined && value.items && introduced.has(value.id)) found.push(value.id);
    for (const item of value?.items ?? []) broughtAnew(item.value, found);
    return found;
  }

  function change(id: number, place: string | number): void {
    const changed = news.get(id) ?? new Set();
    // What changed last stands last.
    changed.delete(place);
    news.set(id, changed.add(place));
  }

  return {
    apply: (write) => {
      const before = broughtAnew(write.value).map((id) => [id, partsOf(id)] as const);
      store.apply(write);
      for (const [id, former] of before) {
        const now = partsOf(id);
        for (const place of new Set([...former.keys(), ...now.keys()]))
          if (former.get(place) !== now.get(place)) change(id, place);
      }
      const [place] = write.path;
      if (write.scope === "object" && introduced.has(write.owner) && place !== undefined) change(write.owner, place);
    },
    short: (value) => written(value, false),
    tell: (value) => {
      const changes = news.size === 0 ? [] : reached(value).map(changeOf);
      const name = written(value, true);
      const [first, ...others] = changes.filter((text) => text !== "");
      if (first === undefined) return name;
      // What changed in an object that stands in another one stands behind that one's name.
      return [...(first.startsWith(`${name}: `) ? [] : [name]), first, ...others].join("; ");
    },
    hasNews: (value) => news.size > 0 && reached(value).some((id) => news.has(id)),
    isUnset: (value) => store.isUnset(value),
    whole: (value) => store.whole(value),
    isCut: store.isCut,
    told: () => {
      const all = [...toldNow].flatMap((id) => {
        const stored = store.contentsOf({ type: "", id });
        if (!stored) return [];
        const name = nameOf(id, stored);
        const text = store.writeContents({ type: stored.type, id });
        return [[name, text] as const];
      });
      toldNow.clear();
      return Object.fromEntries(all);
    },
  };
}
