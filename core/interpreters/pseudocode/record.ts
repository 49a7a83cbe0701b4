import { type Step, type Value as TraceValue, unsetText, type Write } from "../../trace/trace.ts";
import type { Watcher } from "./machine.ts";
import { isArray, isReal, isRecord, textOf, type Value } from "./values.ts";

/** Elements of an array that a recording holds; what changes behind them is told as it changes. */
const mostItems = 200;

/** The names of the types, as tables and values show them. */
const typeOf = (value: Value): string => {
  if (typeof value === "number" || typeof value === "bigint") return "INTEGER";
  if (typeof value === "string") return "STRING";
  return typeof value === "boolean" ? "BOOLEAN" : isReal(value) ? "REAL" : isArray(value) ? "ARRAY" : value.record;
};

/** A value as recordings have it: texts in quotes, what has no value yet as such. */
export function recordedValue(value: Value | undefined): TraceValue {
  if (value === undefined) return { type: "?", text: unsetText };
  if (typeof value === "object" && isArray(value)) {
    const items = value.array.slice(0, mostItems).map((each) => ({ value: recordedValue(each) }));
    const type = value.from === 1 ? "list" : `list from ${value.from}`;
    return { type, id: value.id, shape: "list", items, length: value.array.length };
  }
  if (typeof value === "object" && isRecord(value)) {
    const items = Object.entries(value.fields).map(([key, each]) => ({ key, value: recordedValue(each) }));
    return { type: value.record, id: value.id, shape: "object", items };
  }
  return { type: typeOf(value), text: typeof value === "string" ? `"${value}"` : textOf(value) };
}

/** A recording as it is made; `steps` is complete when `end` was called. */
export type Recorder = {
  watcher: Watcher;
  steps: Step[];
  /** Steps so far; the next one has this index. */
  count: () => number;
  end: (raised?: { errorName: string; message: string }) => void;
};

/** Takes down what a run does, line by line; `steps` is complete when `end` was called. */
export function createRecorder(): Recorder {
  const steps: Step[] = [];
  type Open = { -readonly [Key in keyof Omit<Step, "writes">]: Step[Key] } & { writes: Write[] };
  let now = null as Open | null;
  const flush = (): void => {
    if (now) steps.push(now);
    now = null;
  };
  const begin = (line: number, frame: number, depth: number, more?: Partial<Omit<Step, "writes">>): void => {
    flush();
    now = { index: steps.length, line, file: 0, frame, depth, writes: [] };
    if (more) Object.assign(now, more);
  };
  const write = (one: Write): void => {
    if (!now) return;
    const { writes } = now;
    // Of what is written twice on a line the last counts.
    if (writes.length > 0 && one.scope !== "object") {
      const same = writes.findIndex(
        (each) => each.scope === one.scope && each.owner === one.owner && each.path[0] === one.path[0],
      );
      if (same >= 0) writes.splice(same, 1);
    }
    writes.push(one);
  };
  return {
    steps,
    count: () => steps.length + (now ? 1 : 0),
    end: (raised) => {
      if (now && raised) now.raised = raised;
      flush();
    },
    watcher: {
      line: (line, frame, depth) => begin(line, frame, depth),
      slot: (frame, name, value) =>
        write({
          ...{ scope: frame === 0 ? "global" : "frame", owner: frame, path: [name] },
          value: value === undefined ? null : recordedValue(value),
        }),
      element: (array, at, value) =>
        write({ scope: "object", owner: array.id, path: [at], value: recordedValue(value) }),
      field: (record, name, value) =>
        write({ scope: "object", owner: record, path: [name.toLowerCase()], value: recordedValue(value) }),
      condition: (holds) => {
        if (now) now.condition = holds;
      },
      out: (text) => {
        if (now) now.out = (now.out ?? "") + text;
      },
      typed: (text) => {
        if (now) now.in = (now.in ?? "") + text;
      },
      enter: (name, line, frame, depth) => {
        if (now) now.calls = true;
        begin(line, frame, depth, { call: name });
      },
      leave: (value, line, frame, depth) => {
        if (now && value !== undefined) now.returned = recordedValue(value);
        begin(line, frame, depth, { resumes: true });
      },
    },
  };
}
