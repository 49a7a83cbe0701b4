import { calledName, ofKind } from "../../edits/places.ts";
import { nodesOf, part, parts } from "../../syntax/tree.ts";
import type { Mistake } from "./mistake.ts";

/** A loop that counts one past the last element, or not to it. */
export const loopLimit: Mistake = {
  id: "limit-off-by-one",
  weight: 92,
  find: (context) => [
    ...ofKind(context, "for", "while").flatMap(({ node }) => {
      const condition = part(node, "condition");
      const right = condition && part(condition, "right");
      if (!condition || !right || condition.sign !== "<=") return [];
      const length = /(\.length(\(\))?|\.Length|\.size\(\)|\.Count|len\(\w+\)|strlen\(\w+\))$/.test(
        context.sourceOf(right),
      );
      return length
        ? [
            {
              line: context.lineOf(node.from),
              why: "The loop counts to the number of elements; the last one has the number before it.",
            },
          ]
        : [];
    }),
    ...ofKind(context, "foreach").flatMap(({ node }) => {
      const [source, target, body] = [part(node, "source"), part(node, "target"), part(node, "body")];
      if (!source || !body || source.kind !== "call" || calledName(source) !== "range") return [];
      const [only, second] = parts(source, "argument");
      const last = second ?? only;
      const text = last ? context.sourceOf(last) : "";
      const ahead = nodesOf(body).some(
        (each) =>
          each.kind === "index" &&
          parts(each, "argument").some((one) => context.sourceOf(one).replace(/\s/g, "") === `${target?.sign}+1`),
      );
      const line = context.lineOf(node.from);
      if (ahead && /^len\(\w+\)$/.test(text))
        return [{ line, why: "The last pass looks at the element behind the last one." }];
      if (/^len\(\w+\)\s*\+\s*1$/.test(text)) return [{ line, why: "The loop counts past the last element." }];
      return [];
    }),
  ],
  examples: [
    {
      language: "java",
      text: "class M {\n  void f(int[] a) {\n    for (int i = 0; i <= a.length; i++) g(a[i]);\n  }\n}\n",
      line: 3,
    },
    { language: "python", text: "for i in range(len(a)):\n    if a[i] > a[i + 1]:\n        print(i)\n", line: 1 },
  ],
};
