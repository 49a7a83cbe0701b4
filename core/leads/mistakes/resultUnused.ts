import { givesOnly } from "../../edits/givesOnly.ts";
import { calledName, ofKind } from "../../edits/places.ts";
import { part } from "../../syntax/tree.ts";
import type { Mistake } from "./mistake.ts";

/** A result that nobody takes, or the nothing that a changing call gives taken for one. */
export const resultUnused: Mistake = {
  id: "result-thrown-away",
  weight: 94,
  find: (context) => {
    const { givesNothing, library } = context.writing;
    const thrown = ofKind(context, "statement").flatMap(({ node }) => {
      const [call] = node.children;
      const name = call ? calledName(call) : "";
      const callee = call && part(call, "callee");
      if (call?.kind !== "call" || !callee) return [];
      const isOwn = callee.kind === "name" && context.functions.includes(name);
      if (isOwn && givesOnly(context, name))
        return [
          {
            line: context.lineOf(node.from),
            names: [name],
            why: `What “${name}” works out is taken by nobody, and it does nothing else.`,
          },
        ];
      if (isOwn || !library.gives(name)) return [];
      return [
        {
          line: context.lineOf(node.from),
          why: `What “${name}” gives back is taken by nobody; what it is called on stays as it was.`,
        },
      ];
    });
    const nothing = ofKind(context, "assignment").flatMap(({ node }) => {
      const value = part(node, "value");
      const callee = value?.kind === "call" ? part(value, "callee") : undefined;
      if (!givesNothing || callee?.kind !== "field" || !library.changes(callee.sign ?? "")) return [];
      return [
        {
          line: context.lineOf(node.from),
          why: `“${callee.sign}” changes what it is called on and gives nothing back.`,
        },
      ];
    });
    const walked = ofKind(context, "foreach").flatMap(({ node }) => {
      const source = part(node, "source");
      const callee = source?.kind === "call" ? part(source, "callee") : undefined;
      if (!givesNothing || callee?.kind !== "field" || !library.changes(callee.sign ?? "")) return [];
      return [
        {
          line: context.lineOf(node.from),
          why: `“${callee.sign}” changes what it is called on and gives nothing back that could be gone over.`,
        },
      ];
    });
    return [...thrown, ...nothing, ...walked];
  },
  examples: [
    { language: "python", text: 'a = "x"\na.upper()\nprint(a)\n', line: 2 },
    { language: "python", text: "a = [2, 1]\nfor b in a.sort():\n    print(b)\n", line: 2 },
    { language: "python", text: "a = [2, 1]\nb = a.sort()\nprint(b)\n", line: 2 },
    {
      language: "csharp",
      text: "class P {\n  static int Fare(int age) {\n    return age;\n  }\n  static void Main() {\n    Fare(3);\n  }\n}\n",
      line: 6,
    },
    { language: "java", text: "class M {\n  void f(String s) {\n    s.trim();\n  }\n}\n", line: 3 },
  ],
};
