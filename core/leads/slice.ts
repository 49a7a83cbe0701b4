import type { Language } from "../languages/language.ts";
import type { Token } from "../languages/token.ts";
import type { Step, Trace } from "../trace/trace.ts";

/**
 * A line that a value comes from: how many steps back along the values it lies, the name or way by which it was reached, and
 * from which line (a nearer source, or where the looking began).
 */
export type Source = {
  line: number;
  distance: number;
  by: "value" | "returned" | "decision" | "call";
  name: string;
  from: number;
};

/** How far back is looked, in steps along the values, and how many steps of a recording at most. */
const reach = 8;
const mostVisited = 400;

type Lines = ReadonlyMap<number, readonly Token[]>;

/**
 * Where the values of a recorded step come from, back along the recording (a dynamic backward slice: Korel and Laski 1988):
 * through names, through elements and fields of what a name stands for, through what functions gave back and what they were
 * given, and through the decisions and loops that let the line run. The nearest way to each line counts.
 */
export function sliceBack(
  trace: Trace,
  from: number,
  language: Language,
  lines: Lines,
  blockOf: (header: number) => readonly number[],
): Source[] {
  const { steps } = trace;
  const found = new Map<number, Source>();
  const visited = new Set<number>();
  let frontier: Array<{ at: number; distance: number }> = [{ at: from, distance: 0 }];
  const note = (at: number, reached: Omit<Source, "line">, next: typeof frontier) => {
    const step = steps[at];
    if (!step || visited.has(at)) return;
    visited.add(at);
    // What a line gathers pass by pass is one value: its earlier passes are no farther away than the last one.
    const distance = Math.max(1, reached.distance - (step.line === reached.from ? 1 : 0));
    if (step.file === 0) {
      const known = found.get(step.line);
      if (!known || known.distance > distance) found.set(step.line, { line: step.line, ...reached, distance });
    }
    next.push({ at, distance });
  };
  while (frontier.length > 0 && visited.size < mostVisited) {
    const next: typeof frontier = [];
    for (const { at, distance } of frontier) {
      const step = steps[at];
      if (!step || distance >= reach) continue;
      const tokens = lines.get(step.line) ?? [];
      const here = { distance: distance + 1, from: step.line };
      // A step that enters a function has its values from the line that called it.
      if (step.call !== undefined) {
        const caller = steps.slice(0, at).findLastIndex((each) => each.depth < step.depth);
        note(caller, { ...here, by: "call", name: step.call }, next);
        continue;
      }
      for (const name of namesRead(language, tokens)) {
        const written = lastWrite(steps, at, step, name);
        note(written.at, { ...here, by: "value", name }, next);
        if (written.element >= 0) note(written.element, { ...here, by: "value", name }, next);
      }
      // What functions that this line called gave back.
      for (const ended of endsOfCalls(steps, at)) note(ended, { ...here, by: "returned", name: "" }, next);
      const decision = decisionOver(steps, at, step, language, lines, blockOf);
      if (decision >= 0) note(decision, { ...here, by: "decision", name: "" }, next);
    }
    frontier = next;
  }
  return [...found.values()];
}

const plainAssign = new Set(["=", ":=", "<-", "←"]);

/** The names that a line reads: what it only gives a value, before its sign of assignment, has no part in what comes of it. */
function namesRead(language: Language, tokens: readonly Token[]): string[] {
  const sign = tokens.findIndex(({ kind, text }) => kind === "operator" && plainAssign.has(text));
  const isGiven = (name: string) => {
    const at = tokens.findIndex(({ text }) => text === name);
    const picks = ["[", "(", ".", "->", "{"].includes(tokens[at + 1]?.text ?? "");
    return at < sign && !picks && tokens.findLastIndex(({ text }) => text === name) === at;
  };
  const given = new Set(sign < 0 ? [] : language.assignedNames(tokens).filter(isGiven));
  return language.usedNames(tokens).filter((name) => !given.has(name));
}

/** Where a name last got its value before a step, and where something in what it stands for last changed. */
function lastWrite(steps: readonly Step[], before: number, step: Step, name: string): { at: number; element: number } {
  let at = -1;
  let id: number | undefined;
  for (let index = before - 1; index >= 0 && at < 0; index--) {
    for (const write of steps[index]?.writes ?? []) {
      if (write.path[0] !== name || write.scope === "object") continue;
      if (write.scope === "frame" && write.owner !== step.frame) continue;
      at = index;
      id = write.value?.id;
    }
  }
  let element = -1;
  if (id !== undefined)
    for (let index = before - 1; index > at && element < 0; index--)
      if (steps[index]?.writes.some((write) => write.scope === "object" && write.owner === id)) element = index;
  return { at, element };
}

/** The last steps of the functions that the line of a step called, the nearest last. */
function endsOfCalls(steps: readonly Step[], at: number): number[] {
  const step = steps[at];
  if (!step) return [];
  const found: number[] = [];
  // The line's own step stands before what it called, or behind it where it resumes.
  if (step.resumes || step.returned) {
    for (let index = at - 1; index >= 0; index--) {
      const each = steps[index];
      if (!each || each.depth < step.depth) break;
      if (each.depth === step.depth) {
        if (each.frame === step.frame && each.line === step.line && each.calls) break;
        continue;
      }
      if (each.depth === step.depth + 1 && each.returned !== undefined) found.push(index);
    }
  } else if (step.calls) {
    for (let index = at + 1; index < steps.length; index++) {
      const each = steps[index];
      if (!each || each.depth <= step.depth) break;
      if (each.depth === step.depth + 1 && each.returned !== undefined) found.push(index);
    }
  }
  return found.slice(0, 3);
}

/** The decision or loop whose block holds the line of a step: the last one before it in the same function. */
function decisionOver(
  steps: readonly Step[],
  at: number,
  step: Step,
  language: Language,
  lines: Lines,
  blockOf: (header: number) => readonly number[],
): number {
  for (let index = at - 1; index >= 0; index--) {
    const each = steps[index];
    if (!each || each.depth < step.depth) return -1;
    if (each.frame !== step.frame || each.line === step.line || each.file !== 0) continue;
    const heads = (lines.get(each.line) ?? [])
      .slice(0, 3)
      .some((token) => token.kind === "keyword" && language.decisionWords.has(token.text.toLowerCase()));
    if (heads && blockOf(each.line).includes(step.line)) return index;
  }
  return -1;
}
