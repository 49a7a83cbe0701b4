import { nodesOf, part, type SyntaxNode } from "../../syntax/tree.ts";
import { change, type EditContext, type EditFamily, type Proposal } from "../edit.ts";
import { functionAround, ofKind } from "../places.ts";

/** The values that a function gives back, those of functions inside of it left out. */
function givenBack(owner: SyntaxNode, context: EditContext): SyntaxNode[] {
  return ofKind(context, "return").flatMap(({ node, around }) => {
    const value = part(node, "value");
    return value && functionAround(around) === owner ? [value] : [];
  });
}

/** The type that a name is declared with inside of a function. */
function declaredAs(owner: SyntaxNode, name: string | undefined): string | undefined {
  for (const node of nodesOf(owner)) {
    const type = node.children.find((child) => child.kind === "type")?.sign;
    const declares = nodesOf(node).some(
      (each) => each.kind === "name" && each.sign === name && ["definition", "target"].includes(each.role ?? ""),
    );
    if (node !== owner && type && declares && ["declaration", "parameter", "foreach"].includes(node.kind)) return type;
  }
  return undefined;
}

/** The type of what is given back in the place of `void`. */
function mends(context: EditContext): Proposal[] {
  return ofKind(context, "function").flatMap(({ node }) => {
    const type = node.children.find((child) => child.kind === "type");
    const values = type?.sign === "void" ? givenBack(node, context) : [];
    if (!type || values.length === 0) return [];
    const found = new Map<string, number>();
    for (const value of values) {
      const own = value.kind === "name" ? declaredAs(node, value.sign) : undefined;
      if (own) found.set(own, 1.5);
    }
    for (const word of new Set(context.writing.types.flat())) if (!found.has(word)) found.set(word, 0.5);
    return [...found].map(([word, odds]) => change(type, word, { before: "void", after: word }, odds));
  });
}

function plants(context: EditContext): Proposal[] {
  return ofKind(context, "function").flatMap(({ node }) => {
    const type = node.children.find((child) => child.kind === "type");
    if (!type || type.sign === "void" || givenBack(node, context).length === 0) return [];
    return [change(type, "void", { before: context.sourceOf(type), after: "void" })];
  });
}

/** A function that gives something back is said to give nothing. */
export const resultType: EditFamily = {
  id: "result-type",
  says: "what a function is said to give back",
  weight: 8,
  reads: "tree",
  mends,
  plants,
  examples: [
    {
      language: "java",
      right: "class Main { static int f(int a) { int b = a * 2; return b; } }",
      faulty: "class Main { static void f(int a) { int b = a * 2; return b; } }",
    },
    {
      language: "csharp",
      right: "class P { static string F(string a) { return a; } }",
      faulty: "class P { static void F(string a) { return a; } }",
    },
    { language: "c", right: "int f(int a) { return a * 2; }", faulty: "void f(int a) { return a * 2; }" },
  ],
};
