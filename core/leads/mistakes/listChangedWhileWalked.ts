import { calledName, namesIn, ofKind } from "../../edits/places.ts";
import { escaped } from "../../source/escaped.ts";
import { nodesOf, part } from "../../syntax/tree.ts";
import type { Mistake } from "./mistake.ts";

const changing = /^(remove|pop|append|insert|clear|add|Remove|RemoveAt|Add|Clear|removeAt|delete)$/;

/** A list that is changed while a loop goes over it. */
export const listChangedWhileWalked: Mistake = {
  id: "list-changed-while-walked",
  weight: 95,
  find: (context) =>
    ofKind(context, "foreach").flatMap(({ node }) => {
      const [source, body] = [part(node, "source"), part(node, "body")];
      const walked = source && /^([A-Za-z_]\w*)(?:\.(?:items|keys|values)\(\))?$/.exec(context.sourceOf(source))?.[1];
      if (!walked || !body) return [];
      const changes = nodesOf(body).filter((each) => each.kind === "call" && changing.test(calledName(each)));
      const own = changes.some((each) => {
        const callee = part(each, "callee");
        return callee?.kind === "field" && namesIn(callee).includes(walked);
      });
      const deleted = new RegExp(String.raw`\bdel\s+${escaped(walked)}\s*\[`).test(context.sourceOf(body));
      const line = context.lineOf(node.from);
      return own || deleted
        ? [{ line, why: `“${walked}” is changed while this loop goes over it: some of it is passed over.` }]
        : [];
    }),
  examples: [
    { language: "python", text: "loads = [1, 2]\nfor x in loads:\n    loads.remove(x)\n", line: 2 },
    {
      language: "python",
      text: "loads = {1: 2}\nfor x, y in loads.items():\n    if y:\n        del loads[x]\n",
      line: 2,
    },
    {
      language: "java",
      text: "class M {\n  void f(List<String> a) {\n    for (String s : a) {\n      a.remove(s);\n    }\n  }\n}\n",
      line: 3,
    },
  ],
};
