import type { SyntaxNode } from "../syntax/tree.ts";
import { isUnknown, type Known } from "./known.ts";
import type { Answer, ValueRules } from "./rules.ts";

/** What is known of the names of an expression, by their text; `call` what a function of the program gave back, in order. */
export type Names = {
  value: (name: string) => Answer | null;
  call: (name: string) => Answer | null;
};

/**
 * `machine`: as the language goes about it, what it does not look at left alone. `paper`: every part worked out, as one does
 * who wants to see all of them.
 */
export type Way = "machine" | "paper";

/**
 * A line of an expression taken apart: the whole expression with what is worked out so far. `mark` is where the newest value
 * stands, `skipped` what is not looked at (offsets in `text`); `says` the operation in words, "" for the first lines.
 */
export type WorkedLine = {
  text: string;
  mark: { from: number; to: number } | null;
  skipped: Array<{ from: number; to: number }>;
  says: string;
};

/**
 * An expression taken apart. `value` is what it comes to, `written` the same as the language writes it; `leftOut` is
 * where in its text parts stand that the machine did not look at (offsets).
 */
export type Worked = {
  lines: WorkedLine[];
  value: Answer;
  written: string;
  leftOut: Array<{ from: number; to: number }>;
};

/** What becomes of the pieces of an expression while it is worked out. */
export type State = {
  rules: ValueRules;
  text: string;
  names: Names;
  way: Way;
  /** What stands for a node by now, and the nodes that are not looked at. */
  now: Map<SyntaxNode, string>;
  skipped: Set<SyntaxNode>;
  leftOut: Array<{ from: number; to: number }>;
  lines: WorkedLine[];
  root: SyntaxNode;
  /** While the other branch is asked for its type alone, nothing is written down. */
  quiet: boolean;
};

/** More lines than these are not written down. */
const mostLines = 60;

/** Writes down the whole expression as it stands by now; `node` is what was worked out last. */
export function note(state: State, node: SyntaxNode | null, says: string): void {
  if (state.quiet || state.lines.length >= mostLines) return;
  const line: WorkedLine = { text: "", mark: null, skipped: [], says };
  const write = (each: SyntaxNode): void => {
    const from = line.text.length;
    const known = state.now.get(each);
    if (known !== undefined) line.text += known;
    else if (each.kind === "group" && each.children.length === 1 && state.now.has(each.children[0] as SyntaxNode)) {
      // Brackets around a single value have done their work.
      write(each.children[0] as SyntaxNode);
    } else {
      let at = each.from;
      for (const child of each.children) {
        line.text += state.text.slice(at, child.from);
        write(child);
        at = child.to;
      }
      line.text += state.text.slice(at, each.to);
    }
    if (each === node) line.mark = { from, to: line.text.length };
    if (state.skipped.has(each)) line.skipped.push({ from, to: line.text.length });
  };
  write(state.root);
  // A line that shows nothing new is none.
  if (says === "" && state.lines.at(-1)?.text === line.text) return;
  state.lines.push(line);
}

/** Puts the values of names in, but for what is called or picked a part of. */
export function putIn(state: State, node: SyntaxNode): void {
  if (node.kind === "name" && node.role !== "callee" && node.role !== "object") {
    const value = state.names.value(node.sign ?? "");
    if (value && !isUnknown(value)) state.now.set(node, bracketed(state, value));
    return;
  }
  if (node.kind === "field") return;
  for (const child of node.children) putIn(state, child);
}

/** A negative number within a larger expression stands in brackets, as on paper. */
export function bracketed(state: State, value: Known): string {
  const text = state.rules.write(value);
  return text.startsWith("-") ? `(${text})` : text;
}

/** Notes what a node came to and gives it back. */
export function came(state: State, node: SyntaxNode, value: Answer, operation: string): Answer {
  if (isUnknown(value)) {
    if (value.raised) note(state, null, `${operation}: ${value.why}`);
    return value;
  }
  if (!state.quiet) state.now.set(node, node === state.root ? state.rules.write(value) : bracketed(state, value));
  note(state, node, `${operation} is ${state.rules.write(value)}`);
  return value;
}
