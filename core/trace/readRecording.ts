import type { Shape, Step, Value, Write } from "./trace.ts";

const shapes: Readonly<Record<string, Shape>> = { l: "list", t: "tuple", s: "set", d: "dictionary", o: "object" };
const noWrites: readonly Write[] = [];

/** How deep values may stand in one another in one token, lines and depths of calls at most: no recorder goes further. */
const deepest = 100;
const mostLines = 10_000_000;
const mostOpen = 10_000_000;

/** Raised inside when a token is not of the recorder's form. */
class NotARecording extends Error {}

/** A whole number between two others, both included. */
function whole(token: unknown, from: number, to: number): number {
  if (!Number.isInteger(token) || (token as number) < from || (token as number) > to) throw new NotARecording();
  return token as number;
}

/** A value token: a JSON atom, or [type, text], or [type, null, id, items?, shape?, length?, behind?]; ["-"] is null: gone. */
function readValue(token: unknown, depth = 0): Value | null {
  if (depth > deepest) throw new NotARecording();
  if (typeof token === "number") return { type: "int", text: String(token) };
  if (token === true || token === false) return { type: "bool", text: token ? "True" : "False" };
  if (token === null) return { type: "NoneType", text: "None" };
  if (!Array.isArray(token) || typeof token[0] !== "string") throw new NotARecording();
  const [type, text, id, items, shapeLetter, length, behind]: unknown[] = token;
  if (type === "-" && token.length === 1) return null;
  if (typeof text === "string") return { type: String(type), text };
  const value: Value = { type: String(type) };
  if (typeof id === "number" && id > 0) value.id = id;
  const shape = typeof shapeLetter === "string" ? shapes[shapeLetter] : undefined;
  if (shape && Array.isArray(items)) {
    value.shape = shape;
    value.items = items.map((item: unknown) => {
      if (shape !== "dictionary" && shape !== "object") return { value: present(item, depth + 1) };
      if (!Array.isArray(item)) throw new NotARecording();
      return { key: String(item[0]), value: present(item[1], depth + 1) };
    });
    if (typeof length === "number") value.length = whole(length, 0, Number.MAX_SAFE_INTEGER);
    if (Array.isArray(behind))
      value.behind = behind.map((item: unknown) => {
        if (!Array.isArray(item)) throw new NotARecording();
        return { key: String(item[0]), value: present(item[1], depth + 1) };
      });
  }
  return value;
}

function present(token: unknown, depth = 0): Value {
  const value = readValue(token, depth);
  if (value === null) throw new NotARecording();
  return value;
}

/** Files as pairs of a name and what they hold. */
function readFiles(token: unknown): Array<{ name: string; text: string }> {
  if (!Array.isArray(token)) throw new NotARecording();
  return token.slice(0, 100).map((pair: unknown) => {
    if (!Array.isArray(pair)) throw new NotARecording();
    return { name: String(pair[0]), text: String(pair[1]) };
  });
}

/**
 * Reads the chunks of one recording in order. `read` gives the steps of a chunk, or null if it is not in the recorder's
 * form.
 */
export type RecordingReader = {
  read: (json: string) => Step[] | null;
  /** The text that the program held back after a step, by the step's index; after the others it was as before. */
  held: ReadonlyMap<number, string>;
  /** Why what was to be changed was not; undefined where nothing was said. */
  notChanged: () => string | undefined;
  /** The files that there were at a step; undefined where nothing was told of them. */
  filesAt: () => Array<{ name: string; text: string }> | undefined;
};

/**
 * Reads the recorder's stream of tokens, described in runners/python/bent_nail_runner/recorder.py. Programs may
 * scribble over their recording, so nothing is trusted: a chunk with anything else in it is refused.
 */
export function createRecordingReader(): RecordingReader {
  const held = new Map<number, string>();
  const columns = new Map<number, { scope: "global" | "frame"; name: string }>();
  let [frame, file, depth] = [0, 0, 0];
  let next = 0;
  let step: Step | undefined;
  let notChanged: string | undefined;
  let filesAt: Array<{ name: string; text: string }> | undefined;

  const need = (): Step => {
    if (!step) throw new NotARecording();
    return step;
  };
  const addWrite = (write: Write) => {
    const target = need();
    if (target.writes === noWrites) target.writes = [write];
    else (target.writes as Write[]).push(write);
  };

  const begin = (line: number, steps: Step[]): Step => {
    const begun: Step = { index: next++, line, file, frame, depth, writes: noWrites };
    steps.push(begun);
    step = begun;
    return begun;
  };
  const enterFrame = (numbers: unknown[]) => {
    frame = whole(numbers[0], 0, Number.MAX_SAFE_INTEGER);
    file = whole(numbers[1], 0, mostOpen);
    depth = whole(numbers[2], 0, mostOpen);
  };
  const lineOf = (token: unknown): number => whole(token, 1, mostLines);

  function readControl(token: unknown[], steps: Step[]): void {
    const [kind, ...rest] = token;
    if (kind === "f") enterFrame(rest.slice(0, 3));
    else if (kind === "c") {
      const before = step;
      enterFrame(rest.slice(0, 3));
      // What is called from outside, as what answers a user is, was not called by the row before it.
      if (before && depth > before.depth) before.calls = true;
      begin(lineOf(rest[3]), steps).call = String(rest[4]);
    } else if (kind === "r") {
      enterFrame(rest.slice(0, 3));
      begin(lineOf(rest[3]), steps).resumes = true;
    } else if (kind === "d")
      columns.set(Number(rest[0]), { scope: rest[1] === 0 ? "global" : "frame", name: String(rest[2]) });
    else if (kind === "v") need().returned = present(rest[0]);
    else if (kind === "e") {
      const column = columns.get(Number(rest[0]));
      if (!column) throw new NotARecording();
      need().ended = [...(need().ended ?? []), column.name];
    } else if (kind === "p") held.set(need().index, String(rest[0]));
    else if (kind === "w") notChanged = String(rest[0]).slice(0, 300);
    else if (kind === "n") filesAt = readFiles(rest[0]);
    else if (kind === "k") need().condition = rest[0] === true;
    else if (kind === "x") need().raised = { errorName: String(rest[0]), message: String(rest[1]) };
    else if (kind === "o") {
      if (!Array.isArray(rest[1])) throw new NotARecording();
      addWrite({
        scope: "object",
        owner: Number(rest[0]),
        path: rest[1].map((part: unknown) =>
          typeof part === "number" ? whole(part, 0, Number.MAX_SAFE_INTEGER) : String(part),
        ),
        value: readValue(rest[2]),
      });
    } else throw new NotARecording();
  }

  function readTokens(tokens: unknown[]): Step[] {
    const steps: Step[] = [];
    for (let at = 0; at < tokens.length; at++) {
      const token = tokens[at];
      if (typeof token === "number" && token > 0) {
        begin(lineOf(token), steps);
      } else if (typeof token === "number" && token < 0 && at + 1 < tokens.length) {
        const column = columns.get(-token);
        if (!column) throw new NotARecording();
        addWrite({
          scope: column.scope,
          owner: column.scope === "global" ? 0 : need().frame,
          path: [column.name],
          value: readValue(tokens[++at]),
        });
      } else if (Array.isArray(token)) readControl(token, steps);
      else throw new NotARecording();
    }
    return steps;
  }

  return {
    held,
    notChanged: () => notChanged,
    filesAt: () => filesAt,
    read: (json) => {
      try {
        const tokens: unknown = JSON.parse(json);
        return Array.isArray(tokens) ? readTokens(tokens) : null;
      } catch (problem) {
        if (problem instanceof NotARecording || problem instanceof SyntaxError) return null;
        throw problem;
      }
    },
  };
}
