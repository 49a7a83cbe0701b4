import { nodesOf, part, type SyntaxNode } from "../syntax/tree.ts";
import type { EditContext } from "./edit.ts";
import { firstGivenBy, givenBy } from "./exchanged.ts";
import { blocksOf, namesIn } from "./places.ts";

/** The last statement of a decision's only branch. */
function lastOf(decision: SyntaxNode): SyntaxNode | undefined {
  const body = part(decision, "body");
  if (decision.kind !== "if" || part(decision, "otherwise") || body?.kind !== "block") return undefined;
  return body.children.length > 1 ? body.children.at(-1) : undefined;
}

/** What a loop waits for, given right before the loop and again only where the decision at its end holds. */
export function stepsInBranches(
  context: EditContext,
): Array<{ name: string; decision: SyntaxNode; statement: SyntaxNode }> {
  return blocksOf(context).flatMap(({ statements }) =>
    statements.flatMap((loop, at) => {
      const [condition, body] = [part(loop, "condition"), part(loop, "body")];
      const before = statements[at - 1];
      const first = before && firstGivenBy(before);
      const decision = body?.children.at(-1);
      const last = decision && lastOf(decision);
      const again = last && givenBy(last);
      if (loop.kind !== "while" || !condition || !body || !first || !last || !again) return [];
      const name = first.target.sign ?? "";
      const isSame =
        context.sourceOf(first.value) === context.sourceOf(again.value) && again.target.sign === first.target.sign;
      const times = nodesOf(body).filter((each) => each.role === "target" && each.sign === name).length;
      if (!isSame || !namesIn(condition).includes(name) || times !== 1) return [];
      return [{ name, decision, statement: last }];
    }),
  );
}
