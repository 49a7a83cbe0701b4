import { calledName, namesIn } from "../../edits/places.ts";
import type { Language } from "../../languages/language.ts";
import { commonLibrary } from "../../languages/writing.ts";
import { lineAt, lineStarts } from "../../syntax/placed.ts";
import { nodesOf, part, type SyntaxNode } from "../../syntax/tree.ts";

/**
 * What a program does, one small thing after another; places are indexes in the list. `line` begins a row of the trace
 * table. `take` stands for what is not worked out here (a read, a call of the program's own): it is taken from the
 * recorded run. `print` has the values that are printed, without fixed texts.
 */
export type Instruction =
  | { does: "line"; line: number }
  | { does: "assign"; name: string; sign: string; value: string | null; type: string | null }
  | { does: "element"; name: string; place: string; value: string }
  | { does: "take"; reads: boolean; names: readonly string[] }
  | { does: "print"; values: readonly string[]; fixed: readonly string[] }
  | { does: "decide"; condition: string; holds: number; fails: number }
  | { does: "count"; loop: number; name: string; start: string; limit: string; step: 1 | -1 }
  | { does: "each"; loop: number; name: string; source: Source }
  | { does: "next"; loop: number; holds: number; fails: number }
  | { does: "item"; loop: number }
  | { does: "go"; to: number }
  | { does: "lost" }
  | { does: "end" };

/** What a loop goes through: the numbers of a range (its bounds as expressions), or what an expression holds. */
export type Source =
  | { kind: "range"; start: string | null; limit: string; step: string | null; inclusive: boolean }
  | { kind: "items"; of: string };

/** A program as instructions, for what its main part does. */
export type Instructions = { list: readonly Instruction[]; mainFunction: string | null };

type Writer = {
  language: Language;
  text: string;
  starts: readonly number[];
  list: Instruction[];
  loops: number;
  own: ReadonlySet<string>;
  types: Map<string, string>;
  /** Where `break` and `continue` of the loop around go, filled in when that is known. */
  around: Array<{ leave: Array<{ to: number }>; again: Array<{ to: number }> }>;
};

/** The main part of a program: the function that it starts with, or what stands outside of functions. */
function mainOf(tree: SyntaxNode): { body: readonly SyntaxNode[]; name: string | null } {
  for (const node of nodesOf(tree)) {
    if (node.kind !== "function") continue;
    const name = part(node, "definition")?.sign ?? "";
    const body = part(node, "body");
    if (/^main$/i.test(name) && body) return { body: body.children, name };
  }
  return { body: tree.children, name: null };
}

/** The instructions of a program's main part; null where its language has no tree or no rules for values. */
export function instructionsOf(language: Language, text: string): Instructions | null {
  const tree = language.syntax?.(text);
  if (!tree || !language.values) return null;
  const own = new Set(
    nodesOf(tree)
      .filter((node) => node.kind === "function" || node.kind === "class")
      .map((node) => part(node, "definition")?.sign ?? ""),
  );
  const types = new Map<string, string>();
  for (const node of nodesOf(tree))
    if (node.kind === "declaration") {
      const type = part(node, "type")?.sign ?? node.children.find((child) => child.kind === "type")?.sign;
      for (const child of node.children) {
        const named = child.kind === "name" ? child : child.kind === "assignment" ? child.children[0] : undefined;
        if (type !== undefined && named?.kind === "name") types.set(named.sign ?? "", type);
      }
    }
  const { body, name } = mainOf(tree);
  const writer: Writer = {
    ...{ language, text, starts: lineStarts(text), list: [], loops: 0, own, types, around: [] },
  };
  for (const node of body) statement(writer, node);
  writer.list.push({ does: "end" });
  return { list: writer.list, mainFunction: name };
}

const source = (writer: Writer, node: SyntaxNode): string => writer.text.slice(node.from, node.to);
const line = (writer: Writer, node: SyntaxNode): void => {
  writer.list.push({ does: "line", line: lineAt(writer.starts, node.from) });
};
const lost = (writer: Writer): void => {
  writer.list.push({ does: "lost" });
};

function block(writer: Writer, node: SyntaxNode | undefined): void {
  if (!node) return;
  if (node.kind === "block") for (const child of node.children) statement(writer, child);
  else statement(writer, node);
}

/** A jump whose place is filled in later. */
function jump(writer: Writer): { to: number } {
  const instruction = { does: "go" as const, to: -1 };
  writer.list.push(instruction);
  return instruction;
}

function statement(writer: Writer, node: SyntaxNode): void {
  const { list } = writer;
  switch (node.kind) {
    case "function":
    case "class":
    case "import":
    case "type":
    case "parameter":
      return;
    case "block":
      block(writer, node);
      return;
    case "declaration":
    case "statement": {
      const does = node.children.filter((child) => child.kind !== "type" && child.kind !== "name");
      if (does.length === 0) return;
      line(writer, node);
      for (const child of does) simple(writer, child);
      return;
    }
    case "assignment":
    case "call":
      line(writer, node);
      simple(writer, node);
      return;
    case "if": {
      const condition = part(node, "condition");
      if (!condition) {
        lost(writer);
        return;
      }
      line(writer, node);
      const decision = decide(writer, condition);
      decision.holds = list.length;
      block(writer, part(node, "body"));
      const otherwise = part(node, "otherwise");
      const over = otherwise ? jump(writer) : null;
      decision.fails = list.length;
      block(writer, otherwise);
      if (over) over.to = list.length;
      return;
    }
    case "while":
      loop(writer, node, part(node, "condition"), null);
      return;
    case "for": {
      const condition = part(node, "condition");
      if (!condition) {
        counting(writer, node);
        return;
      }
      line(writer, node);
      const start = part(node, "start");
      for (const child of start?.kind === "declaration" ? start.children : start ? [start] : [])
        if (child.kind !== "type") simple(writer, child);
      loop(writer, node, condition, part(node, "step") ?? null, true);
      return;
    }
    case "do":
      doLoop(writer, node);
      return;
    case "foreach":
      each(writer, node);
      return;
    case "leave": {
      line(writer, node);
      const around = writer.around.at(-1);
      const word = source(writer, node).trim().toLowerCase();
      if (!around || !/^(?:break|continue)\b/.test(word)) {
        lost(writer);
        return;
      }
      (word.startsWith("break") ? around.leave : around.again).push(jump(writer));
      return;
    }
    case "return":
      line(writer, node);
      list.push({ does: "end" });
      return;
    default:
      line(writer, node);
      lost(writer);
      return;
  }
}

type Decision = { does: "decide"; condition: string; holds: number; fails: number };

function decide(writer: Writer, condition: SyntaxNode): Decision {
  const decision: Decision = { does: "decide", condition: source(writer, condition), holds: -1, fails: -1 };
  writer.list.push(decision);
  return decision;
}

/** A loop that asks first; with a step of its own where it has one, in the row of the next decision. */
function loop(
  writer: Writer,
  node: SyntaxNode,
  condition: SyntaxNode | undefined,
  step: SyntaxNode | null,
  begun = false,
): void {
  const { list } = writer;
  if (!condition) {
    lost(writer);
    return;
  }
  if (!begun) line(writer, node);
  const first = list.length;
  const decision = decide(writer, condition);
  decision.holds = list.length;
  const around = { leave: [] as Array<{ to: number }>, again: [] as Array<{ to: number }> };
  writer.around.push(around);
  block(writer, part(node, "body"));
  writer.around.pop();
  for (const again of around.again) again.to = list.length;
  line(writer, node);
  if (step) simple(writer, step);
  list.push({ does: "go", to: first });
  decision.fails = list.length;
  for (const leave of around.leave) leave.to = list.length;
}

function doLoop(writer: Writer, node: SyntaxNode): void {
  const { list } = writer;
  const condition = part(node, "condition");
  if (!condition) {
    lost(writer);
    return;
  }
  const first = list.length;
  const around = { leave: [] as Array<{ to: number }>, again: [] as Array<{ to: number }> };
  writer.around.push(around);
  block(writer, part(node, "body"));
  writer.around.pop();
  for (const again of around.again) again.to = list.length;
  line(writer, condition);
  const decision = decide(writer, condition);
  const until = node.sign?.toLowerCase() === "until";
  decision.holds = until ? list.length : first;
  decision.fails = until ? first : list.length;
  for (const leave of around.leave) leave.to = list.length;
}

/** What goes round by `next`; the list already says where it begins. */
function goesRound(writer: Writer, node: SyntaxNode, number: number): void {
  const { list } = writer;
  const first = list.length;
  line(writer, node);
  const next: Instruction & { does: "next" } = { does: "next", loop: number, holds: list.length + 1, fails: -1 };
  list.push(next, { does: "item", loop: number });
  const around = { leave: [] as Array<{ to: number }>, again: [] as Array<{ to: number }> };
  writer.around.push(around);
  block(writer, part(node, "body"));
  writer.around.pop();
  for (const again of around.again) again.to = list.length;
  list.push({ does: "go", to: first });
  next.fails = list.length;
  for (const leave of around.leave) leave.to = list.length;
}

/** A loop with a start, a limit and a step of one. */
function counting(writer: Writer, node: SyntaxNode): void {
  const [start, limit] = [part(node, "start"), part(node, "limit")];
  const [name, value] = [start && part(start, "target"), start && part(start, "value")];
  if (!name || !value || !limit) {
    lost(writer);
    return;
  }
  const number = writer.loops++;
  const step = node.sign?.toLowerCase() === "downto" ? -1 : 1;
  const bounds = { start: source(writer, value), limit: source(writer, limit) };
  writer.list.push({ does: "count", loop: number, name: name.sign ?? "", ...bounds, step });
  goesRound(writer, node, number);
}

function each(writer: Writer, node: SyntaxNode): void {
  const [target, from] = [part(node, "target") ?? part(node, "definition"), part(node, "source")];
  if (target?.kind !== "name" || !from) {
    lost(writer);
    return;
  }
  const number = writer.loops++;
  writer.list.push({ does: "each", loop: number, name: target.sign ?? "", source: sourceOf(writer, from) });
  goesRound(writer, node, number);
}

function sourceOf(writer: Writer, node: SyntaxNode): Source {
  const text = (at: SyntaxNode | undefined) => (at ? source(writer, at) : null);
  const given = node.children.filter((child) => child.role === "argument");
  const [first, second, third] = given;
  if (node.kind === "call" && calledName(node) === writer.language.writing?.countingCall && first)
    return second
      ? { kind: "range", start: text(first), limit: source(writer, second), step: text(third), inclusive: false }
      : { kind: "range", start: null, limit: source(writer, first), step: null, inclusive: false };
  const [left, right] = [part(node, "left"), part(node, "right")];
  if (node.kind === "binary" && node.sign === ":" && left && right) {
    const [from, step] = [part(left, "left"), part(left, "right")];
    if (left.kind === "binary" && left.sign === ":" && from && step)
      return {
        ...{ kind: "range", start: source(writer, from), limit: source(writer, right) },
        ...{ step: source(writer, step), inclusive: true },
      };
    return { kind: "range", start: source(writer, left), limit: source(writer, right), step: null, inclusive: true };
  }
  return { kind: "items", of: source(writer, node) };
}

/** What a printing call prints: the values, and the fixed texts around them. */
function printed(writer: Writer, node: SyntaxNode, found: { values: string[]; fixed: string[] }): void {
  if (node.kind === "text") {
    if (node.children.length > 0) for (const child of node.children) printed(writer, child, found);
    else found.fixed.push(source(writer, node));
    return;
  }
  const joins = node.kind === "binary" && nodesOf(node).some((each) => each.kind === "text");
  if (joins || node.kind === "group") for (const child of node.children) printed(writer, child, found);
  else if (node.kind !== "number") found.values.push(source(writer, node));
  else found.fixed.push(source(writer, node));
}

function simple(writer: Writer, node: SyntaxNode): void {
  const { list, language, own } = writer;
  const library = language.writing?.library ?? commonLibrary;
  if (node.kind === "name") return;
  const calls = nodesOf(node).filter((each) => each.kind === "call");
  const reads = calls.some((call) => library.reads(calledName(call)));
  const take = () => {
    list.push({ does: "take", reads, names: namesIn(node) });
  };
  if (reads || calls.some((call) => own.has(calledName(call)))) {
    take();
    return;
  }
  if (node.kind === "assignment") {
    const target = node.children[0];
    const value = part(node, "value");
    // A list that is written down is what it was in the recorded run.
    if (value?.kind === "list" && namesIn(value).length === 0) {
      list.push({ does: "take", reads: true, names: [] });
      return;
    }
    if (target?.kind === "name") {
      const name = target.sign ?? "";
      const type = writer.types.get(name) ?? null;
      const sign = node.sign ?? "=";
      list.push({ does: "assign", name, sign, value: value ? source(writer, value) : null, type });
      return;
    }
    const [object, place, further] = target?.kind === "index" ? target.children : [];
    if (object?.kind === "name" && place && !further && value && /^:?=$/.test(node.sign ?? "")) {
      list.push({
        ...{ does: "element", name: object.sign ?? "", place: source(writer, place), value: source(writer, value) },
      });
      return;
    }
    take();
    return;
  }
  if (node.kind === "call" && library.prints(calledName(node))) {
    const found = { values: [] as string[], fixed: [] as string[] };
    for (const argument of node.children)
      if (argument.role === "argument" && argument.kind !== "assignment") printed(writer, argument, found);
    list.push({ does: "print", ...found });
    return;
  }
  take();
}
