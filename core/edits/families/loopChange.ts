import { nodesOf, part, type SyntaxNode } from "../../syntax/tree.ts";
import { type EditContext, type EditFamily, insert, type Proposal } from "../edit.ts";
import { indentUnit, lineEndOf, namesIn, ofKind, wholeLines } from "../places.ts";
import { scopesOf } from "../scopes.ts";

/** True if something in a tree gives the name a value. */
function assigns(node: SyntaxNode, name: string): boolean {
  if (node.role === "target" && namesIn(node).includes(name)) return true;
  return node.children.some((child) => assigns(child, name));
}

/** True where a name stands in a tree by itself, and not only for a call to work something out of it, or with a place in it. */
function standsItself(node: SyntaxNode, name: string): boolean {
  if (node.kind === "call" || node.kind === "index") return false;
  return node.sign === name || node.children.some((child) => standsItself(child, name));
}

/** A step of a name: by the number that it is compared with where it is to go down by that (`cars >= 5`), else by one. */
function stepBy(context: EditContext, condition: SyntaxNode, name: string, sign: "+" | "-"): string {
  const one = context.writing.step(name, sign);
  const [left, right] = [part(condition, "left"), part(condition, "right")];
  const isMeasure =
    sign === "-" && /^>=?$/.test(condition.sign ?? "") && left?.sign === name && right?.kind === "number";
  if (!isMeasure || !right || Number(right.sign) < 2) return one;
  const { assign, compound, statementEnd } = context.writing;
  const end = one.endsWith(statementEnd) ? statementEnd : "";
  return compound ? `${name} -= ${right.sign}${end}` : `${name} ${assign} ${name} - ${right.sign}${end}`;
}

/** A statement at the end of a loop's body that moves one of the names of its condition by one. */
function mends(context: EditContext): Proposal[] {
  const { mayCount } = scopesOf(context);
  return ofKind(context, "while", "do").flatMap(({ node }) => {
    const [condition, body] = [part(node, "condition"), part(node, "body")];
    if (!condition || !body) return [];
    const about = (proposal: Proposal): Proposal => ({ ...proposal, about: node.from });
    const names = namesIn(condition).filter((name) => context.names.includes(name) && mayCount(name));
    const { blocks } = context.writing;
    // Where nothing in the loop moves anything that it waits for, a change of its condition does not end it either.
    const stays = !names.some((name) => assigns(body, name)) && !nodesOf(body).some((each) => each.kind === "leave");
    return names.flatMap((name) => {
      const odds = (assigns(body, name) ? 0.1 : stays ? 1.5 : 1) * (standsItself(condition, name) ? 1 : 0.3);
      return (["+", "-"] as const).flatMap((sign) => {
        const text = stepBy(context, condition, name, sign);
        const last = body.children.at(-1);
        const likely = odds * (sign === "+" ? 1 : 0.7);
        if (!last) return [];
        const line = context.lines[context.lineOf(last.from) - 1];
        if (!line || (body.kind !== "block" && blocks.by !== "indentation")) return [];
        const whole = wholeLines(context, last);
        if (!whole) return [about(insert(last.to, ` ${text}`, { name, text }, likely))];
        const indent = context.lines[whole.first.number - 1]?.indent ?? indentUnit(context);
        const end = context.text.slice(0, whole.to).endsWith("\n") ? "" : lineEndOf(context);
        const separator =
          context.writing.statementEnd === ";" &&
          !/[;}]\s*$/.test(context.text.slice(whole.from, whole.to)) &&
          blocks.by === "two words"
            ? ";"
            : "";
        if (separator && node.kind === "while") {
          return [about(insert(last.to, `;${lineEndOf(context)}${indent}${text}`, { name, text }, likely))];
        }
        return [about(insert(whole.to, `${end}${indent}${text}${lineEndOf(context)}`, { name, text }, likely))];
      });
    });
  });
}

/** The statement at the end of a loop's body that moves a name of its condition by one is taken out. */
function plants(context: EditContext): Proposal[] {
  return ofKind(context, "while", "do").flatMap(({ node }) => {
    const [condition, body] = [part(node, "condition"), part(node, "body")];
    const last = body?.children.at(-1);
    const whole = last && wholeLines(context, last);
    if (!condition || !body || !last || !whole || body.children.length < 2) return [];
    const name = namesIn(condition).find((each) => assigns(last, each));
    if (name === undefined || last.kind !== "statement") return [];
    const text = context.sourceOf(last).trim();
    return [{ from: whole.from, to: whole.to, text: "", parameters: { name, text }, odds: 1 }];
  });
}

export const loopChange: EditFamily = {
  id: "loop-change",
  says: "a loop in which nothing moves what it waits for",
  weight: 9,
  reads: "tree",
  mends,
  plants,
  examples: [
    {
      language: "python",
      right: "cars = int(input())\nwhile cars >= 5:\n    rows += 1\n    cars -= 5\n",
      faulty: "cars = int(input())\nwhile cars >= 5:\n    rows += 1\n",
    },
    {
      language: "python",
      right: "n = 0\nwhile n < 3:\n    print(n)\n    n += 1\n",
      faulty: "n = 0\nwhile n < 3:\n    print(n)\n",
    },
    {
      language: "java",
      right:
        "class Main {\n  void f() {\n    int n = 0;\n    while (n < 3) {\n      g(n);\n      n++;\n    }\n  }\n}\n",
      faulty: "class Main {\n  void f() {\n    int n = 0;\n    while (n < 3) {\n      g(n);\n    }\n  }\n}\n",
    },
    {
      language: "c",
      right: "void f(int n) {\n  while (n > 0) {\n    g(n);\n    n--;\n  }\n}\n",
      faulty: "void f(int n) {\n  while (n > 0) {\n    g(n);\n  }\n}\n",
    },
    {
      language: "csharp",
      right: "class P {\n  void F(int n) {\n    while (n > 0) {\n      G(n);\n      n--;\n    }\n  }\n}\n",
      faulty: "class P {\n  void F(int n) {\n    while (n > 0) {\n      G(n);\n    }\n  }\n}\n",
    },
    {
      language: "pascal",
      right: "begin\n  n := 0;\n  while n < 3 do\n  begin\n    writeln(n);\n    n := n + 1;\n  end;\nend.",
      faulty: "begin\n  n := 0;\n  while n < 3 do\n  begin\n    writeln(n);\n  end;\nend.",
    },
    {
      language: "octave",
      right: "n = 0;\nwhile n < 3\n  disp(n)\n  n = n + 1;\nend\n",
      faulty: "n = 0;\nwhile n < 3\n  disp(n)\nend\n",
    },
  ],
};
