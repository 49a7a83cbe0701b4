import type { SyntaxNode } from "../syntax/tree.ts";
import { type EditContext, insert, type Proposal } from "./edit.ts";
import { lineEndOf, wholeLines } from "./places.ts";

/**
 * A statement put on a line of its own before or behind another one, ended or parted from it as the language has it.
 * `text` has no blanks before it; none is proposed where the other statement shares its lines.
 */
export function beside(
  context: EditContext,
  statement: SyntaxNode,
  text: string,
  where: "before" | "behind",
  odds: number,
): Proposal[] {
  const whole = wholeLines(context, statement);
  if (!whole) return [];
  const { statementEnd, blocks } = context.writing;
  const mark = statementEnd === ";" ? ";" : "";
  const lineEnd = lineEndOf(context);
  const written = `${whole.first.indent}${text}${text.endsWith(mark) ? "" : mark}`;
  const about = statement.from;
  if (where === "before") return [{ ...insert(whole.from, `${written}${lineEnd}`, { text }, odds), about }];
  const lines = context.text.slice(whole.from, whole.to);
  // Where the sign stands between statements, the last one of a block may have none.
  if (blocks.by === "two words" && mark && !lines.trimEnd().endsWith(mark))
    return [{ ...insert(statement.to, `${mark}${lineEnd}${written}`, { text }, odds), about }];
  const parted = /[\r\n]$/.test(lines) ? "" : lineEnd;
  return [{ ...insert(whole.to, `${parted}${written}${lineEnd}`, { text }, odds), about }];
}
