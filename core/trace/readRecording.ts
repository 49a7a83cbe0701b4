import { z } from "zod";
import type { Shape, Step, Value, Write } from "./trace.ts";

/** The recorder's compact form, described in runners/python/bent_nail_runner/recorder.py and values.py. */
type CompactValue = [string, string | null, number?, unknown[]?, string?, number?];
const shapes: Record<string, Shape> = { l: "list", t: "tuple", s: "set", d: "dictionary", o: "object" };
const scopes = ["global", "frame", "object"] as const;

const compactStepSchema = z.tuple([
  z.number().int(),
  z.number().int(),
  z.number().int(),
  z.number().int(),
  z.union([z.literal(0), z.record(z.string(), z.unknown())]),
  z.union([z.literal(0), z.array(z.unknown())]),
]);
const raisedSchema = z.tuple([z.string(), z.string()]);

function isCompactValue(value: unknown): value is CompactValue {
  return Array.isArray(value) && typeof value[0] === "string" && (value[1] === null || typeof value[1] === "string");
}

function expandValue(compact: unknown): Value {
  if (!isCompactValue(compact)) return { type: "unknown", text: "?" };
  const [type, text, id, items, shapeLetter, length] = compact;
  if (text !== null) return { type, text };
  const value: Value = { type };
  if (id) value.id = id;
  const shape = shapeLetter === undefined ? undefined : shapes[shapeLetter];
  if (shape && Array.isArray(items)) {
    value.shape = shape;
    value.items =
      shape === "dictionary" || shape === "object"
        ? items.map((item) => (Array.isArray(item) ? { key: String(item[0]), value: expandValue(item[1]) } : { value: expandValue(null) }))
        : items.map((item) => ({ value: expandValue(item) }));
    if (typeof length === "number") value.length = length;
  }
  return value;
}

function expandWrite(compact: unknown): Write | null {
  if (!Array.isArray(compact)) return null;
  const scope = scopes[Number(compact[0])];
  const path: unknown = compact[2];
  if (!scope || !Array.isArray(path)) return null;
  return {
    scope,
    owner: Number(compact[1]),
    path: path.map((part) => (typeof part === "number" ? part : String(part))),
    value: compact[3] === 0 ? null : expandValue(compact[3]),
  };
}

/**
 * Reads one chunk of the recorder's steps. `first` is the index of the chunk's first step.
 * Returns the steps, or null if the chunk is not in the recorder's form (a program may have scribbled over it).
 */
export function readRecordingChunk(json: string, first: number): Step[] | null {
  let chunk: unknown;
  try {
    chunk = JSON.parse(json);
  } catch {
    return null;
  }
  if (!Array.isArray(chunk)) return null;
  const steps: Step[] = [];
  for (const entry of chunk) {
    const parsed = compactStepSchema.safeParse(entry);
    if (!parsed.success) return null;
    const [line, file, frame, depth, extra, writes] = parsed.data;
    const step: Step = { index: first + steps.length, line, file, frame, depth, writes: noWrites };
    if (writes !== 0) step.writes = writes.map(expandWrite).filter((write) => write !== null);
    if (extra !== 0) {
      if (typeof extra.call === "string") step.call = extra.call;
      if (extra.calls) step.calls = true;
      if (extra.resumes) step.resumes = true;
      const raised = raisedSchema.safeParse(extra.raised);
      if (raised.success) step.raised = { errorName: raised.data[0], message: raised.data[1] };
      if (extra.returned !== undefined) step.returned = expandValue(extra.returned);
    }
    steps.push(step);
  }
  return steps;
}

const noWrites: readonly Write[] = [];
