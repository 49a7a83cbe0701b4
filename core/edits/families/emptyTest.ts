import { isLoop, nodesOf, part, type SyntaxNode } from "../../syntax/tree.ts";
import { change, type EditContext, type EditFamily, insert, type Placed, type Proposal } from "../edit.ts";
import { namesGivenIn, ofKind } from "../places.ts";

/** Names of which a condition asks a part, or that it hands something, the first of each. */
function usedIn(condition: SyntaxNode): string[] {
  const names = nodesOf(condition).flatMap((node) => {
    const owner = part(node, "object") ?? part(part(node, "callee") ?? node, "object");
    return owner?.kind === "name" ? [owner.sign ?? ""] : [];
  });
  return [...new Set(names)];
}

/** The names of all that may be followed from one to the next: `car->next`. */
function followed(context: EditContext): Map<string, string> {
  const parts = new Map<string, string>();
  for (const { node } of ofKind(context, "assignment")) {
    const [target, value] = [part(node, "target") ?? part(node, "definition"), part(node, "value")];
    const owner = value?.kind === "field" ? part(value, "object") : undefined;
    if (target?.kind === "name" && owner?.sign === target.sign && value && owner)
      parts.set(target.sign ?? "", context.text.slice(owner.to, value.to));
  }
  return parts;
}

/** True for a comparison with nothing: by its right side, or by its sign where that holds it (`!= NULL`). */
const isAboutNothing = (node: SyntaxNode) => /\b(?:null|NULL|None)$/.test(part(node, "right")?.sign ?? node.sign ?? "");

/** A test of a name for something, before what is asked of it. */
function putIn(context: EditContext): Proposal[] {
  return conditionsOf(context).flatMap(({ node, around }) => {
    const text = context.sourceOf(node);
    const inLoop = around.at(-1) !== undefined && isLoop(around.at(-1) as SyntaxNode);
    return [...new Set([...usedIn(node), ...comparedIn(node)])].flatMap((name) => {
      const test = context.writing.holdsSomething?.(name);
      if (!test || text.includes(test) || !context.names.includes(name)) return [];
      return [insert(node.from, `${test} ${context.writing.and} `, { name }, inLoop ? 1 : 0.6)];
    });
  });
}

/** What a decision keeps as the best so far, asked before it holds anything: the first one is to be taken as it is. */
function orNothing(context: EditContext): Proposal[] {
  return ofKind(context, "if").flatMap(({ node }) => {
    const [condition, body] = [part(node, "condition"), part(node, "body")];
    if (!condition || !body) return [];
    const kept = namesGivenIn(body);
    return usedIn(condition).flatMap((name) => {
      const test = context.writing.holdsNothing?.(name);
      if (!test || !kept.includes(name) || context.sourceOf(condition).includes(test)) return [];
      return [insert(condition.from, `${test} ${context.writing.or} `, { name }, 2)];
    });
  });
}

/** The same where something else is asked as well: in brackets around the comparison that needs it. */
function orNothingInside(context: EditContext): Proposal[] {
  const { and, or, holdsNothing } = context.writing;
  if (!holdsNothing) return [];
  return ofKind(context, "if").flatMap(({ node }) => {
    const [condition, body] = [part(node, "condition"), part(node, "body")];
    if (condition?.kind !== "binary" || condition.sign !== and || !body) return [];
    const kept = namesGivenIn(body);
    return condition.children.flatMap((side) =>
      usedIn(side).flatMap((name) => {
        const test = holdsNothing(name);
        if (side.kind !== "binary" || !kept.includes(name) || context.sourceOf(condition).includes(test)) return [];
        return [change(side, `(${test} ${or} ${context.sourceOf(side)})`, { name }, 2)];
      }),
    );
  });
}

/** Such a test taken away. */
function orNothingOut(context: EditContext): Proposal[] {
  return ofKind(context, "binary").flatMap(({ node }) => {
    const [left, right] = [part(node, "left"), part(node, "right")];
    if (node.sign !== context.writing.or || !left || !right) return [];
    const name = part(left, "left")?.sign ?? "";
    if (!name || context.sourceOf(left) !== context.writing.holdsNothing?.(name)) return [];
    return [change({ from: left.from, to: right.from }, "", { name })];
  });
}

/** Names that a condition compares with a text: what is read may be nothing. */
function comparedIn(condition: SyntaxNode): string[] {
  return nodesOf(condition).flatMap((node) => {
    const [left, right] = [part(node, "left"), part(node, "right")];
    return node.kind === "binary" && left?.kind === "name" && right?.kind === "text" ? [left.sign ?? ""] : [];
  });
}

function conditionsOf(context: EditContext): Placed[] {
  return context.nodes.filter(({ node }) => node.role === "condition" && node.kind !== "choice");
}

/** The last one for the end behind it, and the other way round: `car != NULL` and `car->next != NULL`. */
function nextOrItself(context: EditContext): Proposal[] {
  const parts = followed(context);
  return conditionsOf(context).flatMap(({ node: condition }) =>
    nodesOf(condition).flatMap((node) => {
      const left = part(node, "left");
      if (node.kind !== "binary" || !left || !isAboutNothing(node)) return [];
      const before = context.sourceOf(left);
      const owner = left.kind === "field" ? part(left, "object") : undefined;
      if (owner?.kind === "name" && parts.has(owner.sign ?? "")) {
        const after = context.sourceOf(owner);
        return [change(left, after, { before, after }, 1)];
      }
      const next = left.kind === "name" ? parts.get(left.sign ?? "") : undefined;
      return next ? [change(left, before + next, { before, after: before + next }, 1)] : [];
    }),
  );
}

/** A test for something taken out of a condition that asks more. */
function takeOut(context: EditContext): Proposal[] {
  return ofKind(context, "binary").flatMap(({ node }) => {
    const [left, right] = [part(node, "left"), part(node, "right")];
    if (node.sign !== context.writing.and || !left || !right) return [];
    const name = left.kind === "binary" ? (part(left, "left")?.sign ?? "") : "";
    if (!name || context.sourceOf(left) !== context.writing.holdsSomething?.(name)) return [];
    return [change({ from: left.from, to: right.from }, "", { name })];
  });
}

/** Whether there is something at all is not asked, or of the wrong one. */
export const emptyTest: EditFamily = {
  id: "empty-test",
  says: "a test whether there is something at all",
  weight: 7,
  reads: "tree",
  mends: (context) => [...putIn(context), ...orNothing(context), ...orNothingInside(context), ...nextOrItself(context)],
  plants: (context) => [...takeOut(context), ...orNothingOut(context), ...nextOrItself(context)],
  examples: [
    {
      language: "csharp",
      right: "class P { void F(Boat b) { if (best == null || b.Load > best.Load) { best = b; } } }",
      faulty: "class P { void F(Boat b) { if (b.Load > best.Load) { best = b; } } }",
    },
    {
      language: "python",
      right: "for boat in boats:\n    if best is None or boat.load > best.load:\n        best = boat\n",
      faulty: "for boat in boats:\n    if boat.load > best.load:\n        best = boat\n",
    },
    {
      language: "c",
      right: "void f(Car *car) { while (car != NULL && car->length < 4) car = car->next; }",
      faulty: "void f(Car *car) { while (car->length < 4) car = car->next; }",
    },
    {
      language: "c",
      right: "void f(Car *car) { while (car->next != NULL) car = car->next; }",
      faulty: "void f(Car *car) { while (car != NULL) car = car->next; }",
    },
    {
      language: "java",
      right: 'class M { void f(String a) { if (a != null && a.equals("on")) g(); } }',
      faulty: 'class M { void f(String a) { if (a.equals("on")) g(); } }',
    },
    {
      language: "csharp",
      right: 'class P { void F() { string a = R(); while (a != null && a != "") a = R(); } }',
      faulty: 'class P { void F() { string a = R(); while (a != "") a = R(); } }',
    },
    {
      language: "python",
      right: "def f(car):\n    while car is not None and car.length < 4:\n        car = car.next\n",
      faulty: "def f(car):\n    while car.length < 4:\n        car = car.next\n",
    },
  ],
};
