import { ofKind } from "../../edits/places.ts";
import { part } from "../../syntax/tree.ts";
import type { Mistake } from "./mistake.ts";

/** An old value that the end of a loop's pass should keep, kept only where a condition holds. */
export const oldValueKept: Mistake = {
  id: "old-value-kept-sometimes",
  weight: 86,
  find: (context) =>
    ofKind(context, "if").flatMap(({ node, around }) => {
      const body = part(node, "body");
      const condition = part(node, "condition");
      const last = body?.kind === "block" ? body.children.at(-1) : undefined;
      const given = last?.kind === "statement" ? last.children[0] : undefined;
      const [target, value] = given?.kind === "assignment" ? [part(given, "target"), part(given, "value")] : [];
      const loop = around.findLast((each) => ["for", "foreach", "while"].includes(each.kind));
      if (
        !loop ||
        !body ||
        body.children.length < 2 ||
        !condition ||
        target?.kind !== "name" ||
        value?.kind !== "name" ||
        !last
      )
        return [];
      const sides = [part(condition, "left")?.sign, part(condition, "right")?.sign];
      if (
        !sides.includes(target.sign) ||
        !sides.includes(value.sign) ||
        /^(max|min|high|low|best|long|great|small|larg)/i.test(target.sign ?? "")
      )
        return [];
      return [
        {
          line: context.lineOf(last.from),
          why: `“${target.sign}” keeps the last value only where the condition holds.`,
        },
      ];
    }),
  examples: [
    { language: "python", text: "for now in a:\n    if now > prev:\n        ups += 1\n        prev = now\n", line: 4 },
  ],
};
