import type { Language } from "../../languages/language.ts";
import { lineStarts } from "../../syntax/placed.ts";
import { nodesOf, part, type SyntaxNode } from "../../syntax/tree.ts";
import { canGoInto, goInto, lineOf, ownCalls, source } from "./calls.ts";
import type { Instruction, Instructions, Writer } from "./instruction.ts";
import { type OwnFunction, ownFunctions } from "./ownFunctions.ts";
import { simple, sourceOf } from "./simpleStatement.ts";

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

/**
 * The instructions of a program's main part, and of its functions that can be gone into (none of them where `goesInto` is
 * false: then what they give is taken from the recorded run). Null where its language has no tree or no rules for values.
 */
export function instructionsOf(language: Language, text: string, goesInto = true): Instructions | null {
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
  const functions = goesInto ? ownFunctions(language, text, tree) : new Map<string, OwnFunction>();
  const writer: Writer = {
    ...{ language, text, starts: lineStarts(text), list: [], loops: 0, own, types, around: [] },
    ...{ functions, inside: null, results: [] },
  };
  for (const node of body) statement(writer, node);
  writer.list.push({ does: "end" });
  const begins = new Map([...functions.values()].map((each) => [each.name, ofFunction(writer, each)]));
  return { list: writer.list, mainFunction: name, functions: begins };
}

/** A function: its header is a row in which its parameters get their values. Returns where it begins. */
function ofFunction(writer: Writer, own: OwnFunction): number {
  const { list } = writer;
  const begins = list.length;
  writer.inside = own;
  line(writer, own.node);
  for (const [at, { name, type }] of own.parameters.entries()) list.push({ does: "receive", name, at, type });
  block(writer, own.body);
  list.push({ does: "give", value: own.result, type: own.type });
  writer.inside = null;
  return begins;
}

const line = (writer: Writer, node: SyntaxNode): void => {
  writer.list.push({ does: "line", line: lineOf(writer, node) });
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
      const decision = decide(writer, condition, node);
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
      if (writer.inside) givesBack(writer, writer.inside, node);
      else list.push({ does: "end" });
      return;
    default:
      line(writer, node);
      lost(writer);
      return;
  }
}

function givesBack(writer: Writer, { result, type }: OwnFunction, node: SyntaxNode): void {
  const value = part(node, "value");
  if (value) intoCalls(writer, value, node);
  writer.list.push({ does: "give", value: value ? source(writer, value) : result, type });
}

/** Goes into the calls of a condition, a limit or a result, where each of them is made whatever the values are. */
function intoCalls(writer: Writer, piece: SyntaxNode, statement: SyntaxNode, last = true): boolean {
  if (ownCalls(writer, piece).length === 0 || !canGoInto(writer, piece)) return false;
  goInto(writer, piece, lineOf(writer, statement), last);
  return true;
}

type Decision = { does: "decide"; condition: string; holds: number; fails: number };

function decide(writer: Writer, condition: SyntaxNode, statement: SyntaxNode): Decision {
  intoCalls(writer, condition, statement);
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
  const decision = decide(writer, condition, node);
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
  const decision = decide(writer, condition, condition);
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

/** What a loop goes through may be worked out by functions of the program: once, before its first pass. */
function boundsFirst(writer: Writer, node: SyntaxNode, bounds: readonly SyntaxNode[]): void {
  const called = bounds.filter((bound) => ownCalls(writer, bound).length > 0 && canGoInto(writer, bound));
  if (called.length === 0) return;
  line(writer, node);
  // The row behind the last of them is that of the first pass.
  for (const [at, bound] of called.entries()) intoCalls(writer, bound, node, at < called.length - 1);
}

/** A loop with a start, a limit and a step. */
function counting(writer: Writer, node: SyntaxNode): void {
  const [start, limit] = [part(node, "start"), part(node, "limit")];
  const [name, value] = [start && part(start, "target"), start && part(start, "value")];
  if (!name || !value || !limit) {
    lost(writer);
    return;
  }
  const number = writer.loops++;
  // A step of its own is a number as it stands there.
  const own = part(node, "step");
  const step = own ? Number(source(writer, own).replaceAll(" ", "")) : node.sign?.toLowerCase() === "downto" ? -1 : 1;
  if (!Number.isInteger(step) || step === 0) {
    lost(writer);
    return;
  }
  boundsFirst(writer, node, [value, limit]);
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
  boundsFirst(writer, node, [from]);
  writer.list.push({ does: "each", loop: number, name: target.sign ?? "", source: sourceOf(writer, from) });
  goesRound(writer, node, number);
}
