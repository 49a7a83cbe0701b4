import { isLoop, nodesOf, part, parts, type SyntaxNode } from "../../syntax/tree.ts";
import { change, type EditContext, type EditFamily, type Proposal } from "../edit.ts";
import { gatherings } from "../gathered.ts";
import { bracketed, calledName, countersOf, isOrder, isSimple, ofKind } from "../places.ts";
import { scopesOf } from "../scopes.ts";

/** Calls of libraries that give or take out a piece by numbers. */
const pieces = /(?:^|\.)(?:copy|substring|substr|mid|left|right|delete|get|charAt|remove(?:At)?)$/i;

/** True for a list that is made with so much room, and none of what lies in it: `new int[decks]`. */
function isMadeWithRoom(context: EditContext, { kind, sign, children }: SyntaxNode): boolean {
  const [type, room] = children;
  if (type?.kind !== "type" || !room || (kind !== "list" && (kind !== "call" || sign !== "new"))) return false;
  return context.text.slice(type.to, room.from).trim() === "[";
}

/** Where a count goes to or an element is picked: limits of loops and of ranges, indexes, sides of comparisons. */
function limits(context: EditContext): Array<{ node: SyntaxNode; odds: number }> {
  const found = new Map<SyntaxNode, number>();
  const add = (node: SyntaxNode | undefined, odds: number) => {
    if (node) found.set(node, Math.max(odds, found.get(node) ?? 0));
  };
  for (const { node, around } of context.nodes) {
    if (node.kind === "index") for (const each of parts(node, "argument")) add(each, 0.5);
    if (node.kind === "call" && calledName(node) === context.writing.countingCall)
      for (const each of parts(node, "argument")) add(each, 1);
    if (node.kind === "for") add(part(node, "limit"), 1);
    if (node.kind === "for" && part(node, "start")) {
      const start = part(node, "start");
      const assigned =
        start?.kind === "assignment" ? start : start?.children.find((each) => each.kind === "assignment");
      // Pairs are gone through from behind the first of them.
      const outer = around.some(
        (each) => isLoop(each) && countersOf(each).includes(part(assigned ?? each, "value")?.sign ?? ""),
      );
      add(assigned && part(assigned, "value"), outer ? 1.3 : 0.5);
    }
    if (node.kind === "foreach" && part(node, "source")?.sign === ":")
      for (const each of part(node, "source")?.children ?? []) add(each, 0.9);
    if (node.kind === "binary" && isOrder(node.sign)) {
      const inLoop = around.at(-1) !== undefined && isLoop(around.at(-1) as SyntaxNode) && node.role === "condition";
      add(part(node, "right"), inLoop ? 0.9 : 0.4);
    }
    if (node.kind === "binary" && /^(\/|\/\/|div|%|mod)$/i.test(node.sign ?? "")) add(part(node, "right"), 0.5);
    if (node.kind === "return") add(part(node, "value"), 0.3);
    if (node.kind === "assignment" && node.sign === context.writing.assign) {
      const value = part(node, "value");
      // What is gathered in is hardly one more or less in every pass.
      add(value, value && gathersItself(context, node, value) ? 0.08 : 0.3);
    }
    // In a language whose lists begin with 1 an element is picked as a function is called.
    if (node.kind === "call" && context.names.includes(calledName(node)))
      for (const each of parts(node, "argument")) add(each, 0.5);
    // How much room a list is made with.
    if (isMadeWithRoom(context, node))
      for (const each of node.children) if (each.kind === "name" || each.kind === "binary") add(each, 0.9);
    // What a piece of a text or an element is asked for by.
    if (node.kind === "call" && pieces.test(calledName(node)))
      for (const each of parts(node, "argument")) add(each, 0.6);
  }
  for (const node of shownCounts(context)) add(node, 0.4);
  return [...found].map(([node, odds]) => ({ node, odds }));
}

/** True where a name is given a value that is made from its own: `sum = sum + i`. */
function gathersItself(context: EditContext, assignment: SyntaxNode, value: SyntaxNode): boolean {
  const target = part(assignment, "target");
  if (!target || value.kind !== "binary") return false;
  const name = context.sourceOf(target);
  return value.children.some((side) => context.sourceOf(side) === name);
}

/** What is printed of what a program counts by, alone or with one more: people count from another number than machines. */
function shownCounts(context: EditContext): SyntaxNode[] {
  const counted = new Set(gatherings(context).map(({ name }) => name));
  for (const { node } of ofKind(context, "for", "foreach")) for (const name of countersOf(node)) counted.add(name);
  return ofKind(context, "call").flatMap(({ node }) => {
    if (!context.writing.library.prints(calledName(node))) return [];
    const inside = parts(node, "argument").flatMap((each) => nodesOf(each));
    const byOne = inside.filter((each) => each.kind === "binary" && part(each, "right")?.sign === "1");
    const withOne = byOne.filter((each) => counted.has(part(each, "left")?.sign ?? ""));
    const plain = inside.filter(
      (each) =>
        each.kind === "name" && counted.has(each.sign ?? "") && !byOne.some((other) => other.children.includes(each)),
    );
    return [...withOne, ...plain];
  });
}

/** A value with 1 more or 1 less; where it has that already, without it. */
function byOne(context: EditContext): Proposal[] {
  const { mayBeNumber } = scopesOf(context);
  return limits(context).flatMap(({ node, odds }) => {
    const isLast = node.kind === "constant" && node.sign === context.writing.lastPlace;
    if (node.kind === "text" || node.kind === "list" || node.kind === "number") return [];
    if (node.kind === "constant" && !isLast) return [];
    if (node.sign === "new" || (node.kind === "name" && !mayBeNumber(node.sign ?? ""))) return [];
    const text = context.sourceOf(node);
    const right = node.kind === "binary" ? part(node, "right") : undefined;
    const left = node.kind === "binary" ? part(node, "left") : undefined;
    const found: Proposal[] = [];
    if ((node.sign === "+" || node.sign === "-") && right?.sign === "1" && left) {
      const less = context.sourceOf(left);
      found.push(change(node, less, { before: text, after: less }, odds));
      const turned = `${less} ${node.sign === "+" ? "-" : "+"} 1`;
      found.push(change(node, turned, { before: text, after: turned }, odds * 0.3));
      return found;
    }
    // One more or less than a number that stands there is another number.
    if (/^[+-]$/.test(node.sign ?? "") && right?.kind === "number") return found;
    for (const sign of ["+", "-"]) {
      const parent = context.nodes.find((each) => each.node === node)?.around.at(-1);
      const inside = isSimple(node) || /^[-+*]$/.test(node.sign ?? "") ? text : bracketed(context, node);
      const more = `${inside} ${sign} 1`;
      const needs = parent?.kind === "binary" && !isOrder(parent.sign) && parent.sign !== ":";
      found.push(change(node, needs ? `(${more})` : more, { before: text, after: more }, odds));
    }
    return found;
  });
}

/** `range(n)` for `range(1, n)` and the other way; `range(n)` for `range(n + 1)` belongs to values by one. */
function otherRange(context: EditContext): Proposal[] {
  return ofKind(context, "call").flatMap(({ node }) => {
    const given = parts(node, "argument");
    const [first, second] = given;
    if (calledName(node) !== context.writing.countingCall || !first) return [];
    const place = { from: first.from, to: (given.at(-1) ?? first).to };
    const text = context.sourceOf(first);
    if (!second)
      return [
        change(place, `1, ${text}`, { before: text, after: `1, ${text}` }, 0.5),
        change(place, `1, ${text} + 1`, { before: text, after: `1, ${text} + 1` }, 0.6),
      ];
    const other = context.sourceOf(second);
    if (given.length > 2) return [];
    return [
      change(place, other, { before: `${text}, ${other}`, after: other }, 0.4),
      change(place, `${text}, ${other}, -1`, { before: `${text}, ${other}`, after: `${text}, ${other}, -1` }, 0.3),
      change(
        place,
        `${text} + 1, ${other} + 1`,
        { before: `${text}, ${other}`, after: `${text} + 1, ${other} + 1` },
        0.2,
      ),
    ];
  });
}

/** The colon by which a piece is picked and not one element of it, put in or left out. */
function sliceSigns(context: EditContext): Proposal[] {
  if (!context.writing.slices) return [];
  return ofKind(context, "index").flatMap(({ node }) => {
    const [first, ...others] = parts(node, "argument");
    if (!first || others.length > 0 || first.kind === "text") return [];
    const text = context.sourceOf(first);
    if (node.sign !== ":")
      return [`${text}:`, `:${text}`].map((piece) => change(first, piece, { before: text, after: piece }, 0.5));
    const open = context.code.findLast((token) => token.to <= first.from && token.text === "[");
    const close = context.code.find((token) => token.from >= first.to && token.text === "]");
    if (!open || !close) return [];
    const whole = { from: open.to, to: close.from };
    return [change(whole, text, { before: context.sourceOf(whole), after: text }, 0.4)];
  });
}

export const byOneFamily: EditFamily = {
  id: "by-one",
  says: "a limit or an index that is one too far or not far enough",
  weight: 10,
  reads: "tree",
  mends: (context) => [...byOne(context), ...otherRange(context), ...sliceSigns(context)],
  plants: (context) => [...byOne(context), ...otherRange(context), ...sliceSigns(context)],
  examples: [
    { language: "python", right: "end = code[-2:]\n", faulty: "end = code[-2]\n" },
    {
      language: "python",
      right: "for place in range(len(loads) - 1):\n    print(loads[place])\n",
      faulty: "for place in range(len(loads)):\n    print(loads[place])\n",
    },
    {
      language: "python",
      right: "for deck in range(1, decks + 1):\n    print(deck)\n",
      faulty: "for deck in range(1, decks):\n    print(deck)\n",
    },
    {
      language: "java",
      right: "class Main { int f(int[] a) { return a[a.length - 1]; } }",
      faulty: "class Main { int f(int[] a) { return a[a.length]; } }",
    },
    {
      language: "c",
      right: "void f(int n) { int i; for (i = 0; i < n; i++) g(i); }",
      faulty: "void f(int n) { int i; for (i = 0; i < n + 1; i++) g(i); }",
    },
    {
      language: "java",
      right: "class Main { int[] f(int n) { return new int[n + 1]; } }",
      faulty: "class Main { int[] f(int n) { return new int[n]; } }",
    },
    {
      language: "csharp",
      right: "class P { int F(int[] a, int i) { return a[i]; } }",
      faulty: "class P { int F(int[] a, int i) { return a[i + 1]; } }",
    },
    {
      language: "pascal",
      right: "begin\n  for i := 1 to n do x := i;\nend.",
      faulty: "begin\n  for i := 1 to n - 1 do x := i;\nend.",
    },
    { language: "octave", right: "for i = 1:n\n  x = i;\nend\n", faulty: "for i = 1:n - 1\n  x = i;\nend\n" },
  ],
};
