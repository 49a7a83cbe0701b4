import { part, parts, type SyntaxNode } from "../../syntax/tree.ts";
import { change, type EditContext, type EditFamily, type Proposal } from "../edit.ts";
import { calledName, isOrder, ofKind } from "../places.ts";

/** A calculation without brackets as its values and the operators between them, from left to right. */
function chainOf(node: SyntaxNode): { values: SyntaxNode[]; signs: string[] } {
  const left = node.kind === "binary" ? part(node, "left") : undefined;
  const right = node.kind === "binary" ? part(node, "right") : undefined;
  if (!left || !right) return { values: [node], signs: [] };
  const [before, after] = [chainOf(left), chainOf(right)];
  return { values: [...before.values, ...after.values], signs: [...before.signs, node.sign ?? "", ...after.signs] };
}

function inChain(context: EditContext): SyntaxNode[] {
  return context.nodes.flatMap(({ node, around }) =>
    node.kind === "binary" && around.at(-1)?.kind !== "binary" ? [node] : [],
  );
}

/** Operators that bind weakly: brackets around them change something beside stronger ones. */
function isWeak(context: EditContext, sign: string): boolean {
  return sign === "+" || sign === "-" || sign.toLowerCase() === context.writing.or;
}

/** Brackets around two or three neighbours where that changes what is worked out. */
function putIn(context: EditContext): Proposal[] {
  return inChain(context).flatMap((whole) => {
    const { values, signs } = chainOf(whole);
    const found: Proposal[] = [];
    for (let first = 0; first < values.length; first++)
      for (let last = first + 1; last < Math.min(values.length, first + 3); last++) {
        if (first === 0 && last === values.length - 1) continue;
        const inside = signs.slice(first, last);
        const beside = [signs[first - 1], signs[last]].filter((sign): sign is string => sign !== undefined);
        const changes =
          (inside.some((sign) => isWeak(context, sign)) && beside.some((sign) => !isWeak(context, sign))) ||
          (signs[first - 1] === "-" && inside.some((sign) => isWeak(context, sign))) ||
          (/^(\/|\/\/|div|%|mod)$/.test(signs[first - 1] ?? "") && inside.some((sign) => !isWeak(context, sign)));
        // A text at the left takes every number behind it one by one, unless they are added first.
        const joined =
          signs[first - 1] === "+" &&
          inside.every((sign) => sign === "+" || sign === "-") &&
          values.slice(0, first).some((value) => value.kind === "text");
        const [from, to] = [values[first]?.from, values[last]?.to];
        if ((!changes && !joined) || from === undefined || to === undefined) continue;
        const text = context.text.slice(from, to);
        found.push(change({ from, to }, `(${text})`, { inside: text }, last - first === 1 ? 1 : 0.5));
      }
    return found;
  });
}

/**
 * Brackets around each comparison beside a word like “and”, in a language where the word binds more than what compares, and
 * without them where they stand.
 */
function aroundComparisons(context: EditContext, put: boolean): Proposal[] {
  const { logicBindsFirst, and, or } = context.writing;
  if (!logicBindsFirst) return [];
  const word = new RegExp(`^(?:${and}|${or})$`, "i");
  const compares = (sign: string | undefined) => isOrder(sign) || sign === "=" || sign === "<>";
  return inChain(context).flatMap((whole) => {
    const { values, signs } = chainOf(whole);
    if (!signs.some((sign) => word.test(sign))) return [];
    const parts: SyntaxNode[][] = [[]];
    for (const [at, value] of values.entries()) {
      if (at > 0 && word.test(signs[at - 1] ?? "")) parts.push([]);
      parts.at(-1)?.push(value);
    }
    let text = "";
    let upTo = whole.from;
    for (const part of parts) {
      const [first, last] = [part[0], part.at(-1)];
      if (!first || !last) return [];
      const own = context.text.slice(first.from, last.to);
      const inner = first === last && first.kind === "group" ? first.children[0] : undefined;
      const isBare = part.length === 2 && compares(signs[values.indexOf(first)]);
      text += context.text.slice(upTo, first.from);
      if (put) text += isBare ? `(${own})` : own;
      else text += inner && compares(inner.sign) ? context.sourceOf(inner) : own;
      upTo = last.to;
    }
    return [change(whole, text + context.text.slice(upTo, whole.to), { inside: text }, put ? 3 : 1)];
  });
}

/** Brackets taken away where another operator stands beside them. */
function takeOut(context: EditContext): Proposal[] {
  return context.nodes.flatMap(({ node, around }) => {
    const inner = node.kind === "group" ? node.children[0] : undefined;
    if (inner?.kind !== "binary" || (around.at(-1)?.kind !== "binary" && around.at(-1)?.kind !== "cast")) return [];
    return [change(node, context.sourceOf(inner), { inside: context.sourceOf(inner) }, 0.6)];
  });
}

/** A factor and the one behind it change places with their operators: `a / b * c` is `a * c / b`. */
function otherOrder(context: EditContext): Proposal[] {
  return inChain(context).flatMap((whole) => {
    const { values, signs } = chainOf(whole);
    return signs.flatMap((sign, at) => {
      const next = signs[at + 1];
      const [before, one, other] = [values[at], values[at + 1], values[at + 2]];
      if (
        next === undefined ||
        sign === next ||
        isWeak(context, sign) ||
        isWeak(context, next) ||
        !before ||
        !one ||
        !other
      )
        return [];
      if (![sign, next].every((each) => /^([*/%]|\/\/|div|mod)$/.test(each))) return [];
      const text = `${context.sourceOf(before)} ${next} ${context.sourceOf(other)} ${sign} ${context.sourceOf(one)}`;
      return [change({ from: before.from, to: other.to }, text, { inside: text }, 0.8)];
    });
  });
}

/** A factor or a summand that belongs outside of a call with one value, or inside of it: `round(a * 100)` and `round(a) * 100`. */
function overTheBracket(context: EditContext): Proposal[] {
  const { library } = context.writing;
  const works = (node: SyntaxNode) => {
    const name = calledName(node);
    return (
      parts(node, "argument").length === 1 && ![library.prints, library.reads, library.readsText].some((is) => is(name))
    );
  };
  const out = ofKind(context, "call").flatMap(({ node }) => {
    const value = parts(node, "argument")[0];
    const [left, right] = value?.kind === "binary" ? [part(value, "left"), part(value, "right")] : [];
    if (!works(node) || !value || !left || !right || !/^[-+*/]$/.test(value.sign ?? "")) return [];
    const text = `${context.text.slice(node.from, left.to)}) ${value.sign} ${context.sourceOf(right)}`;
    return [change(node, text, { inside: context.sourceOf(left) }, 0.4)];
  });
  const into = ofKind(context, "binary").flatMap(({ node }) => {
    const [call, right] = [part(node, "left"), part(node, "right")];
    const value = call?.kind === "call" ? parts(call, "argument")[0] : undefined;
    if (!call || !right || !value || !works(call) || !/^[-+*/]$/.test(node.sign ?? "")) return [];
    const inner = value.kind === "binary" && /^[-+]$/.test(value.sign ?? "") && /^[*/]$/.test(node.sign ?? "");
    const own = inner ? `(${context.sourceOf(value)})` : context.sourceOf(value);
    const text = `${context.text.slice(call.from, value.from)}${own} ${node.sign} ${context.sourceOf(right)})`;
    return [change(node, text, { inside: `${own} ${node.sign} ${context.sourceOf(right)}` }, 0.4)];
  });
  return [...out, ...into];
}

export const formulaBrackets: EditFamily = {
  id: "formula-brackets",
  says: "brackets in a formula, or the order of its factors",
  weight: 8,
  reads: "tree",
  mends: (context) => [
    ...aroundComparisons(context, true),
    ...putIn(context),
    ...takeOut(context),
    ...otherOrder(context),
    ...overTheBracket(context),
  ],
  plants: (context) => [
    ...takeOut(context),
    ...putIn(context),
    ...otherOrder(context),
    ...overTheBracket(context),
    ...aroundComparisons(context, false),
  ],
  examples: [
    { language: "python", right: "share = (new - old) / old * 100\n", faulty: "share = new - old / old * 100\n" },
    { language: "python", right: "share = round(a / b * 100)\n", faulty: "share = round(a / b) * 100\n" },
    { language: "octave", right: "w = ceil(q / 20) * 15;\n", faulty: "w = ceil(q / 20 * 15);\n" },
    {
      language: "java",
      right: "class Main { int f(int r, int t) { return r * 100 / t; } }",
      faulty: "class Main { int f(int r, int t) { return r / t * 100; } }",
    },
    {
      language: "java",
      right: 'class Main { String f(int a, int b) { return "n " + (a + b); } }',
      faulty: 'class Main { String f(int a, int b) { return "n " + a + b; } }',
    },
    {
      language: "c",
      right: "double f(int a, int b) { return (a + b) / 2.0; }",
      faulty: "double f(int a, int b) { return a + b / 2.0; }",
    },
    {
      language: "csharp",
      right: "class P { int F(int a, int b) { return a - (b + 2); } }",
      faulty: "class P { int F(int a, int b) { return a - b + 2; } }",
    },
    {
      language: "pascal",
      right: "begin\n  if (a > 2) and open and (b <> 0) then x := 1;\nend.",
      faulty: "begin\n  if a > 2 and open and b <> 0 then x := 1;\nend.",
    },
    { language: "pascal", right: "begin\n  x := (a + b) * 2;\nend.", faulty: "begin\n  x := a + b * 2;\nend." },
    { language: "octave", right: "x = (a + b) * 2;\n", faulty: "x = a + b * 2;\n" },
  ],
};
