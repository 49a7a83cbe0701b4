import { change, type EditContext, type EditFamily, insert, type Proposal } from "../edit.ts";
import { calledName, lineEndOf, ofKind, wholeLines } from "../places.ts";

/** What is left of a typed line behind a number: read away, or read as a line; a blank before a letter's format. */
function mends(context: EditContext): Proposal[] {
  const numbers = ofKind(context, "call").flatMap(({ node, around }) => {
    const name = calledName(node);
    if (!/^next(Int|Double|Long|Boolean)?$/.test(name)) return [];
    const text = context.sourceOf(node);
    const object = text.slice(0, text.lastIndexOf(`.${name}`));
    const statement = around.findLast((each) => each.kind === "declaration" || each.kind === "statement");
    const whole = statement && wholeLines(context, statement);
    const found: Proposal[] = [];
    if (whole) {
      const end = /[\r\n]$/.test(context.text.slice(0, whole.to)) ? "" : lineEndOf(context);
      found.push(
        insert(whole.to, `${end}${whole.first.indent}${object}.nextLine();${lineEndOf(context)}`, { name }, 1),
      );
    }
    if (name === "nextInt") found.push(change(node, `Integer.parseInt(${object}.nextLine())`, { name }, 0.9));
    if (name === "nextDouble") found.push(change(node, `Double.parseDouble(${object}.nextLine())`, { name }, 0.9));
    if (name === "next") found.push(change(node, `${object}.nextLine()`, { name }, 0.6));
    return found;
  });
  const lines = ofKind(context, "call").flatMap(({ node }) => {
    if (calledName(node) !== "nextLine") return [];
    const text = context.sourceOf(node);
    return [change(node, text.replace(/nextLine\(\)$/, "next()"), { name: "nextLine" }, 0.6)];
  });
  const letters = ofKind(context, "text").flatMap(({ node }) => {
    const text = node.sign ?? "";
    return text.startsWith('"%c') ? [insert(node.from + 1, " ", { name: "%c" }, 1)] : [];
  });
  return [...numbers, ...lines, ...letters];
}

function plants(context: EditContext): Proposal[] {
  const away = ofKind(context, "statement").flatMap(({ node }) => {
    const whole = wholeLines(context, node);
    const [call] = node.children;
    return whole && call && calledName(call) === "nextLine" ? [change(whole, "", { name: "nextLine" })] : [];
  });
  const letters = ofKind(context, "text").flatMap(({ node }) =>
    (node.sign ?? "").startsWith('" %c')
      ? [change({ from: node.from + 1, to: node.from + 2 }, "", { name: "%c" })]
      : [],
  );
  return [...away, ...letters];
}

export const lineLeft: EditFamily = {
  id: "line-left",
  says: "the rest of a typed line that the next read takes",
  weight: 8,
  reads: "tree",
  mends,
  plants,
  examples: [
    {
      language: "java",
      right:
        "class Main {\n  void f() {\n    int n = in.nextInt();\n    in.nextLine();\n    String s = in.nextLine();\n  }\n}\n",
      faulty: "class Main {\n  void f() {\n    int n = in.nextInt();\n    String s = in.nextLine();\n  }\n}\n",
    },
    { language: "c", right: 'void f(char c) { scanf(" %c", &c); }', faulty: 'void f(char c) { scanf("%c", &c); }' },
  ],
};
