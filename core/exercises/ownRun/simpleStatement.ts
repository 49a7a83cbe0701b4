import { calledName, namesIn } from "../../edits/places.ts";
import { commonLibrary } from "../../languages/writing.ts";
import { nodesOf, part, type SyntaxNode } from "../../syntax/tree.ts";
import { canGoInto, goInto, lineOf, ownCalls, source } from "./calls.ts";
import type { Source, Writer } from "./instruction.ts";

/** What a loop goes through. */
export function sourceOf(writer: Writer, node: SyntaxNode): Source {
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

/** A statement that holds no others: an assignment, a call. */
export function simple(writer: Writer, node: SyntaxNode): void {
  const { list, language } = writer;
  const library = language.writing?.library ?? commonLibrary;
  if (node.kind === "name") return;
  const calls = nodesOf(node).filter((each) => each.kind === "call");
  const reads = calls.some((call) => library.reads(calledName(call)));
  const take = () => {
    list.push({ does: "take", reads, names: namesIn(node) });
  };
  const own = ownCalls(writer, node);
  if (reads || (own.length > 0 && !canGoInto(writer, node))) {
    take();
    return;
  }
  if (own.length > 0) goInto(writer, node, lineOf(writer, node));
  // What is called for what it does is done now.
  if (own.includes(node)) return;
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
    if (object?.kind === "name" && place && !further && value && !/^[^=:<]+=$/.test(node.sign ?? "")) {
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
