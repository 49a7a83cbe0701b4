import { isStatement, type SyntaxNode } from "../syntax/tree.ts";
import type { EditContext } from "./edit.ts";
import { indentUnit, lineEndOf, reindent, wholeLines } from "./places.ts";

/**
 * The statement around a place, done only where a condition holds, as a change of its whole lines (UTF-16 offsets). `around`: what
 * is around the place, the nearest last. Null where that is more than one small change: a header asks already, where a name is
 * made known what follows needs it, and a statement may share its lines.
 */
export function guarded(
  context: EditContext,
  around: readonly SyntaxNode[],
  condition: string,
): { from: number; to: number; text: string } | null {
  const statement = around.findLast((each) => isStatement(each));
  if (!statement || (statement.kind !== "statement" && statement.kind !== "return")) return null;
  const lines = wholeLines(context, statement);
  if (!lines) return null;
  const { indent } = lines.first;
  const body = reindent(context.text.slice(lines.from, lines.to), indent, indent + indentUnit(context));
  return {
    ...{ from: lines.from, to: lines.to },
    text: context.writing.guarded(condition, body, indent, lineEndOf(context)),
  };
}
