import { isLoop, isStatement, nodesOf, part, type SyntaxNode } from "../syntax/tree.ts";
import { beside } from "./beside.ts";
import { bestsLeft } from "./bests.ts";
import { type EditContext, insert, type Proposal } from "./edit.ts";
import { fieldsLeft } from "./fieldsLeft.ts";
import { waysToHand } from "./handed.ts";
import { countsNeverMoved, elementsNeverSet, listsNeverFilled } from "./neverMoved.ts";
import { elementsToTake } from "./neverTaken.ts";
import { blocksOf, calledName, functionAround, lineEndOf, nameOfFunction, namesIn, ofKind } from "./places.ts";
import { marksNeverSet, putInOnePlace, runsByItself, runsFirst, uncalled } from "./prepared.ts";
import { scopesOf } from "./scopes.ts";
import { stalePositions } from "./stalePositions.ts";
import { usageOf } from "./usage.ts";

/** Calls of a function that nothing calls, before each statement of another one or of the program's own part. */
function calls(context: EditContext): Proposal[] {
  return uncalled(context).flatMap(({ node }) => {
    const name = nameOfFunction(node);
    const handed = node.children.filter((child) => child.kind === "parameter").map((each) => each.sign ?? "");
    if (nodesOf(node).some((each) => each.kind === "return" && each.children.length > 0)) return [];
    const brackets = handed.length > 0 || context.writing.blocks.by !== "two words";
    const callWith = (given: readonly string[]) => `${name}${brackets ? `(${given.join(", ")})` : ""}`;
    return blocksOf(context).flatMap(({ block, statements, around }) => {
      const inside = [...around, block];
      if (inside.includes(node) || around.some((each) => each.kind === "class" && each === around.at(-1))) return [];
      const given = waysToHand(context, handed, inside);
      const outer = around.every((each) => !isStatement(each) || each.kind === "try");
      // What the program begins with is where its parts are called one after another.
      const main = around.every((each) => each.kind !== "function" || runsFirst(each)) ? 1 : 0.4;
      const odds = (outer ? 1.2 : 0.5) * main;
      // What a call is handed is used behind it, and was given a value before it; being declared gives it none.
      const owner = functionAround(inside);
      const isGiven = (each: string, statement: SyntaxNode) =>
        context.nodes.some(
          ({ node: other, around: outside }) =>
            other.sign === each &&
            other.from < statement.from &&
            (other.kind === "parameter" || other.kind === "name") &&
            outside.at(-1)?.kind !== "declaration" &&
            (functionAround(outside) ?? owner) === owner,
        );
      const fits = (names: readonly string[], statement: SyntaxNode) => {
        const used = new Set(isLoop(statement) ? [] : namesIn(statement));
        if (!names.every((each) => isGiven(each, statement))) return 0.3;
        return names.some((each) => used.has(each)) ? 2.5 : 1;
      };
      return given.flatMap((names) =>
        statements.flatMap((statement) =>
          beside(context, statement, callWith(names), "before", odds * fits(names, statement)),
        ),
      );
    });
  });
}

/** A place that is worked out again behind what cut the text that it is of. */
function placesAgain(context: EditContext): Proposal[] {
  return stalePositions(context).flatMap(({ made, cut }) =>
    made.kind === "declaration" ? [] : beside(context, cut, context.sourceOf(made), "behind", 3),
  );
}

/** A name that counts what is put where: it goes on by one behind what was put there. */
function counts(context: EditContext): Proposal[] {
  return putInOnePlace(context).flatMap(({ placed, name }) => {
    const statement = placed.around.findLast((each) => each.kind === "statement");
    return statement ? beside(context, statement, context.writing.step(name, "+"), "behind", 1.5) : [];
  });
}

/** A count that begins and never goes on: by one, at the end of each block that is gone through several times. */
function moves(context: EditContext): Proposal[] {
  const { isKnownAt } = scopesOf(context);
  return countsNeverMoved(context).flatMap(({ name, placed }) =>
    blocksOf(context).flatMap(({ block, statements, around }) => {
      const last = statements.at(-1);
      const inside = [...around, block];
      // What counts for the whole program goes on in a function that is called again and again.
      const isGlobal = functionAround(placed.around) === undefined && functionAround(inside) !== undefined;
      if (!last || block.from < placed.node.to || !(isGlobal || inside.some(isLoop)) || !isKnownAt(name, inside))
        return [];
      if (isGlobal && (last.kind === "return" || last.kind === "leave"))
        return beside(context, last, context.writing.step(name, "+"), "before", 1);
      // A branch is where something is found that is worth counting.
      const odds = around.at(-1)?.kind === "if" || around.at(-1)?.kind === "case" ? 1.2 : 0.8;
      return [
        ...beside(context, last, context.writing.step(name, "+"), "behind", odds),
        ...addedTo(context, name, block, statements, inside),
      ];
    }),
  );
}

/** A sum that begins and never goes on: by what its block works out, behind that, or by what its loop goes over. */
function addedTo(
  context: EditContext,
  name: string,
  block: SyntaxNode,
  statements: readonly SyntaxNode[],
  inside: readonly SyntaxNode[],
): Proposal[] {
  const { assign, compound } = context.writing;
  const { mayBeNumber } = scopesOf(context);
  const last = statements.at(-1);
  const loop = inside.at(-2);
  const walked = loop?.kind === "foreach" ? (part(loop, "target")?.sign ?? "") : "";
  const made = statements.flatMap((statement) =>
    nodesOf(statement).flatMap((node) => (node.kind === "assignment" ? [nameGiven(node)] : [])),
  );
  const values = [...new Set([...made, walked])].filter(
    (each) => each !== "" && each !== name && mayBeNumber(each) && context.names.includes(each),
  );
  if (!last || block.kind !== "block") return [];
  return values.slice(-3).flatMap((value) => {
    const text = compound ? `${name} += ${value}` : `${name} ${assign} ${name} + ${value}`;
    return beside(context, last, text, "behind", 1);
  });
}

/** Something put into a list that begins empty and stays so, beside the statements where a value for it is known. */
function fillings(context: EditContext): Proposal[] {
  const { isKnownAt } = scopesOf(context);
  const [call] = context.writing.fills ?? [];
  return listsNeverFilled(context).flatMap(({ name, placed }) => {
    return blocksOf(context).flatMap(({ block, statements, around }) => {
      const inside = [...around, block];
      const [first, last] = [statements[0], statements.at(-1)];
      if (!first || !last || block.from < placed.node.to || !inside.some(isLoop) || !isKnownAt(name, inside)) return [];
      // Who goes over a list does not fill it there.
      if (inside.some((each) => isLoop(each) && part(each, "source")?.sign === name)) return [];
      const near = new Set(
        inside
          .filter((each) => each.kind !== "program")
          .slice(-4)
          .flatMap((each) => namesIn(each)),
      );
      const values = [...near].filter(
        (each) => each !== name && context.names.includes(each) && isKnownAt(each, inside),
      );
      const asks = inside.some((each) => each.kind === "if" && namesIn(part(each, "condition") ?? each).includes(name));
      const odds = asks ? 1.3 : 1;
      const made = madeIn(context, statements);
      return values.slice(0, 4).flatMap((value) => {
        const likely = odds * (isOneOf(name, value) ? 1.5 : 1);
        const step = `${name}.${call}(${value})`;
        // What is made in the block can be put in only behind it.
        if (made.includes(value)) return beside(context, last, step, "behind", likely * 1.5);
        return [
          ...beside(context, first, step, "before", likely),
          ...(first === last ? [] : beside(context, last, step, "behind", likely * 0.8)),
        ];
      });
    });
  });
}

/** A first value for a part of a record that gets none, behind those that the others get. */
function fields(context: EditContext): Proposal[] {
  return fieldsLeft(context).flatMap(({ field, object, mark, last }) =>
    ["0", "1"].flatMap((value) =>
      beside(context, last, `${object}${mark}${field} ${context.writing.assign} ${value}`, "behind", 1.5),
    ),
  );
}

/** Names that statements of a block declare, or make an object for. */
function madeIn({ sourceOf }: EditContext, statements: readonly SyntaxNode[]): string[] {
  return statements.flatMap((statement) =>
    nodesOf(statement).flatMap((node) => {
      const target = node.kind === "assignment" ? (part(node, "target") ?? part(node, "definition")) : undefined;
      const value = part(node, "value");
      const makes = value !== undefined && /^(?:new\b|\p{Lu}\w*\()/u.test(sourceOf(value));
      return target?.kind === "name" && makes ? [target.sign ?? ""] : [];
    }),
  );
}

/** True for a name that is the beginning of a list's, as that of one of its elements is: `p` or `passenger` of passengers. */
const isOneOf = (list: string, name: string) => list.toLowerCase().startsWith(name.toLowerCase());

/** The function that a program begins with, which nothing calls: at the end of the text. */
function begins(context: EditContext): Proposal[] {
  if (context.writing.blocks.by !== "indentation" || context.tree.children.some(runsByItself)) return [];
  const main = ofKind(context, "function").find(({ node, around }) => runsFirst(node) && around.length <= 1);
  if (!main || main.node.children.some((child) => child.kind === "parameter")) return [];
  const name = main.node.children.find((child) => child.role === "definition")?.sign ?? "";
  const lineEnd = lineEndOf(context);
  const gap = context.text.endsWith("\n") ? "" : lineEnd;
  return [insert(context.text.length, `${gap}${lineEnd}${lineEnd}${name}()${lineEnd}`, { text: `${name}()` }, 3)];
}

/** What a decision on the best one so far does not keep of it. */
function keeps(context: EditContext): Proposal[] {
  const { assign } = context.writing;
  return bestsLeft(context).flatMap(({ last, name, value }) =>
    beside(context, last, `${name} ${assign} ${value}`, "behind", 1.3),
  );
}

/** A mark set in what a decision that asks for it holds: there the thing happens that it is to remember. */
function marks(context: EditContext): Proposal[] {
  const { assign } = context.writing;
  return marksNeverSet(context).flatMap(({ name, other, decision }) => {
    const body = part(decision, "body");
    const statements = body?.kind === "block" ? body.children : [];
    const [first, last] = [statements[0], statements.at(-1)];
    const text = `${name} ${assign} ${other}`;
    // Where it holds one statement alone the mark may as well be set behind it.
    if (body && body.kind !== "block") return beside(context, decision, text, "behind", 1);
    return first && last
      ? [...beside(context, first, text, "before", 1.2), ...beside(context, last, text, "behind", 1)]
      : [];
  });
}

/** An element that decisions ask for and nothing sets: behind the decision that goes away where it is set, or in the one that goes on where it is not. */
function elements(context: EditContext): Proposal[] {
  const { assign } = context.writing;
  return elementsNeverSet(context).flatMap(({ element, value, decision, turned }) => {
    const text = `${element} ${assign} ${value}`;
    const body = part(decision, "body");
    const statements = body?.kind === "block" ? body.children : [];
    const [first, last] = [statements[0], statements.at(-1)];
    if (!turned) return beside(context, decision, text, "behind", 1.3);
    if (!first || !last) return [];
    const leaves = last.kind === "return" || last.kind === "leave";
    return [
      ...beside(context, first, text, "before", 1.2),
      ...beside(context, last, text, leaves ? "before" : "behind", 1.3),
    ];
  });
}

/** The statement that reads before a loop, once more at the end of the loop that waits for what is read. */
function reads(context: EditContext): Proposal[] {
  return ofKind(context, "while").flatMap(({ node }) => {
    const [condition, body] = [part(node, "condition"), part(node, "body")];
    const last = body?.kind === "block" ? body.children.at(-1) : undefined;
    if (!condition || !body || !last) return [];
    const asked = new Set(nodesOf(condition).flatMap((each) => (each.kind === "name" ? [each.sign ?? ""] : [])));
    const before = ofKind(context, "assignment").filter(
      ({ node: given }) => given.to <= node.from && asked.has(nameGiven(given)) && readsSomething(context, given),
    );
    const nearest = before.at(-1)?.node;
    const into = nearest ? undefined : readsInto(context, node, asked);
    if (into && !nodesOf(body).some((each) => context.sourceOf(each) === into))
      return beside(context, last, into, "behind", 1.5).map((proposal) => ({ ...proposal, about: node.from }));
    const moved = nearest && nodesOf(body).some((each) => each.role === "target" && each.sign === nameGiven(nearest));
    const value = nearest && part(nearest, "value");
    if (!nearest || !value || moved) return [];
    // Where the name is declared with its first value, only the value is given again.
    const again = part(nearest, "target")
      ? context.sourceOf(nearest)
      : `${nameGiven(nearest)} ${context.writing.assign} ${context.sourceOf(value)}`;
    return [
      ...beside(context, last, again, "behind", 1.5),
      ...beside(context, body.children[0] ?? last, again, "before", 0.5),
    ].map((proposal) => ({ ...proposal, about: node.from }));
  });
}

/** The last call before a loop that reads into a name which the loop asks for: `readln(code)`, `scanf("%d", &n)`. */
function readsInto(context: EditContext, loop: SyntaxNode, asked: ReadonlySet<string>): string | undefined {
  const { library } = context.writing;
  const calls = ofKind(context, "call").filter(
    ({ node, around }) =>
      node.to <= loop.from &&
      around.at(-1)?.kind === "statement" &&
      (library.reads(calledName(node)) || library.readsText(calledName(node))) &&
      node.children.some((each) => each.role === "argument" && asked.has(nameReadInto(each))),
  );
  const last = calls.at(-1)?.node;
  return last && context.sourceOf(last);
}

/** The name that an argument of a read hands over: itself, or by its address. */
function nameReadInto(argument: SyntaxNode): string {
  const [inner] = argument.kind === "unary" && argument.sign === "&" ? argument.children : [argument];
  return inner?.kind === "name" ? (inner.sign ?? "") : "";
}

/** The name that an assignment, or a declaration with a first value, gives a value to. */
function nameGiven(node: SyntaxNode): string {
  return (part(node, "target") ?? part(node, "definition"))?.sign ?? "";
}

/** True where a piece of a program reads what is typed in. */
export function readsSomething(context: EditContext, node: SyntaxNode): boolean {
  const { library } = context.writing;
  return nodesOf(node).some(
    (each) => each.kind === "call" && (library.reads(calledName(each)) || library.readsText(calledName(each))),
  );
}

/** What is worked out and never read, into the values that are printed, given back or kept behind it. */
function operands(context: EditContext): Proposal[] {
  const { isKnownAt } = scopesOf(context);
  return [...usageOf(context).unread].flatMap(([name, given]) => {
    const from = given.around.at(-1)?.to ?? given.node.to;
    return context.nodes.flatMap(({ node, around }) => {
      const isValue = node.role === "argument" || node.role === "value";
      if (!isValue || node.from < from || !["name", "binary", "call", "field", "index"].includes(node.kind)) return [];
      if (!isKnownAt(name, around)) return [];
      return ["-", "+", "*"].map((sign, rank) =>
        insert(node.to, ` ${sign} ${name}`, { text: name }, rank === 2 ? 0.4 : 0.9),
      );
    });
  });
}

/** Steps that were thought of and not written, each as a proposal to put it in: calls, counts, values kept, marks, reads, summands. */
export const stepsToTake = (context: EditContext): Proposal[] => [
  ...calls(context),
  ...counts(context),
  ...moves(context),
  ...fillings(context),
  ...begins(context),
  ...keeps(context),
  ...marks(context),
  ...elements(context),
  ...fields(context),
  ...reads(context),
  ...operands(context),
  ...placesAgain(context),
  ...elementsToTake(context),
];
