import { nodesOf, part, type SyntaxNode } from "../../syntax/tree.ts";
import { change, type EditContext, type EditFamily, insert, type Proposal } from "../edit.ts";
import { functionAround, lineEndOf, ofKind, wholeLines } from "../places.ts";

/** A variable of the program that a function changes as one of its own: `global` names it. */
function mends(context: EditContext): Proposal[] {
  const { wholeProgram } = context.writing;
  if (!wholeProgram) return [];
  const { word, apart } = wholeProgram;
  return ofKind(context, "function").flatMap(({ node }) => {
    const body = part(node, "body");
    const first = body?.children[0];
    if (!body || !first) return [];
    const own = node.children.flatMap((child) => (child.kind === "parameter" ? [child.sign] : []));
    const assigned = nodesOf(body).flatMap((each) =>
      each.kind === "name" && each.role === "target" ? [each.sign ?? ""] : [],
    );
    const outside = new Set(
      context.nodes.flatMap((each) =>
        each.node.role === "target" && !each.around.some((around) => around.kind === "function")
          ? [each.node.sign ?? ""]
          : [],
      ),
    );
    const names = [...new Set(assigned)].filter((name) => outside.has(name) && !own.includes(name));
    const said = context.code.findIndex(
      (token) => token.text === word && token.from >= body.from && token.to <= body.to,
    );
    const line = wholeLines(context, first);
    return names.flatMap((name) => {
      const listed = context.code.slice(said + 1).filter((token) => token.line === context.code[said]?.line);
      if (said >= 0 && listed.some((token) => token.text === name)) return [];
      const last = listed.at(-1);
      if (said >= 0 && last) return [insert(last.to, `${apart}${name}`, { name }, 1.2)];
      return line ? [insert(line.from, `${line.first.indent}${word} ${name}${lineEndOf(context)}`, { name }, 1)] : [];
    });
  });
}

/** A name of the program, of a class or of a block around, that is declared once more: what it gets there is lost, or it is refused. */
function declaredAgain(context: EditContext): Proposal[] {
  if (context.writing.variables !== "declared in place") return [];
  const declarations = ofKind(context, "declaration").filter(({ node }) => node.role !== "start");
  const nameOf = (node: SyntaxNode) => {
    const [inner] = node.children.filter((child) => child.kind !== "type");
    const made = inner?.kind === "assignment" ? part(inner, "definition") : inner;
    return node.children.length === 2 && made?.kind === "name" ? made : undefined;
  };
  const outside = new Set(
    declarations.flatMap(({ node, around }) => (functionAround(around) ? [] : (nameOf(node)?.sign ?? []))),
  );
  return declarations.flatMap(({ node, around }) => {
    const [type, made] = [node.children.find((child) => child.kind === "type"), nameOf(node)];
    // Also one of a block further out, where that is refused or makes a second variable.
    const isInner = declarations.some(
      (outer) =>
        outer.node.to <= node.from &&
        nameOf(outer.node)?.sign === made?.sign &&
        outer.around.at(-1)?.kind === "block" &&
        around.slice(0, -1).includes(outer.around.at(-1) as SyntaxNode),
    );
    if (!type || !made || !functionAround(around) || !(isInner || outside.has(made.sign ?? ""))) return [];
    const lines = wholeLines(context, node);
    const hasValue = node.children.some((child) => child.kind === "assignment");
    const name = made.sign ?? "";
    return [
      ...(hasValue ? [change({ from: type.from, to: made.from }, "", { name }, 1.2)] : []),
      ...(lines ? [change(lines, "", { name }, 1)] : []),
    ];
  });
}

/** The other way: a function's own declaration before what it gives the whole program's variable. */
function plantsType(context: EditContext): Proposal[] {
  if (context.writing.variables !== "declared in place") return [];
  return ofKind(context, "declaration").flatMap(({ node, around }) => {
    const type = node.children.find((child) => child.kind === "type");
    if (!type || node.role === "start") return [];
    const [block, owner] = [around.at(-1), functionAround(around)];
    // A variable of a function is made a second time in a block further in.
    const isFurtherIn = (given: readonly SyntaxNode[]) =>
      owner === undefined || (block?.kind === "block" && given.slice(0, -2).includes(block) && given.at(-2) !== block);
    const name = nodesOf(node).find((each) => each.role === "definition")?.sign;
    return ofKind(context, "assignment").flatMap((given) => {
      const target = part(given.node, "target");
      const plain = given.node.sign === context.writing.assign && given.around.at(-1)?.kind === "statement";
      if (!plain || target?.kind !== "name" || target.sign !== name || !functionAround(given.around)) return [];
      if (!isFurtherIn(given.around)) return [];
      return [insert(given.node.from, `${context.sourceOf(type).replace(/^.*\s/, "")} `, { name: name ?? "" })];
    });
  });
}

function plants(context: EditContext): Proposal[] {
  const { wholeProgram } = context.writing;
  return context.lines.flatMap((line) => {
    const [word, ...names] = line.code;
    const next = context.lines[line.number];
    if (!word || word.text !== wholeProgram?.word || !next) return [];
    const last = names.at(-1);
    const before = names.at(-3) ?? names.at(-2);
    const found: Proposal[] = [
      { from: line.from, to: next.from, text: "", parameters: { name: last?.text ?? "" }, odds: 1 },
    ];
    if (names.length > 1 && last && before)
      found.push({ from: before.to, to: last.to, text: "", parameters: { name: last.text }, odds: 1 });
    return found;
  });
}

export const scopeWord: EditFamily = {
  id: "scope-word",
  says: "a variable that is made a second time, or one of the whole program that a function takes for its own",
  weight: 8,
  reads: "both",
  mends: (context) => [...mends(context), ...declaredAgain(context)],
  plants: (context) => [...plants(context), ...plantsType(context)],
  examples: [
    {
      language: "java",
      right: 'class M { void f(int n) { String k = "a"; if (n > 1) { k = "b"; } g(k); } }',
      faulty: 'class M { void f(int n) { String k = "a"; if (n > 1) { String k = "b"; } g(k); } }',
    },
    {
      language: "java",
      right: "class Main { static int calls = 0; void f() { calls = 4; } }",
      faulty: "class Main { static int calls = 0; void f() { int calls = 4; } }",
    },
    {
      language: "python",
      right: "total = 0\ndef add(load):\n    global total\n    total += load\n",
      faulty: "total = 0\ndef add(load):\n    total += load\n",
    },
    {
      language: "python",
      right: "total = 0\nn = 0\ndef add(load):\n    global n, total\n    n += 1\n    total += load\n",
      faulty: "total = 0\nn = 0\ndef add(load):\n    global n\n    n += 1\n    total += load\n",
    },
  ],
};
