import { nodesOf, part, type SyntaxNode } from "../../syntax/tree.ts";
import { change, type EditContext, type EditFamily, type Proposal } from "../edit.ts";
import { usedAs } from "../neverGiven.ts";
import { calledName, countersOf, loopAround, nameOfFunction, ofKind } from "../places.ts";
import { scopesOf } from "../scopes.ts";
import { valueOfType } from "./firstValue.ts";

/** Objects in the place of nothing, by the type of what is declared. */
function objectsFor(context: EditContext, around: readonly SyntaxNode[]): string[] {
  const type = around.at(-1)?.children.find((child) => child.kind === "type")?.sign ?? "";
  const { mayCount, isKnownAt } = scopesOf(context);
  const sizes = context.names.filter((name) => /\[\]$/.test(type) && mayCount(name) && isKnownAt(name, around));
  const made = sizes.slice(0, 4).map((name) => `new ${type.slice(0, -2)}[${name}]`);
  if (/[<[]/.test(type)) return [...made, ...valueOfType(type)];
  const own = ofKind(context, "class").find(({ node }) => nameOfFunction(node) === type);
  return own ? [`new ${type}()`] : [];
}

/** The loops that give a name what they count by, or the element that they are at, one after another. */
function loopsThatGive(context: EditContext, assignment: SyntaxNode): SyntaxNode[] {
  const name = (part(assignment, "target") ?? part(assignment, "definition"))?.sign;
  return ofKind(context, "for", "foreach").flatMap(({ node }) => {
    const given = nodesOf(node).flatMap((each) =>
      each.kind === "assignment" && part(each, "target")?.sign === name ? [part(each, "value")?.sign ?? ""] : [],
    );
    return given.some((each) => countersOf(node).includes(each)) ? [node] : [];
  });
}

/** True for a loop that goes over places, and not over the elements of something. */
function countsPlaces({ writing }: EditContext, loop: SyntaxNode): boolean {
  const source = part(loop, "source");
  return (
    loop.kind === "for" || source?.sign === ":" || (source !== undefined && calledName(source) === writing.countingCall)
  );
}

/** The first value that a name's uses ask for, where it has another kind: a text that is added to and begins with 0. */
function asUsed(context: EditContext, assignment: SyntaxNode, text: string): string[] {
  const name = (part(assignment, "target") ?? part(assignment, "definition"))?.sign;
  const uses = context.nodes.filter(
    ({ node }) => node.kind === "name" && node.sign === name && node.from > assignment.to,
  );
  if (context.writing.variables !== "by assignment" || uses.length === 0) return [];
  const kind = usedAs(context, uses);
  if (kind === "number" || kind === "nothing") return [];
  return (context.writing.firstValues?.[kind] ?? []).slice(0, 1).filter((value) => value !== text);
}

/** Values that a count, a sum, a product, a greatest or a least one begins with, in place of the one that is there. */
function otherStarts(context: EditContext): Proposal[] {
  const { writing, names } = context;
  const lists = ofKind(context, "foreach").flatMap(({ node }) => {
    const source = part(node, "source");
    return source?.kind === "name" ? [source.sign ?? ""] : [];
  });
  const indexed = ofKind(context, "index").flatMap(({ node }) => {
    const object = part(node, "object");
    return object?.kind === "name" && names.includes(object.sign ?? "") ? [object.sign ?? ""] : [];
  });
  // In a language whose lists begin with 1 an element is picked as a function is called.
  const called = ofKind(context, "call").flatMap(({ node }) => {
    const name = part(node, "callee")?.sign ?? "";
    return names.includes(name) && !context.functions.includes(name) ? [name] : [];
  });
  const firsts = [...new Set([...lists, ...indexed, ...called])].map((name) => writing.firstElement(name));
  return ofKind(context, "assignment").flatMap(({ node, around }) => {
    const value = part(node, "value");
    if (!value || node.sign !== writing.assign) return [];
    const text = context.sourceOf(value);
    const isNumber = /^-?\d+(\.\d+)?$/.test(text);
    const isEmpty = /^(""|''|\[\]|\{\}|\(\)|(?:list|dict|set|tuple)\(\)|None|null|NULL|nil)$/.test(text);
    const isFirst = /^[\w.]+[[(][01][\])]$/.test(text);
    // A pair of numbers that a best one so far begins with, for the first of the pairs.
    const isPair = value.kind === "list" && /^[([]\s*-?\d+(?:\s*,\s*-?\d+)*\s*[)\]]$/.test(text);
    // The list itself, for its first element.
    const over = () => loopsThatGive(context, node);
    if (value.kind === "name" && lists.includes(text) && over().some((loop) => part(loop, "source")?.sign === text)) {
      const first = writing.firstElement(text);
      return [change(value, first, { before: text, after: first }, 1.2)];
    }
    if (!isNumber && !isEmpty && !isFirst && !isPair) return [];
    const odds = loopAround(around) ? 0.3 : 1;
    const others = new Map<string, number>();
    const add = (other: string, likely: number) =>
      other !== text && !others.has(other) && others.set(other, likely * odds);
    // Another kind of what is empty: `()` takes nothing more in.
    const isBracket = /^(?:\[\]|\{\}|\(\))$/.test(text);
    const forms = isBracket ? ["[]", "{}"].filter((other) => other !== text) : [];
    // What is kept in a loop is a place, and what it begins with an element: best = row[1].
    if (isFirst && over().some((loop) => countsPlaces(context, loop)))
      others.set(/[[(]([01])[\])]$/.exec(text)?.[1] ?? "0", 2);
    if (/^(?:0|\[\]|\{\}|"")$/.test(text)) for (const other of asUsed(context, node, text)) others.set(other, 1.5);
    for (const other of firsts) add(other, 0.6);
    if (isPair)
      return [...others].map(([other, likely]) => change(value, other, { before: text, after: other }, likely));
    if (/^null$/.test(text)) for (const other of objectsFor(context, around)) others.set(other, 1);
    for (const [at, other] of ["0", "1", "-1", "-1000", "1000", "100000"].entries()) add(other, at < 2 ? 0.6 : 0.3);
    if (text.includes(".") || text === "0") add("0.0", 0.15);
    for (const [at, other] of writing.beginnings.entries()) add(other, at < 2 ? 0.25 : 0.1);
    // A form is as likely in a loop as before it: it says what the value can take in, and not what it begins with.
    for (const other of forms) others.set(other, 1.5);
    return [...others].map(([other, likely]) => change(value, other, { before: text, after: other }, likely));
  });
}

export const startValue: EditFamily = {
  id: "start-value",
  says: "the value that a variable begins with",
  weight: 6,
  reads: "tree",
  mends: otherStarts,
  plants: otherStarts,
  examples: [
    {
      language: "python",
      right: "lowest = tides[0]\nfor tide in tides:\n    print(tide)\n",
      faulty: "lowest = 0\nfor tide in tides:\n    print(tide)\n",
    },
    { language: "python", right: "product = 1\n", faulty: "product = 0\n" },
    {
      language: "java",
      right: "class Main { void f() { int high = -1000; } }",
      faulty: "class Main { void f() { int high = 0; } }",
    },
    { language: "c", right: "int f(void) { int n = 1; return n; }", faulty: "int f(void) { int n = 0; return n; }" },
    {
      language: "csharp",
      right: "class P { void F() { int low = 1000; } }",
      faulty: "class P { void F() { int low = 0; } }",
    },
    { language: "pascal", right: "begin\n  n := 1;\nend.", faulty: "begin\n  n := 0;\nend." },
    {
      language: "octave",
      right: "low = t(1);\nfor x = t\n  y = x;\nend\n",
      faulty: "low = 0;\nfor x = t\n  y = x;\nend\n",
    },
  ],
};
