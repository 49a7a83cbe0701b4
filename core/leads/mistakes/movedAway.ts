import type { EditContext } from "../../edits/edit.ts";
import { ofKind } from "../../edits/places.ts";
import { nodesOf, part, type SyntaxNode } from "../../syntax/tree.ts";
import type { Mistake, MistakePlace } from "./mistake.ts";

/** Which way an assignment moves its own name by something that is added or taken off: 1, -1, or 0 where it is neither. */
function wayOf(context: EditContext, assignment: SyntaxNode, name: string): 1 | -1 | 0 {
  const sign = assignment.sign ?? "";
  if (/^(?:\+\+|\+=)$/.test(sign)) return 1;
  if (/^(?:--|-=)$/.test(sign)) return -1;
  const value = part(assignment, "value");
  const [left, right] = value ? [part(value, "left"), part(value, "right")] : [];
  if (sign !== context.writing.assign || value?.kind !== "binary" || left?.sign !== name || !right) return 0;
  if (right.kind !== "number" && right.kind !== "name") return 0;
  return value.sign === "+" ? 1 : value.sign === "-" ? -1 : 0;
}

/** A loop that goes on while a name is above (or below) a limit, in which all that changes the name moves it further up (or down). */
function movedInside(context: EditContext): MistakePlace[] {
  return ofKind(context, "while").flatMap(({ node }) => {
    const [condition, body] = [part(node, "condition"), part(node, "body")];
    const inside = condition?.kind === "group" ? condition.children[0] : condition;
    const sides = inside?.kind === "binary" ? [part(inside, "left"), part(inside, "right")] : [];
    const isAbove = /^>=?$/.test(inside?.sign ?? "");
    if (!body || (!isAbove && !/^<=?$/.test(inside?.sign ?? ""))) return [];
    return sides.flatMap((side, at) => {
      const name = side?.kind === "name" ? (side.sign ?? "") : "";
      const given = nodesOf(body).filter((each) => each.kind === "assignment" && each.children[0]?.sign === name);
      const away = isAbove === (at === 0) ? 1 : -1;
      const [first] = given;
      if (name === "" || !first || !given.every((each) => wayOf(context, each, name) === away)) return [];
      return [
        { line: context.lineOf(first.from), names: [name], why: `“${name}” moves away from where the loop ends.` },
      ];
    });
  });
}

/** What the condition of a loop waits for is moved away from it inside. */
export const movedAway: Mistake = {
  id: "moved-away",
  weight: 95,
  find: movedInside,
  examples: [
    { language: "python", text: "while water > 0:\n    hours += 1\n    water = water + 15\n", line: 3 },
    { language: "octave", text: "while saved < goal\n  saved = saved - monthly;\nend\n", line: 2 },
    { language: "c", text: "void f(int n) {\n  while (0 < n) {\n    n++;\n  }\n}\n", line: 3 },
    { language: "pascal", text: "begin\n  while load > 0 do\n    load := load + 2;\nend.", line: 3 },
  ],
};
