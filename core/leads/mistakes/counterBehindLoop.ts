import type { EditContext } from "../../edits/edit.ts";
import { blocksOf, namesIn } from "../../edits/places.ts";
import type { SyntaxNode } from "../../syntax/tree.ts";
import type { Mistake } from "./mistake.ts";

/** A counter of a counted loop that is read behind its loop, where it has no value that a program may rely on. */
function countersRead(context: EditContext): Array<{ name: string; place: SyntaxNode }> {
  return blocksOf(context).flatMap(({ statements }) =>
    statements.flatMap((loop, at) => {
      const counter = loop.kind === "for" ? loop.children.flatMap(namesIn)[0] : undefined;
      if (!counter) return [];
      for (const { node, around } of context.nodes) {
        if (node.from < loop.to || node.kind !== "name" || node.sign?.toLowerCase() !== counter.toLowerCase()) continue;
        const next = statements.slice(at + 1).find((each) => node.from >= each.from && node.to <= each.to);
        if (!next) return [];
        const isGiven =
          node.role === "target" || node.role === "definition" || around.some(({ kind }) => kind === "for");
        // What is indented as if it were in the loop was meant to be there.
        const indentOf = (piece: SyntaxNode) => context.lines[context.lineOf(piece.from) - 1]?.indent.length ?? 0;
        return isGiven || indentOf(next) > indentOf(loop) ? [] : [{ name: counter, place: node }];
      }
      return [];
    }),
  );
}

/** What a loop counts by is read behind the loop, in a language in which it has no value there. */
export const counterBehindLoop: Mistake = {
  id: "counter-behind-loop",
  weight: 96,
  find: (context) =>
    context.writing.counterEnds
      ? countersRead(context).map(({ name, place }) => ({
          line: context.lineOf(place.from),
          names: [name],
          why: `“${name}” counts the loop above; behind it, it has no value that can be relied on.`,
        }))
      : [],
  examples: [
    {
      language: "pascal",
      text: "function Lowest: integer;\nvar\n  d, best: integer;\nbegin\n  best := 1;\n  for d := 2 to 3 do\n    if decks[d] < decks[best] then\n      best := d;\n  Lowest := d;\nend;\nbegin\nend.\n",
      line: 9,
    },
  ],
};
