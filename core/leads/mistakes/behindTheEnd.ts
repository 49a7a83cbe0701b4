import type { EditContext } from "../../edits/edit.ts";
import { blocksOf } from "../../edits/places.ts";
import type { SyntaxNode } from "../../syntax/tree.ts";
import type { Mistake } from "./mistake.ts";

/** What stands behind a statement that leaves its block: nothing carries it out. */
function neverReached(context: EditContext): Array<{ left: SyntaxNode; statement: SyntaxNode }> {
  return blocksOf(context).flatMap(({ block, statements }) => {
    if (block.kind !== "block") return [];
    const at = statements.findIndex(({ kind }) => kind === "return" || kind === "leave");
    const [left, statement] = [statements[at], statements[at + 1]];
    if (at < 0 || !left || !statement || statement.kind === "function") return [];
    // A case of a choice begins behind the end of the one before it.
    if (
      context.code.some(
        ({ from, text }) => from >= left.to && from < statement.from && /^(?:case|default|:)$/.test(text),
      )
    )
      return [];
    return [{ left, statement }];
  });
}

/** A statement behind one that leaves the function or the loop: it is never carried out. */
export const behindTheEnd: Mistake = {
  id: "behind-the-end",
  weight: 97,
  find: (context) =>
    neverReached(context).map(({ left, statement }) => ({
      line: context.lineOf(statement.from),
      why: `This is never carried out: line ${context.lineOf(left.from)} leaves before it.`,
    })),
  examples: [
    { language: "python", text: "def board(cars, car):\n    return True\n    cars.append(car)\n", line: 3 },
    {
      language: "csharp",
      text: "class P {\n  bool Join(string car) {\n    return true;\n    cars.Add(car);\n  }\n}\n",
      line: 4,
    },
    { language: "c", text: "int f(int a) {\n  while (a > 0) {\n    break;\n    a--;\n  }\n  return a;\n}\n", line: 4 },
  ],
};
