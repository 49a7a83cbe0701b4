import { isLoop, nodesOf, part, type SyntaxNode } from "../../syntax/tree.ts";
import type { EditContext, EditFamily, Placed, Proposal } from "../edit.ts";
import { calledName, ofKind, wholeLines } from "../places.ts";
import { readsSomething, stepsToTake } from "../stepsToTake.ts";

/** True for a statement that is such a step: a call for its own sake, a count that goes on, a mark that is set, a read in a loop. */
function isStep(context: EditContext, { node, around }: Placed): boolean {
  const [inner] = node.children;
  if (inner?.kind === "call") return context.functions.includes(calledName(inner));
  const target = inner?.kind === "assignment" ? part(inner, "target") : undefined;
  if (!inner || target?.kind !== "name") return false;
  const value = part(inner, "value");
  const picks = around.at(-1)?.children.some((each) => each !== node && isPutBy(each, target.sign ?? ""));
  if (picks) return true;
  if (value?.kind === "constant" || value?.sign === "1")
    return around.some((each) => each.kind === "if" || (value.kind === "constant" && isLoop(each)));
  // What a decision on the best one so far keeps.
  if (around.at(-2)?.kind === "if" && around.some(isLoop) && value && value.kind !== "number")
    return ["name", "index", "call", "field"].includes(value.kind);
  return around.at(-2)?.kind === "while" && readsSomething(context, inner);
}

/** True for a statement that puts an element where the name says. */
function isPutBy(statement: SyntaxNode, name: string): boolean {
  return nodesOf(statement).some((each) => {
    const target = each.kind === "assignment" ? part(each, "target") : undefined;
    return target?.kind === "index" && part(target, "argument")?.sign === name;
  });
}

/** Such a statement, or a summand that nothing else reads, taken out. */
function plants(context: EditContext): Proposal[] {
  const steps = ofKind(context, "statement").flatMap((placed) => {
    const whole = isStep(context, placed) ? wholeLines(context, placed.node) : null;
    if (!whole || (placed.around.at(-1)?.children.length ?? 0) < 2) return [];
    const text = context.sourceOf(placed.node).trim();
    return [{ from: whole.from, to: whole.to, text: "", parameters: { text }, odds: 0.5 }];
  });
  const summands = ofKind(context, "binary").flatMap(({ node }) => {
    const [left, right] = [part(node, "left"), part(node, "right")];
    if (!left || right?.kind !== "name" || !/^[-+*]$/.test(node.sign ?? "")) return [];
    const uses = context.nodes.filter((each) => each.node.kind === "name" && each.node.sign === right.sign);
    if (uses.filter((each) => each.node.role !== "target" && each.node.role !== "definition").length > 1) return [];
    return [{ from: left.to, to: node.to, text: "", parameters: { text: right.sign ?? "" }, odds: 0.5 }];
  });
  return [...steps, ...summands];
}

/** A step that was thought of and not written: a call, a count that goes on, a mark, a read, a summand. */
export const stepLeftOut: EditFamily = {
  id: "step-left-out",
  says: "a step that is prepared and never taken",
  weight: 8,
  reads: "tree",
  mends: stepsToTake,
  plants,
  examples: [
    {
      language: "pascal",
      right:
        "var n, x: integer;\n  a: array[1..5] of integer;\nbegin\n  n := 1;\n  while x > 0 do\n  begin\n    x := x - 1;\n    a[n] := x;\n    n := n + 1;\n  end;\nend.\n",
      faulty:
        "var n, x: integer;\n  a: array[1..5] of integer;\nbegin\n  n := 1;\n  while x > 0 do\n  begin\n    x := x - 1;\n    a[n] := x;\n  end;\nend.\n",
    },
    {
      language: "octave",
      right:
        "function [best, place] = longest(km)\n  best = km(1);\n  place = 1;\n  for i = 2:numel(km)\n    if km(i) > best\n      best = km(i);\n      place = i;\n    end\n  end\nend\n",
      faulty:
        "function [best, place] = longest(km)\n  best = km(1);\n  place = 1;\n  for i = 2:numel(km)\n    if km(i) > best\n      best = km(i);\n    end\n  end\nend\n",
    },
    {
      language: "csharp",
      right:
        'class P {\n  string Top(Dictionary<string, int> loads) {\n    string best = "none";\n    int most = -1;\n    foreach (var each in loads) {\n      if (each.Value > most) {\n        best = each.Key;\n        most = each.Value;\n      }\n    }\n    return best;\n  }\n}\n',
      faulty:
        'class P {\n  string Top(Dictionary<string, int> loads) {\n    string best = "none";\n    int most = -1;\n    foreach (var each in loads) {\n      if (each.Value > most) {\n        best = each.Key;\n      }\n    }\n    return best;\n  }\n}\n',
    },
    {
      language: "pascal",
      right:
        "var late: boolean;\n  day: integer;\nbegin\n  late := false;\n  for day := 1 to 9 do\n  begin\n    if not late then\n      writeln(day);\n    late := true;\n  end;\nend.\n",
      faulty:
        "var late: boolean;\n  day: integer;\nbegin\n  late := false;\n  for day := 1 to 9 do\n  begin\n    if not late then\n      writeln(day);\n  end;\nend.\n",
    },
    {
      language: "python",
      right: "total = 9\noff = 2\nprint(total - off)\n",
      faulty: "total = 9\noff = 2\nprint(total)\n",
    },
    {
      language: "python",
      right: 'line = input()\nwhile line != "end":\n    print(line)\n    line = input()\n',
      faulty: 'line = input()\nwhile line != "end":\n    print(line)\n',
    },
    {
      language: "java",
      right:
        "class Main {\n  static int n = 0;\n  static int[] a = new int[5];\n  static void add(int x) {\n    a[n] = x;\n    n++;\n  }\n}\n",
      faulty:
        "class Main {\n  static int n = 0;\n  static int[] a = new int[5];\n  static void add(int x) {\n    a[n] = x;\n  }\n}\n",
    },
    {
      language: "java",
      right:
        "class Main {\n  static void sort() {\n    g();\n  }\n  public static void main(String[] args) {\n    sort();\n    g();\n  }\n}\n",
      faulty:
        "class Main {\n  static void sort() {\n    g();\n  }\n  public static void main(String[] args) {\n    g();\n  }\n}\n",
    },
    {
      language: "c",
      right:
        "int f(const char *t) {\n  int inside = 0;\n  int n = 0;\n  for (int i = 0; t[i]; i++) {\n    if (t[i] == 32) {\n      inside = 0;\n    } else if (!inside) {\n      inside = 1;\n      n++;\n    }\n  }\n  return n;\n}\n",
      faulty:
        "int f(const char *t) {\n  int inside = 0;\n  int n = 0;\n  for (int i = 0; t[i]; i++) {\n    if (t[i] == 32) {\n      inside = 0;\n    } else if (!inside) {\n      n++;\n    }\n  }\n  return n;\n}\n",
    },
  ],
};
