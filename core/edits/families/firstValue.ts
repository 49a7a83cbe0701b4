import { isLoop, part } from "../../syntax/tree.ts";
import { change, type EditContext, type EditFamily, insert, type Proposal } from "../edit.ts";
import { firstValuesPutIn } from "../neverGiven.ts";
import { lineEndOf, ofKind, wholeLines } from "../places.ts";

/** A first value for a type, as declarations write it. */
export function valueOfType(type: string): string[] {
  const made = /^(ArrayList|List|LinkedList|HashMap|Map|Dictionary|Queue|Stack|HashSet|Scanner|Random)\b/.exec(
    type,
  )?.[1];
  if (/\[\]$/.test(type)) return [`new ${type.slice(0, -2)}[100]`];
  if (made) {
    const real = made === "List" && !/^List<[a-z]/.test(type) ? "ArrayList" : made === "Map" ? "HashMap" : made;
    if (made === "Scanner") return ["new Scanner(System.in)"];
    return [
      `new ${real}${/<.*>/.test(type) ? (/^(Dictionary|Queue|Stack)|^List<[a-z]/.test(type) ? (/<.*>/.exec(type)?.[0] ?? "") : "<>") : ""}()`,
    ];
  }
  if (/^(String|string)$/.test(type)) return ['""'];
  if (/^(boolean|bool)$/.test(type)) return ["false", "true"];
  return ["0", "1"];
}

/** Declared names that have no value get one where they are declared. */
function declared(context: EditContext): Proposal[] {
  if (context.writing.variables !== "declared in place") return [];
  return ofKind(context, "declaration").flatMap(({ node }) => {
    const type = node.children.find((child) => child.kind === "type")?.sign ?? "";
    return node.children.flatMap((child) => {
      if (child.kind !== "name" || child.role !== "definition") return [];
      const pointer = context.text.slice(0, child.from).trimEnd().endsWith("*");
      if (pointer && type === "char") {
        const star = context.text.lastIndexOf("*", child.from);
        return [change({ from: star, to: child.to }, `${child.sign}[100]`, { name: child.sign ?? "" }, 1)];
      }
      if (context.text[child.to] === "[")
        return [insert(context.text.indexOf("]", child.to) + 1, " = {0}", { name: child.sign ?? "" }, 0.5)];
      return valueOfType(type).map((value, at) =>
        insert(child.to, ` = ${value}`, { name: child.sign ?? "", value }, at === 0 ? 1 : 0.4),
      );
    });
  });
}

/** Names that are added to in a loop, or used, and never had a value before it. */
function beforeLoop(context: EditContext): Proposal[] {
  const { assign, beginnings, statementEnd, variables } = context.writing;
  if (variables === "declared in place") return [];
  const { names } = context;
  return context.nodes.flatMap(({ node, around }) => {
    if (!isLoop(node) || around.some(isLoop)) return [];
    const lines = wholeLines(context, node);
    if (!lines) return [];
    const inside = context.nodes.filter(
      (each) => each.node.kind === "name" && each.node.from >= node.from && each.node.to <= node.to,
    );
    const before = new Set(
      context.nodes.flatMap((each) =>
        each.node.kind === "name" &&
        each.node.to <= node.from &&
        (each.node.role === "target" || each.node.role === "definition")
          ? [each.node.sign ?? ""]
          : [],
      ),
    );
    const found = [
      ...new Set(
        inside.flatMap((each) =>
          each.node.role === "target" || names.includes(each.node.sign ?? "") ? [each.node.sign ?? ""] : [],
        ),
      ),
    ];
    return found.flatMap((name) => {
      const odds = before.has(name) ? 0.2 : 1;
      const values = ["0", ...beginnings.slice(0, 2), "1"];
      return values.map((value, at) =>
        insert(
          lines.from,
          `${lines.first.indent}${name} ${assign} ${value}${statementEnd}${lineEndOf(context)}`,
          { name, value },
          (odds * (at === 0 ? 1 : 0.4)) / (at > 2 ? 2 : 1),
        ),
      );
    });
  });
}

/** A first value taken out: of a declaration, or with its line. */
function takeOut(context: EditContext): Proposal[] {
  const found: Proposal[] = [];
  for (const { node, around } of ofKind(context, "assignment")) {
    const [target, value] = [part(node, "target") ?? part(node, "definition") ?? node.children[0], part(node, "value")];
    const parent = around.at(-1);
    if (!target || !value || node.sign !== context.writing.assign) continue;
    if (parent?.kind === "declaration")
      found.push(change({ from: target.to, to: value.to }, "", { name: target.sign ?? "" }));
    const lines = parent?.kind === "statement" ? wholeLines(context, parent) : null;
    const following = context.nodes.find((each) => isLoop(each.node) && lines && each.node.from >= lines.to);
    const text = context.sourceOf(value);
    if (
      lines &&
      (/^(0|1|""|\[\]|\{\})$/.test(text) || text === context.writing.nothing) &&
      following &&
      context.writing.blocks.by !== "braces"
    )
      found.push({ from: lines.from, to: lines.to, text: "", parameters: { name: target.sign ?? "" }, odds: 1 });
  }
  return found;
}

export const firstValue: EditFamily = {
  id: "first-value",
  says: "a variable that has no value before it is used",
  weight: 7,
  reads: "both",
  mends: (context) => [...firstValuesPutIn(context), ...declared(context), ...beforeLoop(context)],
  plants: takeOut,
  examples: [
    {
      language: "python",
      right: "total = 0\nfor x in loads:\n    total += x\n",
      faulty: "for x in loads:\n    total += x\n",
    },
    {
      language: "python",
      right:
        'worst = None\nfor load in loads:\n    if worst is None or load > worst:\n        worst = load\nprint("Most:", worst)\n',
      faulty:
        'for load in loads:\n    if worst is None or load > worst:\n        worst = load\nprint("Most:", worst)\n',
    },
    {
      language: "python",
      right:
        "rows = []\nfor row in range(2):\n    line = []\n    for seat in range(3):\n        line.append(seat)\n    rows.append(line)\n",
      faulty:
        "rows = []\nfor row in range(2):\n    for seat in range(3):\n        line.append(seat)\n    rows.append(line)\n",
    },
    {
      language: "java",
      right: "class Main { ArrayList<String> names = new ArrayList<>(); }",
      faulty: "class Main { ArrayList<String> names; }",
    },
    { language: "c", right: "int f(void) { int n = 0; return n; }", faulty: "int f(void) { int n; return n; }" },
    { language: "csharp", right: "class P { List<int> a = new List<int>(); }", faulty: "class P { List<int> a; }" },
    {
      language: "pascal",
      right: "begin\n  s := 0;\n  for i := 1 to 3 do s := s + i;\nend.",
      faulty: "begin\n  for i := 1 to 3 do s := s + i;\nend.",
    },
    {
      language: "octave",
      right: "s = 0;\nfor i = 1:3\n  s = s + i;\nend\n",
      faulty: "for i = 1:3\n  s = s + i;\nend\n",
    },
  ],
};
