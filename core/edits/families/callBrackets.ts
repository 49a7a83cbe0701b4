import { part, parts } from "../../syntax/tree.ts";
import { change, type EditContext, type EditFamily, insert, type Proposal } from "../edit.ts";
import { waysToHand } from "../handed.ts";
import { nameOfFunction, ofKind } from "../places.ts";

/** Functions and parts that are named and not called; brackets too many behind what is none. */
function mends(context: EditContext): Proposal[] {
  const named = ofKind(context, "name", "field").flatMap(({ node, around }) => {
    const own = node.kind === "name" && context.functions.includes(node.sign ?? "") && node.role !== "definition";
    const parent = around.at(-1);
    const field =
      node.kind === "field" && node.role !== "target" && parent?.kind !== "import" && parent?.kind !== "field";
    if (node.role === "callee" || (!own && !field)) return [];
    if (own && around.some((each) => each.kind === "import")) return [];
    return [insert(node.to, "()", { name: node.sign ?? "" }, own ? 1 : parent?.kind === "statement" ? 1.2 : 0.5)];
  });
  const tooMany = ofKind(context, "call").flatMap(({ node }) => {
    const text = context.sourceOf(node);
    if (!text.endsWith("()") || node.sign === "new") return [];
    return [change({ from: node.to - 2, to: node.to }, "", { name: text.slice(0, -2) }, 0.4)];
  });
  return [...named, ...tooMany, ...aroundGiven(context), ...ofObjects(context)];
}

/** A function of a class of the program that is named behind an object and not called, where it wants something: `ferry.book(3)`. */
function ofObjects(context: EditContext): Proposal[] {
  const inClasses = ofKind(context, "function").filter(({ around }) => around.some((each) => each.kind === "class"));
  return ofKind(context, "field").flatMap(({ node, around }) => {
    const own = inClasses.find(({ node: each }) => nameOfFunction(each) === node.sign);
    if (!own || node.role === "callee" || node.role === "target") return [];
    const wanted = own.node.children.filter((child) => child.kind === "parameter").map((each) => each.sign ?? "");
    const handed = context.writing.ownObject?.isHanded ? wanted.slice(1) : wanted;
    return handed.length === 0
      ? []
      : waysToHand(context, handed, around).map((names) =>
          insert(node.to, `(${names.join(", ")})`, { name: node.sign ?? "" }, 1.5),
        );
  });
}

/** What stands behind the name of a function on its line, put in brackets: `show time;`. */
function aroundGiven(context: EditContext): Proposal[] {
  const { library, statementEnd } = context.writing;
  const made = new Set(context.nodes.flatMap(({ node }) => (node.role === "definition" ? [node.from] : [])));
  return context.lines.flatMap(({ code, text }) => {
    const last = code.findLast((token) => token.text !== statementEnd);
    return code.flatMap((callee, at) => {
      const first = code[at + 1];
      if (!first || !last || callee.kind !== "name" || last === callee || made.has(callee.from)) return [];
      const isOwn = context.functions.includes(callee.text);
      // A type and a name declare something.
      const isGiven = ["name", "number", "text"].includes(first.kind) && !/[{]\s*$/.test(text);
      if (!isGiven || !(isOwn || (at === 0 && library.prints(callee.text)))) return [];
      const given = context.text.slice(first.from, last.to);
      return [change({ from: callee.to, to: last.to }, `(${given})`, { name: callee.text }, at === 0 ? 2 : 1.2)];
    });
  });
}

function plants(context: EditContext): Proposal[] {
  const bare = ofKind(context, "call").flatMap(({ node, around }) => {
    const [callee, given] = [part(node, "callee"), parts(node, "argument")];
    const [first, last] = [given[0], given.at(-1)];
    const isOwn = context.functions.includes(callee?.sign ?? "") || context.writing.library.prints(callee?.sign ?? "");
    if (callee?.kind !== "name" || !isOwn || !first || !last || around.at(-1)?.kind !== "statement") return [];
    const text = ` ${context.text.slice(first.from, last.to)}`;
    return [change({ from: callee.to, to: node.to }, text, { name: callee.sign ?? "" }, 0.6)];
  });
  return [...bare, ...emptied(context)];
}

function emptied(context: EditContext): Proposal[] {
  return ofKind(context, "call").flatMap(({ node }) => {
    const text = context.sourceOf(node);
    return text.endsWith("()") && node.sign !== "new"
      ? [change({ from: node.to - 2, to: node.to }, "", { name: text.slice(0, -2) })]
      : [];
  });
}

export const callBrackets: EditFamily = {
  id: "call-brackets",
  says: "brackets of a call that are left off or too many",
  weight: 6,
  reads: "both",
  mends,
  plants,
  examples: [
    { language: "python", right: "name = name.upper()\n", faulty: "name = name.upper\n" },
    {
      language: "c",
      right: "void show(int n) { }\nint main(void)\n{\n  show(3);\n  return 0;\n}\n",
      faulty: "void show(int n) { }\nint main(void)\n{\n  show 3;\n  return 0;\n}\n",
    },
    { language: "python", right: 'print("Tern")\n', faulty: 'print "Tern"\n' },
    {
      language: "java",
      right: "class Main { int f(String s) { return s.length(); } }",
      faulty: "class Main { int f(String s) { return s.length; } }",
    },
    {
      language: "csharp",
      right: "class P { string F(string s) { return s.Trim(); } }",
      faulty: "class P { string F(string s) { return s.Trim; } }",
    },
  ],
};
