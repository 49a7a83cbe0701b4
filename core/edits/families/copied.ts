import { part, type SyntaxNode } from "../../syntax/tree.ts";
import { change, type EditContext, type EditFamily, type Proposal } from "../edit.ts";
import { ofKind } from "../places.ts";

const walkedParts = /^[A-Za-z_]\w*\.(?:items|keys|values)\(\)$/;

/** One list in many places of another one, made anew for each. */
function repeatedList(context: EditContext, node: SyntaxNode): Proposal | null {
  const found = repeated(node);
  if (!found || !context.writing.madeAnew) return null;
  const [element, times] = [context.sourceOf(found.element), context.sourceOf(found.times)];
  return change(node, context.writing.madeAnew.write(element, times), { name: element }, 2);
}

/** A list with a list as its only element that is repeated: what is repeated, and how often. */
export function repeated(node: SyntaxNode): { element: SyntaxNode; times: SyntaxNode } | null {
  const [list, times] = [part(node, "left"), part(node, "right")];
  const element = list?.kind === "list" && list.children.length === 1 ? list.children[0] : undefined;
  const isList = element?.kind === "list" || (element?.kind === "binary" && part(element, "left")?.kind === "list");
  return node.kind === "binary" && node.sign === "*" && element && times && isList ? { element, times } : null;
}

/** Whether what an assignment gives a second name is changed by one of its names further down. */
function isChangedLater(context: EditContext, assignment: SyntaxNode): boolean {
  const [target, value] = [part(assignment, "target") ?? part(assignment, "definition"), part(assignment, "value")];
  const names = new Set([target?.sign ?? "", value?.sign ?? ""]);
  names.delete("");
  return ofKind(context, "statement").some(({ node }) => {
    const [only] = node.children;
    const callee = only?.kind === "call" ? part(only, "callee") : undefined;
    const target = only && part(only, "target");
    const owner = [callee, target].find((each) => each?.kind === "field" || each?.kind === "index");
    return node.from > assignment.to && owner !== undefined && names.has(part(owner, "object")?.sign ?? "");
  });
}

/** A list that is changed while it is gone over, or by two names: a copy of it in its place. */
export const copied: EditFamily = {
  id: "copied",
  says: "a list that has two names, or is changed while it is gone over, where a copy is meant",
  weight: 5,
  reads: "tree",
  mends: (context: EditContext): Proposal[] => {
    const { copyOf, listOf } = context.writing;
    if (!copyOf) return [];
    return context.nodes.flatMap(({ node, around }) => {
      // The parts of a table are no list that could be copied by its positions.
      if (listOf && node.role === "source" && walkedParts.test(context.sourceOf(node)))
        return [change(node, listOf(context.sourceOf(node)), { name: context.sourceOf(node) }, 0.8)];
      const again = repeatedList(context, node);
      if (again) return [again];
      if (node.kind !== "name" || !context.names.includes(node.sign ?? "")) return [];
      const text = context.sourceOf(node);
      const parent = around.at(-1);
      if (node.role === "source")
        return [
          change(node, copyOf(text), { name: text }, 1),
          ...(listOf ? [change(node, listOf(text), { name: text }, 0.7)] : []),
        ];
      // Where names have types it is an array that may be copied, and not a number.
      const typed =
        parent && part(parent, "definition") ? around.at(-2)?.children.find(({ kind }) => kind === "type") : undefined;
      if (typed && !context.sourceOf(typed).endsWith("]")) return [];
      if (node.role === "value" && parent?.kind === "assignment")
        return [change(node, copyOf(text), { name: text }, isChangedLater(context, parent) ? 3 : 0.6)];
      if (
        node.role === "argument" &&
        /\.(append|insert)$/.test(context.text.slice(0, node.from).replace(/\([^(]*$/, ""))
      )
        return [change(node, copyOf(text), { name: text }, 0.6)];
      return [];
    });
  },
  plants: (context: EditContext): Proposal[] => [
    ...context.nodes.flatMap(({ node }) => {
      const made = context.writing.madeAnew?.read.exec(context.sourceOf(node));
      return made ? [change(node, `[${made[1]}] * ${made[2]}`, { name: made[1] ?? "" })] : [];
    }),
    ...context.nodes.flatMap(({ node }) => {
      const walked = node.role === "source" ? /^list\((.*)\)$/s.exec(context.sourceOf(node))?.[1] : undefined;
      return walked !== undefined && context.writing.listOf?.(walked) === context.sourceOf(node)
        ? [change(node, walked, { name: walked })]
        : [];
    }),
    ...ofKind(context, "call").flatMap(({ node }) => {
      const owner = part(part(node, "callee") ?? node, "object");
      return owner && context.writing.copyOf?.(context.sourceOf(owner)) === context.sourceOf(node)
        ? [change(node, context.sourceOf(owner), { name: context.sourceOf(owner) })]
        : [];
    }),
    ...ofKind(context, "index").flatMap(({ node }) => {
      const object = part(node, "object");
      return object && context.sourceOf(node) === context.writing.copyOf?.(context.sourceOf(object))
        ? [change(node, context.sourceOf(object), { name: context.sourceOf(object) })]
        : [];
    }),
  ],
  examples: [
    {
      language: "java",
      right: "class Main { void f(int[] fares) { int[] old = fares.clone(); fares[0] = 9; } }",
      faulty: "class Main { void f(int[] fares) { int[] old = fares; fares[0] = 9; } }",
    },
    {
      language: "python",
      right: "deck = [[0] * 3 for _ in range(rows)]\n",
      faulty: "deck = [[0] * 3] * rows\n",
    },
    { language: "python", right: "loads = [1]\nother = loads[:]\n", faulty: "loads = [1]\nother = loads\n" },
    {
      language: "python",
      right: "loads = [1]\nfor x in loads[:]:\n    loads.remove(x)\n",
      faulty: "loads = [1]\nfor x in loads:\n    loads.remove(x)\n",
    },
    {
      language: "python",
      right: "loads = {1: 2}\nfor x, y in list(loads.items()):\n    del loads[x]\n",
      faulty: "loads = {1: 2}\nfor x, y in loads.items():\n    del loads[x]\n",
    },
  ],
};
