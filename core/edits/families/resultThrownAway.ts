import { part, parts } from "../../syntax/tree.ts";
import { change, type EditContext, type EditFamily, insert, type Proposal } from "../edit.ts";
import { startsOf } from "../gathered.ts";
import { givesOnly } from "../givesOnly.ts";
import { calledName, ofKind } from "../places.ts";
import { scopesOf } from "../scopes.ts";

/** Calls that change their object and give nothing back, by language family of their names; taken for ones that give a value. */
const changing = new Set(["sort", "append", "reverse", "extend", "insert", "remove", "add", "Sort", "Add", "Reverse"]);

/** True for a name that is given one plain value, and no other. */
function isLeft(context: EditContext, name: string): boolean {
  const given = ofKind(context, "assignment").filter(
    ({ node }) => (part(node, "target") ?? part(node, "definition"))?.sign === name,
  );
  return given.length === 1 && startsOf(context, name).length === 1;
}

function mends(context: EditContext): Proposal[] {
  const { assign } = context.writing;
  const statements = ofKind(context, "statement").flatMap(({ node, around }) => {
    const [value] = node.children;
    if (!value || node.children.length !== 1) return [];
    const callee = value.kind === "call" ? part(value, "callee") : undefined;
    const object = callee?.kind === "field" ? part(callee, "object") : undefined;
    const found: Proposal[] = [];
    if (object?.kind === "name" && context.names.includes(object.sign ?? ""))
      found.push(
        insert(
          node.from,
          `${context.sourceOf(object)} ${assign} `,
          { name: context.sourceOf(object) },
          changing.has(callee?.sign ?? "") ? 0.2 : 1,
        ),
      );
    // sorted(loads) alone; f(x) alone whose value belongs to x.
    const [first] = parts(value, "argument");
    if (
      value.kind === "call" &&
      callee?.kind === "name" &&
      first?.kind === "name" &&
      context.names.includes(first.sign ?? "")
    )
      found.push(insert(node.from, `${first.sign} ${assign} `, { name: first.sign ?? "" }, 0.6));
    // What a function of the program works out, into a name that begins with something and that nothing changes.
    if (value.kind === "call" && callee?.kind === "name" && givesOnly(context, callee.sign ?? ""))
      for (const name of context.names.filter(
        (each) => scopesOf(context).isKnownAt(each, around) && isLeft(context, each),
      ))
        found.push(
          insert(node.from, `${name} ${assign} ${name} + `, { name }, 1.2),
          insert(node.from, `${name} ${assign} `, { name }, 1),
        );
    return found;
  });
  const assigned = ofKind(context, "assignment").flatMap(({ node }) => {
    const [target, value] = [part(node, "target") ?? part(node, "definition"), part(node, "value")];
    const callee = value?.kind === "call" ? part(value, "callee") : undefined;
    const object = callee?.kind === "field" ? part(callee, "object") : undefined;
    if (!target || !value || !callee || !object || !changing.has(callee.sign ?? "")) return [];
    const found = [
      change(
        { from: node.from, to: value.from },
        "",
        { name: context.sourceOf(target) },
        target.kind === object.kind && context.sourceOf(target) === context.sourceOf(object) ? 1.5 : 0.5,
      ),
    ];
    if (callee.sign === "sort")
      found.push(change(value, `sorted(${context.sourceOf(object)})`, { name: context.sourceOf(object) }, 1.2));
    if (callee.sign === "reverse")
      found.push(change(value, `${context.sourceOf(object)}[::-1]`, { name: context.sourceOf(object) }, 0.8));
    return found;
  });
  // Gone over, handed on or given back: what the function that gives a list would give.
  const used = ofKind(context, "call").flatMap(({ node, around }) => {
    const callee = part(node, "callee");
    const object = callee?.kind === "field" && callee.sign === "sort" ? part(callee, "object") : undefined;
    const parent = around.at(-1)?.kind;
    if (!object || !context.writing.givesNothing || parent === "statement" || parent === "assignment") return [];
    const given = parts(node, "argument").map((each) => context.sourceOf(each));
    const text = `sorted(${[context.sourceOf(object), ...given].join(", ")})`;
    return [change(node, text, { name: context.sourceOf(object) }, 2)];
  });
  return [...statements, ...assigned, ...used];
}

function plants(context: EditContext): Proposal[] {
  const { assign } = context.writing;
  const taken = ofKind(context, "assignment").flatMap(({ node }) => {
    const [target, value] = [part(node, "target"), part(node, "value")];
    const callee = value?.kind === "call" ? part(value, "callee") : undefined;
    const object = callee?.kind === "field" ? part(callee, "object") : parts(value ?? node, "argument")[0];
    if (!target || value?.kind !== "call" || !object || node.sign !== assign) return [];
    if (calledName(value) === "sorted" && context.sourceOf(object) !== context.sourceOf(target))
      return [change(value, `${context.sourceOf(object)}.sort()`, { name: context.sourceOf(object) })];
    if (context.sourceOf(object) !== context.sourceOf(target)) return [];
    return [change({ from: node.from, to: value.from }, "", { name: context.sourceOf(target) })];
  });
  const added = ofKind(context, "assignment").flatMap(({ node }) => {
    const [target, value] = [part(node, "target"), part(node, "value")];
    const call = value?.kind === "binary" ? part(value, "right") : value;
    const adds = value?.kind === "binary" || node.sign === "+=";
    if (target?.kind !== "name" || call?.kind !== "call" || !adds) return [];
    if (!givesOnly(context, calledName(call))) return [];
    return [change({ from: node.from, to: call.from }, "", { name: target.sign ?? "" })];
  });
  const sorted = ofKind(context, "foreach").flatMap(({ node }) => {
    const source = part(node, "source");
    const [object, ...others] = source?.kind === "call" ? parts(source, "argument") : [];
    if (!source || !object || others.length > 0 || calledName(source) !== "sorted" || object.kind !== "name") return [];
    return [change(source, `${object.sign}.sort()`, { name: object.sign ?? "" })];
  });
  return [...taken, ...added, ...sorted];
}

export const resultThrownAway: EditFamily = {
  id: "result-thrown-away",
  says: "a call whose result is thrown away, or one that has none",
  weight: 8,
  reads: "tree",
  mends,
  plants,
  examples: [
    { language: "python", right: 'name = "skua"\nname = name.upper()\n', faulty: 'name = "skua"\nname.upper()\n' },
    { language: "python", right: "order = sorted(loads)\n", faulty: "order = loads.sort()\n" },
    {
      language: "java",
      right: "class Main { void f(String s) { s = s.trim(); } }",
      faulty: "class Main { void f(String s) { s.trim(); } }",
    },
    {
      language: "csharp",
      right: "class P { void F(string s) { s = s.Trim(); } }",
      faulty: "class P { void F(string s) { s.Trim(); } }",
    },
    {
      language: "python",
      right: "for load in sorted(loads):\n    print(load)\n",
      faulty: "for load in loads.sort():\n    print(load)\n",
    },
    {
      language: "csharp",
      right:
        "class P {\n  static int Fare(int age) {\n    return age;\n  }\n  static void Main() {\n    int sum = 0;\n    while (Go()) {\n      sum = sum + Fare(3);\n    }\n  }\n}\n",
      faulty:
        "class P {\n  static int Fare(int age) {\n    return age;\n  }\n  static void Main() {\n    int sum = 0;\n    while (Go()) {\n      Fare(3);\n    }\n  }\n}\n",
    },
    { language: "octave", right: "x = [2 1];\nx = sort(x);\n", faulty: "x = [2 1];\nsort(x);\n" },
  ],
};
