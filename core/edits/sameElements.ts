import { nodesOf, type SyntaxNode } from "../syntax/tree.ts";
import type { EditContext } from "./edit.ts";
import { firstGivenBy } from "./exchanged.ts";
import { blocksOf } from "./places.ts";

/** A statement that gives the same element as the one above it, what both give it to, and the number of the element in it. */
export type SameElement = { statement: SyntaxNode; place: SyntaxNode; targets: readonly [SyntaxNode, SyntaxNode] };

/** Two lines right below each other that give two names the same element: one was copied and not changed. */
export function sameElements(context: EditContext): SameElement[] {
  return blocksOf(context).flatMap(({ statements }) =>
    statements.slice(1).flatMap((statement, at) => {
      const [above, below] = [statements[at], statement].map((each) => each && firstGivenBy(each));
      if (!above || !below || context.sourceOf(above.target) === context.sourceOf(below.target)) return [];
      const place = nodesOf(below.value)
        .filter(({ kind }) => kind === "index")
        .flatMap(({ children }) => children.filter(({ kind, role }) => kind === "number" && role === "argument"))[0];
      if (!place || context.sourceOf(above.value) !== context.sourceOf(below.value)) return [];
      return [{ statement, place, targets: [above.target, below.target] as const }];
    }),
  );
}
