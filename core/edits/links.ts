import { part, type SyntaxNode } from "../syntax/tree.ts";
import type { EditContext } from "./edit.ts";
import { givenBy } from "./exchanged.ts";
import { blocksOf } from "./places.ts";

/** Two neighbours of which the second lets a part of an object be the object itself; `part` and `object` as they are written. */
export type OwnLink = { first: SyntaxNode; second: SyntaxNode; part: string; object: string; held: string };

/** `first = made` and then `made.next = first`: what was first is lost, and what was made points to itself. */
export function ownLinks(context: EditContext): OwnLink[] {
  return blocksOf(context).flatMap(({ statements }) =>
    statements.slice(1).flatMap((second, at) => {
      const first = statements[at];
      const [one, two] = [first && givenBy(first), givenBy(second)];
      if (!first || !one || !two || two.target.kind !== "field" || one.value.kind !== "name") return [];
      const owner = part(two.target, "object");
      const [held, object] = [context.sourceOf(one.target), context.sourceOf(one.value)];
      if (!owner || context.sourceOf(owner) !== object || context.sourceOf(two.value) !== held) return [];
      return [{ first, second, part: context.sourceOf(two.target), object, held }];
    }),
  );
}
