import { isLoop, nodesOf, part, type SyntaxNode } from "../../syntax/tree.ts";
import { change, type EditContext, type EditFamily, type Proposal } from "../edit.ts";
import { productsOfZero } from "../gathered.ts";
import { neverEntered } from "../neverEntered.ts";
import { calledName, countersOf, functionAround, ofKind, otherTruth } from "../places.ts";
import { runsFirst } from "../prepared.ts";
import { sameElements } from "../sameElements.ts";

/** A whole number written with the digits that its text had. */
function written(value: number, like: string): string {
  const digits = /\.(\d+)/.exec(like)?.[1]?.length ?? 0;
  return digits > 0 ? value.toFixed(digits) : String(value);
}

/** True in a function that gives back what one of its loops counts by. */
function givesPlaces(around: readonly SyntaxNode[]): boolean {
  const owner = functionAround(around);
  const loops = owner ? nodesOf(owner).filter(isLoop) : [];
  return loops.some((loop) => {
    const counters = countersOf(loop);
    return nodesOf(loop).some((each) => each.kind === "return" && counters.includes(each.children[0]?.sign ?? ""));
  });
}

/** True where a program asks one of these questions of any of its names. */
function asksForNothing(
  context: EditContext,
  questions: ReadonlyArray<((name: string) => string) | undefined>,
): boolean {
  return context.names.some((name) => questions.some((ask) => ask !== undefined && context.text.includes(ask(name))));
}

/** Names that are asked whether they are a place at all: not less than 0, not -1. */
function namesAskedForPlaces(context: EditContext): ReadonlySet<string> {
  return new Set(
    ofKind(context, "binary").flatMap(({ node }) => {
      const [left, right] = [part(node, "left"), part(node, "right")];
      const asks = `${node.sign} ${right ? context.sourceOf(right).replace(/\s+/g, "") : ""}`;
      return left?.kind === "name" && /^(?:>=|<) 0$|^(?:==|!=|=|<>|~=|>) -1$/.test(asks) ? [left.sign ?? ""] : [];
    }),
  );
}

/** The name that gets a value as an assignment gives it; "" where it is none. */
function startedName(assignment: SyntaxNode | undefined, value: SyntaxNode): string {
  if (assignment?.kind !== "assignment" || value.role !== "value") return "";
  return (part(assignment, "target") ?? part(assignment, "definition"))?.sign ?? "";
}

/** A number with two digits beside each other the other way round. */
function swappedDigits(text: string): string[] {
  return Array.from({ length: Math.max(0, text.length - 1) }, (_, at) =>
    [text.slice(0, at), text[at + 1], text[at], text.slice(at + 2)].join(""),
  ).filter((swapped) => !swapped.startsWith("0"));
}

/** Signs on whose sides the same number stands again and again: minutes of an hour, pence of a pound. */
const factorSign = /^(?:[*/%]|\/\/|div|mod)$/i;

/** What is left of the odds of a number in a list of them. */
const ofData = 0.2;

/** Numbers by one, by a digit, with two digits swapped, and the other numbers that the program has. */
function otherNumbers(context: EditContext): Proposal[] {
  const numbers = ofKind(context, "number").filter(({ node }) => /^\d+(\.\d+)?$/.test(node.sign ?? ""));
  const known = [...new Set(numbers.map(({ node }) => node.sign ?? ""))];
  const factors = new Set(
    numbers.flatMap(({ node, around }) => (factorSign.test(around.at(-1)?.sign ?? "") ? [node.sign ?? ""] : [])),
  );
  const products = new Set(productsOfZero(context).map((each) => each.value));
  const asked = namesAskedForPlaces(context);
  const same = new Set(sameElements(context).map(({ place }) => place));
  return numbers.flatMap(({ node, around }) => {
    const text = node.sign ?? "";
    const value = Number(text);
    const others = new Map<string, number>();
    const add = (other: string, likely: number) => other !== text && !others.has(other) && others.set(other, likely);
    const whole = Number.isInteger(value) && !text.includes(".");
    if (whole) {
      add(String(value - 1), value === 0 ? 0.35 : 0.9);
      add(String(value + 1), 0.9);
      if (value > 1) add(String(value + 2), 0.1);
      if (value >= 10 && value % 10 === 0) add(String(value / 10), 0.3);
      if (value > 0 && value < 1000) add(String(value * 10), 0.3);
      for (const swapped of swappedDigits(text)) add(swapped, 0.4);
      if (value > 1) add("0", 0.3);
      if (value > 2) add("1", 0.2);
    } else {
      add(written(value * 10, text), 0.3);
      add(written(value / 10, text), 0.3);
      add(written(1 - value, text), 0.2);
      add(written(1 + value, text), 0.2);
    }
    // Rows or columns: the number asks for one of them.
    const parent = around.at(-1);
    const { lengthsBy } = context.writing;
    if (whole && lengthsBy && parent && lengthsBy.names.includes(calledName(parent)))
      others.set(String(value === lengthsBy.rows ? lengthsBy.rows + 1 : lengthsBy.rows), 2.2);
    // Behind a loop that gives back where something was found: nowhere.
    if (value === 0 && parent?.kind === "return" && givesPlaces(around)) others.set("-1", 2);
    // Nothing, where what the function gives is asked for whether it is something.
    const { nothing, holdsNothing, holdsSomething } = context.writing;
    if (nothing && parent?.kind === "return" && asksForNothing(context, [holdsNothing, holdsSomething]))
      others.set(nothing, 0.9);
    // From the other end.
    if (whole && value <= 1 && context.writing.countsFromEnd && parent?.kind === "index") add("-1", 0.5);
    // A product that begins with nothing stays so.
    if (value === 0 && products.has(node)) others.set("1", 3);
    // A place that is asked later whether there is one at all.
    if (value === 0 && asked.has(startedName(parent, node))) others.set("-1", 2.5);
    // The line above picks this element already.
    if (whole && same.has(node)) others.set(String(value + 1), 3);
    const isFactor = parent?.kind === "binary" && factorSign.test(parent.sign ?? "");
    for (const other of known) add(other, isFactor && factors.has(other) ? 0.7 : 0.3);
    for (const other of [60, 100, 1000, 24, 12, 7]) if (whole && value > 5) add(String(other), 0.08);
    // One of many values that stand beside each other is what the program is given, and seldom a slip.
    const isData = parent?.kind === "list" && parent.role !== "target" && parent.children.length > 2;
    const left = isData || isGivenToOwn(context, node, around) ? ofData : 1;
    // The ends of a piece that is cut out are one off more often than other numbers are.
    const cuts = isEndOfPiece(context, node, around) ? 2 : 1;
    return [...others].map(([other, likely]) =>
      change(
        node,
        other,
        { before: text, after: other },
        likely * left * (Math.abs(Number(other) - value) === 1 ? cuts : 1),
      ),
    );
  });
}

/** True for what a function of the program is called with where the program begins: it is what the function is tried with. */
function isGivenToOwn(context: EditContext, { role }: SyntaxNode, around: readonly SyntaxNode[]): boolean {
  const call = around.at(-1);
  if (role !== "argument" || call?.kind !== "call" || !context.functions.includes(calledName(call))) return false;
  const owner = functionAround(around);
  return owner === undefined || runsFirst(owner);
}

/** True for a number at which a piece of a text or list begins or ends: a[2:4], a(2:4), a.substring(2, 4). */
function isEndOfPiece(context: EditContext, { from, to }: SyntaxNode, around: readonly SyntaxNode[]): boolean {
  const picked = around
    .slice(-2)
    .some(({ kind, role }) => (kind === "index" || kind === "call") && role !== "condition");
  const beside = context.text.slice(Math.max(0, from - 1), from) + context.text.slice(to, to + 1);
  const call = around.at(-1);
  return (
    (picked && beside.includes(":")) || (call?.kind === "call" && /^(?:substring|substr|copy)$/i.test(calledName(call)))
  );
}

/** The ends of the places that a list is declared with, by one: `array[1..6]`. */
function roomOf(context: EditContext): Proposal[] {
  return ofKind(context, "type").flatMap(({ node }) => {
    if (!/\.\./.test(node.sign ?? "")) return [];
    return context.code.flatMap((token) => {
      if (token.kind !== "number" || token.from < node.from || token.to > node.to) return [];
      return [1, -1].map((step) => {
        const after = String(Number(token.text) + step);
        return change(token, after, { before: token.text, after }, 0.9);
      });
    });
  });
}

/** True for a truth that a decision gives a mark which never has another one: it was to be the other. */
function isGivenAgain(context: EditContext, value: SyntaxNode, around: readonly SyntaxNode[]): boolean {
  const name = startedName(around.at(-1), value);
  if (name === "" || !around.some(({ kind }) => kind === "if")) return false;
  const given = ofKind(context, "assignment").flatMap(({ node }) => {
    const target = part(node, "target") ?? part(node, "definition");
    return target?.sign === name ? [context.sourceOf(part(node, "value") ?? node)] : [];
  });
  return given.length > 1 && given.every((each) => each === context.sourceOf(value));
}

/** One truth for the other. */
function otherTruths(context: EditContext): Proposal[] {
  const closing = new Set(neverEntered(context).map(({ value }) => value));
  return ofKind(context, "constant").flatMap(({ node, around }) => {
    const text = node.sign ?? "";
    const after = otherTruth(text);
    if (after === undefined) return [];
    const sure = closing.has(node) || isGivenAgain(context, node, around);
    return [change(node, after, { before: text, after }, sure ? 3 : 0.6)];
  });
}

const otherValues = (context: EditContext): Proposal[] => [
  ...otherNumbers(context),
  ...otherTruths(context),
  ...roomOf(context),
];

export const constant: EditFamily = {
  id: "constant",
  says: "a number that is one too large or too small, or another value that stands fixed",
  weight: 6,
  reads: "tree",
  mends: otherValues,
  plants: otherValues,
  examples: [
    {
      language: "pascal",
      right: "type TDays = array[1..7] of integer;\nbegin\nend.",
      faulty: "type TDays = array[1..6] of integer;\nbegin\nend.",
    },
    { language: "octave", right: "for r = 1:size(loads, 1)\nend\n", faulty: "for r = 1:size(loads, 2)\nend\n" },
    {
      language: "csharp",
      right: "class P { int F(int[,] a) { return a.GetLength(1); } }",
      faulty: "class P { int F(int[,] a) { return a.GetLength(0); } }",
    },
    { language: "python", right: "limit = 40\n", faulty: "limit = 41\n" },
    { language: "pseudocode", right: "full <- TRUE\n", faulty: "full <- FALSE\n" },
    { language: "python", right: "rate = 0.5\n", faulty: "rate = 5.0\n" },
    { language: "python", right: "speed = 12\n", faulty: "speed = 21\n" },
    { language: "java", right: "class Main { int limit = 40; }", faulty: "class Main { int limit = 4; }" },
    { language: "c", right: "int limit = 40;", faulty: "int limit = 39;" },
    { language: "csharp", right: "class P { int limit = 0; }", faulty: "class P { int limit = 1; }" },
    { language: "pascal", right: "begin\n  limit := 40;\nend.", faulty: "begin\n  limit := 41;\nend." },
    { language: "octave", right: "limit = 40;\n", faulty: "limit = 400;\n" },
  ],
};
