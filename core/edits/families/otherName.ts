import { distance } from "../../source/spelling.ts";
import { nodesOf, part, parts, type SyntaxNode } from "../../syntax/tree.ts";
import { mixedBests } from "../bests.ts";
import { change, type EditContext, type EditFamily, type Proposal } from "../edit.ts";
import { lostExchanges } from "../exchanged.ts";
import { gatherings } from "../gathered.ts";
import { calledName, countersOf, isOrder, loopAround, namesIn, ofKind } from "../places.ts";
import { scopesOf } from "../scopes.ts";
import { elementsForPlaces, usageOf } from "../usage.ts";

/** Odds of what the text itself shows to be meant. */
const sure = 5;

/** Names in the conditions of the loops around that nothing inside gives a value. */
function neverChangedIn(around: readonly SyntaxNode[]): string[] {
  return around
    .filter(({ kind }) => kind === "while" || kind === "do")
    .flatMap((loop) => {
      const [condition, body] = [part(loop, "condition"), part(loop, "body")];
      if (!condition || !body) return [];
      const given = nodesOf(body).flatMap((each) =>
        each.kind === "assignment" && each.children[0] ? namesIn(each.children[0]) : [],
      );
      return namesIn(condition).filter((name) => !given.includes(name));
    });
}

/** What the innermost loop around counts by, in its header or as a step of its body. */
function steppedIn(context: EditContext, around: readonly SyntaxNode[]): string[] {
  const loop = loopAround(around);
  if (!loop) return [];
  const condition = part(loop, "condition");
  const asked = condition ? namesIn(condition) : [];
  const steps = gatherings(context).filter(({ placed }) => placed.around.includes(loop));
  return [...countersOf(loop), ...steps.map(({ name }) => name).filter((name) => asked.includes(name))];
}

/** The name that gets a value which is a name alone; "" where it is none. */
function targetOf(node: SyntaxNode, parent: SyntaxNode | undefined): string {
  const target = parent?.kind === "assignment" && node.role === "value" ? part(parent, "target") : undefined;
  if (target?.kind === "unary") return namesIn(target).at(-1) ?? "";
  return target?.kind === "name" || target?.kind === "field" ? (target.sign ?? "") : "";
}

/** True where a target's name begins like another name and not like the one that it is given. */
function isMeantBy(target: string, given: string, other: string): boolean {
  const begins = (name: string) => target.toLowerCase().startsWith(name.toLowerCase());
  return target !== "" && target !== given && begins(other) && !begins(given);
}

/** Names of variables that are called, as where an element is picked so. */
function pickedByCall(context: EditContext): string[] {
  const called = ofKind(context, "call").map(({ node }) => calledName(node));
  return [...new Set(called)].filter((name) => context.names.includes(name) && !context.functions.includes(name));
}

/** True for the place of an element that is picked. */
const picksIn = (node: SyntaxNode, parent: SyntaxNode | undefined) =>
  node.role === "argument" && (parent?.kind === "index" || parent?.kind === "call");

/** Names that the decision around asks for and that what it lets run does not use. */
function askedInVain(around: readonly SyntaxNode[]): string[] {
  const decision = around.findLast(({ kind }) => kind === "if");
  const [condition, body] = decision ? [part(decision, "condition"), part(decision, "body")] : [];
  if (!condition || !body || !around.includes(body)) return [];
  const used = namesIn(body);
  return namesIn(condition).filter((name) => !used.includes(name));
}

/** The only name that the other side's call of an operator is handed, where this side's is handed another one: sum(a) / count(b). */
function nameBeside(node: SyntaxNode, around: readonly SyntaxNode[]): string | undefined {
  const [operation, call] = around.slice(-2);
  if (call?.kind !== "call" || node.role !== "argument" || operation?.kind !== "binary") return undefined;
  const beside = operation.children.find((child) => child !== call);
  const given = beside?.kind === "call" ? parts(beside, "argument") : [];
  const [only] = given;
  return given.length === 1 && only?.kind === "name" ? only.sign : undefined;
}

/** A name with another one of the program in its place; a number with a name, where a limit was written as a number. */
function otherNames(context: EditContext): Proposal[] {
  const { names, functions } = context;
  const { isKnownAt, areAlike } = scopesOf(context);
  const { unread } = usageOf(context);
  const picked = pickedByCall(context);
  const inProgram = ofKind(context, "name", "number").flatMap(({ node, around }) => {
    const parent = around.at(-1);
    const text = node.sign ?? "";
    if (node.role === "definition" || parent?.kind === "import" || node.kind === "number") return [];
    const isCall = node.role === "callee";
    // In a language whose lists begin with 1 an element is picked as a function is called.
    if (isCall && names.includes(text) && !functions.includes(text))
      return picked
        .filter((other) => other !== text && isKnownAt(other, around))
        .map((other) => change(node, other, { before: text, after: other }, 0.7));
    if (isCall) {
      if (!functions.includes(text)) return [];
      return functions
        .filter((other) => other !== text)
        .map((other) => change(node, other, { before: text, after: other }, 0.4));
    }
    if (!names.includes(text) && !functions.includes(text)) return [];
    // What a loop waits for and never gets, where something that is read nowhere gets it.
    const waited = node.role === "target" && unread.has(text) ? neverChangedIn(around) : [];
    // A name that belongs to another name's group, or is used near by, is the likelier one.
    const statement = around.findLast((each) =>
      ["statement", "return", "declaration", "if", "while", "for", "foreach"].includes(each.kind),
    );
    const near = statement ? namesIn(statement) : [];
    const target = targetOf(node, parent);
    const counted = nameBeside(node, around);
    const asked = askedInVain(around);
    return names
      .filter((other) => other !== text && isKnownAt(other, around))
      .map((other) => {
        if (waited.includes(other)) return change(node, other, { before: text, after: other }, sure);
        const alike = distance(other.toLowerCase(), text.toLowerCase()) <= 2 || other[0] === text[0];
        const beside = near.includes(other);
        const odds = (alike ? 0.7 : beside ? 0.55 : 0.35) * (node.role === "target" ? (beside ? 1 : 0.4) : 1);
        // What is worked out and read nowhere was meant to be read somewhere.
        if (unread.has(other) && node.role !== "target")
          return change(node, other, { before: text, after: other }, odds * 2);
        // It stands for what it is given to: `*column = r` beside a name `c`; the sum of one list by the count of another.
        if (areAlike(text, other) && (isMeantBy(target, text, other) || counted === other))
          return change(node, other, { before: text, after: other }, odds * 3);
        if (picksIn(node, parent) && asked.includes(other))
          return change(node, other, { before: text, after: other }, odds * 3);
        if (!areAlike(text, other)) return change(node, other, { before: text, after: other }, odds * 0.15);
        return change(node, other, { before: text, after: other }, odds);
      });
  });
  const numbers = ofKind(context, "number").flatMap(({ node, around }) => {
    const parent = around.at(-1);
    const inRange = parent?.kind === "call" && calledName(parent) === "range";
    const inComparison = parent?.kind === "binary" && isOrder(parent.sign);
    const value = parent?.kind === "assignment" && part(parent, "value") === node;
    // In a loop, one and the same element is picked in each pass.
    const picks = parent?.kind === "index" || (parent?.kind === "call" && names.includes(calledName(parent)));
    const loop = picks && node.role === "argument" ? loopAround(around) : undefined;
    if (loop)
      return countersOf(loop)
        .filter((other) => isKnownAt(other, around))
        .map((other) => change(node, other, { before: node.sign ?? "", after: other }, 0.8));
    if (!inRange && !inComparison && !value && node.role !== "limit") return [];
    // What a decision in a loop keeps is mostly where it was found.
    const found = value && around.some((each) => each.kind === "if") ? steppedIn(context, around) : [];
    return names
      .filter((other) => isKnownAt(other, around))
      .map((other) => change(node, other, { before: node.sign ?? "", after: other }, found.includes(other) ? 1 : 0.12));
  });
  // What is counted goes on by one: a name stands where the number was meant.
  const counted = gatherings(context).flatMap(({ placed: { node } }) => {
    const value = part(node, "value");
    const added = node.sign === context.writing.assign && value ? part(value, "right") : value;
    if (added?.kind !== "name" || !/^[-+]/.test(value?.kind === "binary" ? (value.sign ?? "") : (node.sign ?? "")))
      return [];
    return [change(added, "1", { before: added.sign ?? "", after: "1" }, 0.5)];
  });
  const places = elementsForPlaces(context).map(({ value, place }) =>
    change(value, place, { before: context.sourceOf(value), after: place }, 1.5),
  );
  // A name of what the program worked out before, in the place of an element that is picked anew.
  const elements = ofKind(context, "index").flatMap(({ node, around }) =>
    node.role === "value" && around.at(-1)?.kind === "assignment"
      ? [...unread.keys()]
          .filter((other) => isKnownAt(other, around))
          .map((other) => change(node, other, { before: context.sourceOf(node), after: other }, 1.2))
      : [],
  );
  // The place of an element in the place of the element that is picked there, and kept or put in.
  const placesKept = ofKind(context, "index", "call").flatMap(({ node, around }) => {
    const picks = node.kind === "index" || (names.includes(calledName(node)) && !functions.includes(calledName(node)));
    const [at, ...others] = parts(node, "argument");
    const isKept = node.role === "value" && around.at(-1)?.kind === "assignment";
    if (!picks || !isKept || at?.kind !== "name" || others.length > 0 || !loopAround(around)) return [];
    return [change(node, at.sign ?? "", { before: context.sourceOf(node), after: at.sign ?? "" }, 0.8)];
  });
  // What was kept for an exchange, and a best one so far that is meant as a place, or as a value.
  const exchanged = lostExchanges(context).flatMap(({ value, kept }) =>
    kept ? [change(value, kept, { before: context.sourceOf(value), after: kept }, sure)] : [],
  );
  const bests = mixedBests(context).flatMap(({ name, compared, value, element, whole, isPlace }) => [
    change(compared, element, { before: name, after: element }, isPlace ? sure : 2),
    change(value, whole, { before: context.sourceOf(value), after: whole }, isPlace ? 2 : sure),
  ]);
  return [...inProgram, ...numbers, ...counted, ...places, ...elements, ...placesKept, ...exchanged, ...bests];
}

export const otherName: EditFamily = {
  id: "other-name",
  says: "another name of the program in the place of the right one",
  weight: 5,
  reads: "tree",
  mends: otherNames,
  plants: otherNames,
  examples: [
    {
      language: "python",
      right: "tank = 10\nleak = 2\nlevel = 0\ntank = tank - leak\n",
      faulty: "tank = 10\nleak = 2\nlevel = 0\nlevel = tank - leak\n",
    },
    {
      language: "java",
      right: "class Main { int f(int adults, int all) { return adults; } }",
      faulty: "class Main { int f(int adults, int all) { return all; } }",
    },
    {
      language: "c",
      right: "int f(int high, int low) { return high; }",
      faulty: "int f(int high, int low) { return low; }",
    },
    {
      language: "csharp",
      right: "class P { int F(int high, int low) { return high; } }",
      faulty: "class P { int F(int high, int low) { return low; } }",
    },
    {
      language: "pascal",
      right: "var high, low: integer;\nbegin\n  writeln(high);\nend.",
      faulty: "var high, low: integer;\nbegin\n  writeln(low);\nend.",
    },
    { language: "octave", right: "high = 3;\nlow = 1;\ndisp(high)\n", faulty: "high = 3;\nlow = 1;\ndisp(low)\n" },
  ],
};
