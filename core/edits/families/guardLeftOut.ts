import { nodesOf, part, parts, type SyntaxNode } from "../../syntax/tree.ts";
import { change, type EditContext, type EditFamily, insert, type Placed, type Proposal } from "../edit.ts";
import { guarded } from "../guarded.ts";
import { calledName, indentUnit, lineEndOf, nameOfFunction, ofKind, parametersOf, wholeLines } from "../places.ts";

/** What a statement needs to hold before it: a condition as the language writes it, and how likely it was left out. */
type Needed = Placed & { condition: string; odds: number };

/** What is asked of parts of a value that may be nothing, of elements that may not be there, and of what is divided by. */
function needed(context: EditContext): Needed[] {
  const { writing } = context;
  const { divides, lengthOf, holdsSomething } = writing;
  const byZero = new Set([divides.decimal, divides.whole, divides.rest]);
  return context.nodes.flatMap(({ node, around: outside }): Needed[] => {
    const placed = { node, around: outside };
    const object = part(node, "object");
    if (node.kind === "field" && object?.kind === "name" && context.names.includes(object.sign ?? ""))
      return holdsSomething ? [{ ...placed, condition: holdsSomething(object.sign ?? ""), odds: 0.5 }] : [];
    const place = part(node, "argument");
    if (node.kind === "index" && object?.kind === "name" && place?.kind === "number" && lengthOf)
      return [{ ...placed, condition: `${lengthOf(object.sign ?? "")} > ${place.sign}`, odds: 1 }];
    const right = node.kind === "binary" && byZero.has(node.sign ?? "") ? part(node, "right") : undefined;
    return right?.kind === "name" ? [{ ...placed, condition: `${right.sign} ${writing.unequal} 0`, odds: 0.8 }] : [];
  });
}

/** The statement with what it needs asked before it. */
function around(context: EditContext): Proposal[] {
  const isAsked = (each: SyntaxNode, condition: string) =>
    each.kind === "if" && context.sourceOf(part(each, "condition") ?? each).includes(condition);
  return needed(context).flatMap(({ around: outside, condition, odds }) => {
    const put = outside.some((each) => isAsked(each, condition)) ? null : guarded(context, outside, condition);
    return put ? [change(put, put.text, { condition }, odds)] : [];
  });
}

/** The same inside of a condition, or of a value that is one, before what needs it. */
function before(context: EditContext): Proposal[] {
  const { and } = context.writing;
  return needed(context).flatMap(({ node, around: outside, condition, odds }) => {
    const asks = outside.find((each) => each.role === "condition" || (each.role === "value" && decides(each)));
    // What a condition is about has a test of its own (empty-test).
    if (!asks || node.kind === "field" || context.sourceOf(asks).includes(condition)) return [];
    return [insert(asks.from, `${condition} ${and} `, { condition }, odds)];
  });
}

/** True for a comparison. */
const decides = ({ kind, sign }: SyntaxNode) => kind === "binary" && /^(?:[<>]=?|[=!~]=|=|<>)$/.test(sign ?? "");

/** A table that is added to for a key that it may not hold yet: it is put in first. */
function keyFirst(context: EditContext): Proposal[] {
  const { holdsNoKey, assign } = context.writing;
  if (!holdsNoKey) return [];
  return ofKind(context, "assignment").flatMap(({ node, around: outside }) => {
    const target = part(node, "target");
    const [table, key] = target?.kind === "index" ? [part(target, "object"), part(target, "argument")] : [];
    const statement = outside.at(-1);
    const adds = /^(?:[-+*]=|\+\+|--)$/.test(node.sign ?? "");
    if (!target || !table || !key || key.kind === "number" || !adds || statement?.kind !== "statement") return [];
    const lines = wholeLines(context, statement);
    const test = holdsNoKey(context.sourceOf(table), context.sourceOf(key));
    if (!lines || context.text.includes(test)) return [];
    const { indent } = lines.first;
    const put = `${context.sourceOf(target)} ${assign} 0${context.writing.statementEnd}`;
    const body = `${indent}${indentUnit(context)}${put}${lineEndOf(context)}`;
    const text = context.writing.guarded(test, body, indent, lineEndOf(context));
    return [{ ...insert(lines.from, text, { condition: test }, 1.5), about: statement.from }];
  });
}

/** What a table gives where it holds nothing of a key: nothing to count, in the place of a stop. */
function orNothing(context: EditContext): Proposal[] {
  const { orDefault } = context.writing;
  if (!orDefault) return [];
  return context.nodes.flatMap(({ node, around: outside }) => {
    const key = part(node, "argument");
    const callee = part(node, "callee");
    const table = node.kind === "index" ? part(node, "object") : callee && part(callee, "object");
    const asks = node.kind === (orDefault.asks === undefined ? "index" : "call") && callee?.sign === orDefault.asks;
    if (!asks || !key || !table || parts(node, "argument").length !== 1 || node.role === "target") return [];
    if (key.kind === "number" || outside.at(-1)?.kind === "index" || outside.at(-1)?.kind === "field") return [];
    const text = orDefault.write(context.sourceOf(table), context.sourceOf(key));
    return [change(node, text, { condition: context.sourceOf(key) }, 0.5)];
  });
}

/** The case of a function that is to end what it does: before its first statement, with a plain result. */
function atTheBeginning(context: EditContext): Proposal[] {
  const { writing } = context;
  const ending = lineEndOf(context);
  const unit = indentUnit(context);
  if (writing.returns("0") === "") return [];
  return ofKind(context, "function").flatMap(({ node }) => {
    const first = part(node, "body")?.children[0];
    const lines = first && wholeLines(context, first);
    const gives = nodesOf(node).some((each) => each.kind === "return" && each.children.length > 0);
    if (!first || !lines || !gives) return [];
    const itself = nodesOf(node).some((each) => each.kind === "call" && calledName(each) === nameOfFunction(node));
    return parametersOf(node).flatMap((name) => {
      const used = nodesOf(node).filter((each) => each.kind === "name" && each.sign === name);
      const isNumber = ofKind(context, "binary").some(({ node: each }) =>
        each.children.some((child) => used.includes(child)),
      );
      const isHanded = ofKind(context, "call").some(({ node: each }) =>
        parts(each, "argument").some((child) => used.includes(child)),
      );
      if (!isNumber && !isHanded) return [];
      const likely = itself ? 2 : isNumber ? 0.4 : 0.3;
      const cases = [
        [`${name} <= 0`, "0"],
        [`${name} <= 1`, "1"],
        [`${name} ${writing.equal} 0`, "0"],
        [`${name} ${writing.equal} 0`, "1"],
        [`${name} <= 0`, "1"],
      ] as const;
      return cases.map(([condition, value], at) => {
        const body = `${lines.first.indent}${unit}${writing.returns(value)}${ending}`;
        const text = writing.guarded(condition, body, lines.first.indent, ending);
        return { ...insert(lines.from, text, { condition }, likely * (at < 2 ? 1 : 0.6)), about: first.from };
      });
    });
  });
}

/** A statement that is asked for first, done whatever there is; a test that stands before another one, left out. */
function plants(context: EditContext): Proposal[] {
  const tests = ofKind(context, "binary").flatMap(({ node }) => {
    const [left, right] = [part(node, "left"), part(node, "right")];
    if (node.sign !== context.writing.and || !left || !right) return [];
    const asked = needed(context).some(
      (each) => each.condition === context.sourceOf(left) && each.node.from >= right.from && each.node.to <= right.to,
    );
    return asked ? [change({ from: left.from, to: right.from }, "", { condition: context.sourceOf(left) })] : [];
  });
  const ends = ofKind(context, "function").flatMap(({ node }) => {
    const [first, second] = part(node, "body")?.children ?? [];
    const lines = first?.kind === "if" && second ? wholeLines(context, first) : null;
    const [condition, body] = first ? [part(first, "condition"), part(first, "body")] : [];
    const only = body?.kind === "block" ? (body.children.length === 1 ? body.children[0] : undefined) : body;
    if (!lines || !first || part(first, "otherwise") || only?.kind !== "return" || !condition) return [];
    return [change({ from: lines.from, to: lines.to }, "", { condition: context.sourceOf(condition) })];
  });
  const { orDefault } = context.writing;
  const tables = ofKind(context, "call").flatMap(({ node }) => {
    const table = part(part(node, "callee") ?? node, "object");
    const [key, value] = parts(node, "argument");
    if (!orDefault || !table || !key || !value) return [];
    const [list, asked] = [context.sourceOf(table), context.sourceOf(key)];
    const text = orDefault.asks === undefined ? `${list}[${asked}]` : `${list}.${orDefault.asks}(${asked})`;
    return orDefault.write(list, asked) === context.sourceOf(node) ? [change(node, text, { condition: asked })] : [];
  });
  return [...tests, ...ends, ...tables];
}

/** What has to hold before something is done is not asked. */
export const guardLeftOut: EditFamily = {
  id: "guard-left-out",
  says: "a case that has to be asked for before something is done",
  weight: 6,
  reads: "tree",
  mends: (context) => [
    ...around(context),
    ...before(context),
    ...atTheBeginning(context),
    ...orNothing(context),
    ...keyFirst(context),
  ],
  plants,
  examples: [
    {
      language: "csharp",
      right: 'class P { void F(string[] parts) { bool c = parts.Length > 2 && parts[2] == "c"; } }',
      faulty: 'class P { void F(string[] parts) { bool c = parts[2] == "c"; } }',
    },
    { language: "python", right: "n = loads.get(deck, 0)\n", faulty: "n = loads[deck]\n" },
    {
      language: "java",
      right: "class Main { int f(String deck) { int n = loads.getOrDefault(deck, 0); return n; } }",
      faulty: "class Main { int f(String deck) { int n = loads.get(deck); return n; } }",
    },
    {
      language: "python",
      right: "def legs(way):\n    if way <= 0:\n        return 0\n    return 1 + legs(way - 3)\n",
      faulty: "def legs(way):\n    return 1 + legs(way - 3)\n",
    },
    {
      language: "c",
      right: "int legs(int way) {\n    if (way <= 0)\n        return 0;\n    return 1 + legs(way - 3);\n}\n",
      faulty: "int legs(int way) {\n    return 1 + legs(way - 3);\n}\n",
    },
  ],
};
