import type { Conversion } from "../../languages/writing.ts";
import { nodesOf, part, parts, type SyntaxNode } from "../../syntax/tree.ts";
import { change, type EditContext, type EditFamily, type Proposal } from "../edit.ts";
import { calledName, isSimple, namesIn, ofKind } from "../places.ts";
import { wholeQuotients } from "../wholeQuotients.ts";

/** Values that may need another kind: what is read, sides of calculations and comparisons, arguments, what is given back. */
function values(context: EditContext): Array<{ node: SyntaxNode; odds: number }> {
  const found: Array<{ node: SyntaxNode; odds: number }> = [];
  for (const { node, around } of context.nodes) {
    const parent = around.at(-1);
    if (
      !parent ||
      node.role === "callee" ||
      node.role === "target" ||
      node.role === "definition" ||
      node.kind === "type"
    )
      continue;
    const reads = node.kind === "call" && context.writing.library.readsText(calledName(node));
    if (node.kind === "number" || node.kind === "constant" || node.kind === "list") continue;
    if (node.role === "value" && (parent.kind === "assignment" || parent.kind === "return"))
      found.push({ node, odds: reads ? 2 : 0.4 });
    else if (parent.kind === "binary") found.push({ node, odds: reads ? 1.5 : node.kind === "text" ? 0 : 0.5 });
    else if (parent.kind === "list" && node.role === "value")
      found.push({ node, odds: node.kind === "name" ? 1.2 : 0.3 });
    else if (parent.kind === "list" && node.kind === "index") found.push({ node, odds: 0.3 });
    else if (node.role === "argument") found.push({ node, odds: reads ? 2 : node.kind === "text" ? 0 : 0.3 });
    else if (node.kind === "text" && parent.kind !== "list") continue;
    else if (node.role === "condition" || node.role === "source") found.push({ node, odds: 0.15 });
  }
  const texts = neverConverted(context);
  return found.flatMap(({ node, odds }) => {
    const name = node.kind === "index" ? part(node, "object")?.sign : node.kind === "name" ? node.sign : undefined;
    const left = name !== undefined && texts.has(name) ? stillText : 1;
    return odds > 0 ? [{ node, odds: odds * left }] : [];
  });
}

/** How much likelier a conversion is of what is a text for certain, in a language whose names have no kinds. */
const stillText = 4;

/** Names that hold texts alone in a language whose names have no kinds: what was read as a text, and the parts of such a one. */
function neverConverted(context: EditContext): ReadonlySet<string> {
  const texts = new Set<string>();
  const others = new Set<string>();
  if (context.writing.variables !== "by assignment") return texts;
  for (const { node } of ofKind(context, "assignment")) {
    const [target, value] = [part(node, "target"), part(node, "value")];
    if (!target || !value) continue;
    const calls = nodesOf(value).filter((each) => each.kind === "call");
    const [outer] = calls;
    const reads = calls.some((call) => context.writing.library.readsText(calledName(call)));
    const isText =
      outer === value && reads && !context.writing.conversions.some(({ name }) => name === calledName(outer));
    for (const name of target.kind === "name" ? [target.sign ?? ""] : target.kind === "list" ? namesIn(target) : [])
      (isText ? texts : others).add(name);
  }
  for (const name of others) texts.delete(name);
  return texts;
}

/** By the name of a list: the conversions through which other elements of it go. */
function ofNeighbours(context: EditContext): Map<string, Set<Conversion>> {
  const found = new Map<string, Set<Conversion>>();
  for (const { node } of ofKind(context, "call", "cast")) {
    const inner = node.kind === "cast" ? part(node, "operand") : parts(node, "argument")[0];
    const list = inner?.kind === "index" ? part(inner, "object")?.sign : undefined;
    const text = context.sourceOf(node);
    const around = context.writing.conversions.find((each) => each.before !== "" && text.startsWith(each.before));
    if (list && around) found.set(list, (found.get(list) ?? new Set()).add(around));
  }
  return found;
}

/** A conversion put around a value. */
function putIn(context: EditContext): Proposal[] {
  const { conversions } = context.writing;
  const neighbours = ofNeighbours(context);
  const quotients = wholeQuotients(context).map(({ node }) => node);
  return values(context).flatMap(({ node, odds }) => {
    const alike = node.kind === "index" ? neighbours.get(part(node, "object")?.sign ?? "") : undefined;
    // A quotient that lacks its digits, or what is divided in it.
    const isCut = quotients.some((each) => each === node || part(each, "left") === node);
    const usual = isCut ? 4 : isCast(conversions) && !divides(context, node) ? 0.3 : 1;
    return conversions.flatMap((conversion, at) => {
      const text = context.sourceOf(node);
      if (conversion.before !== "" && text.startsWith(conversion.before)) return [];
      const needs = conversion.after === "" || conversion.before === "" ? !isSimple(node) : false;
      const inner = needs ? `(${text})` : text;
      const likely = alike?.has(conversion)
        ? 1.8
        : odds * usual * (at === 0 ? 1 : at === 1 ? 0.8 : at === 2 ? 0.6 : 0.15);
      const first = conversion.before.startsWith("(") && node.kind === "binary" ? part(node, "left") : undefined;
      const found = [
        change(node, `${conversion.before}${inner}${conversion.after}`, { name: conversion.name, value: text }, likely),
      ];
      // A cast of the first value alone: the calculation goes on with its kind.
      if (first && isSimple(first))
        found.push(
          change(
            first,
            conversion.before + context.sourceOf(first),
            { name: conversion.name, value: context.sourceOf(first) },
            likely,
          ),
        );
      return found;
    });
  });
}

/** True where numbers are made of one another by a cast, which changes a result where something is divided. */
function isCast(conversions: readonly Conversion[]): boolean {
  return conversions.some((conversion) => conversion.before.startsWith("("));
}

function divides(context: EditContext, { from, to }: SyntaxNode): boolean {
  const line = context.lines[context.lineOf(from) - 1];
  return line?.code.some((token) => /^[/%]=?$/.test(token.text)) === true || context.text.slice(from, to).includes("/");
}

/** A number in the place of what a loop goes over: the numbers up to it. */
function upTo(context: EditContext): Proposal[] {
  const { countingCall, variables } = context.writing;
  if (!countingCall || variables !== "by assignment") return [];
  return ofKind(context, "foreach").flatMap(({ node }) => {
    const source = part(node, "source");
    const [handed] = source ? parts(source, "argument") : [];
    const isLength =
      source && handed && context.sourceOf(source) === context.writing.lengthOf?.(context.sourceOf(handed));
    const isCount = source?.kind === "number" || isLength;
    if (!source || !(isCount || source.kind === "name")) return [];
    const text = context.sourceOf(source);
    return [change(source, `${countingCall}(${text})`, { name: countingCall, value: text }, isCount ? 2 : 0.7)];
  });
}

/** The other way: what a loop counts up to, in the place of the numbers. */
function uncounted(context: EditContext): Proposal[] {
  return ofKind(context, "foreach").flatMap(({ node }) => {
    const source = part(node, "source");
    const given = source ? parts(source, "argument") : [];
    if (!source || given.length !== 1 || !given[0] || calledName(source) !== context.writing.countingCall) return [];
    return [change(source, context.sourceOf(given[0]), { name: "", value: context.sourceOf(given[0]) })];
  });
}

/** A conversion taken away from a value. */
function takeOut(context: EditContext): Proposal[] {
  const { conversions } = context.writing;
  const calls = ofKind(context, "call", "cast").flatMap(({ node }) => {
    const text = context.sourceOf(node);
    const inner = node.kind === "cast" ? part(node, "operand") : parts(node, "argument")[0];
    const around = conversions.find((each) => each.before !== "" && text.startsWith(each.before.trimEnd()));
    if (!around || !inner || (node.kind === "call" && parts(node, "argument").length > 1)) return [];
    return [change(node, context.sourceOf(inner), { name: around.name, value: context.sourceOf(inner) }, 0.7)];
  });
  return calls;
}

/** One conversion for another. */
function others(context: EditContext): Proposal[] {
  const { conversions } = context.writing;
  return ofKind(context, "call", "cast").flatMap(({ node }) => {
    const text = context.sourceOf(node);
    const inner = node.kind === "cast" ? part(node, "operand") : parts(node, "argument")[0];
    const around = conversions.find((each) => each.before !== "" && text.startsWith(each.before.trimEnd()));
    if (!around || !inner) return [];
    return conversions
      .filter((each) => each !== around && each.before !== "" && each.after === around.after)
      .map((each, at) =>
        change(
          node,
          `${each.before}${context.sourceOf(inner)}${each.after}`,
          { name: each.name, value: context.sourceOf(inner) },
          at < 2 ? 1 : 0.25,
        ),
      );
  });
}

export const conversion: EditFamily = {
  id: "conversion",
  says: "a value that is to be made another kind of value: a number of a text, a decimal of a whole number, the numbers up to a count",
  weight: 10,
  reads: "tree",
  mends: (context) => [...putIn(context), ...takeOut(context), ...others(context), ...upTo(context)],
  plants: (context) => [...takeOut(context), ...others(context), ...uncounted(context)],
  examples: [
    {
      language: "python",
      right: "count = int(input())\nfor i in range(count):\n    print(i)\n",
      faulty: "count = int(input())\nfor i in count:\n    print(i)\n",
    },
    { language: "python", right: 'cars = int(input("Cars? "))\n', faulty: 'cars = input("Cars? ")\n' },
    { language: "python", right: 'tide = float(input("Tide? "))\n', faulty: 'tide = int(input("Tide? "))\n' },
    {
      language: "java",
      right: "class Main { double f(int a, int b) { return (double) a / b; } }",
      faulty: "class Main { double f(int a, int b) { return a / b; } }",
    },
    {
      language: "c",
      right: "double f(int a, int b) { return (double)a / b; }",
      faulty: "double f(int a, int b) { return a / b; }",
    },
    {
      language: "csharp",
      right: "class P { void F(string s) { int n = int.Parse(s); } }",
      faulty: "class P { void F(string s) { int n = s; } }",
    },
    { language: "pascal", right: "begin\n  s := IntToStr(n);\nend.", faulty: "begin\n  s := n;\nend." },
    { language: "octave", right: "n = str2num(s);\n", faulty: "n = s;\n" },
  ],
};
