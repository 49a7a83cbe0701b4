import type { SyntaxNode } from "../syntax/tree.ts";
import type { EditContext } from "./edit.ts";
import { blocksOf, wholeLines } from "./places.ts";

/**
 * A statement that is indented as though it stood in another block: `inside` the one before it, or behind the end of its
 * own (null), where all others of its block stand alike.
 */
export type Misplaced = { statement: SyntaxNode; inside: SyntaxNode | null };

/** The contexts are shared and never changed, so what was found of one is kept as long as it is. */
const found = new WeakMap<EditContext, Misplaced[]>();

const widthOf = (indent: string) => indent.replaceAll("\t", "    ").length;

/** Statements whose indentation says another block than the signs around it do; none where blanks alone make the blocks. */
export function misplacedByIndent(context: EditContext): readonly Misplaced[] {
  const known = found.get(context);
  if (known) return known;
  const places = context.writing.blocks.by === "indentation" ? [] : blocksOf(context).flatMap(misplacedIn(context));
  found.set(context, places);
  return places;
}

function misplacedIn(context: EditContext) {
  const widthAt = (node: SyntaxNode): number | undefined => {
    const lines = wholeLines(context, node);
    return lines ? widthOf(lines.first.indent) : undefined;
  };
  return ({ block, statements, around }: ReturnType<typeof blocksOf>[number]): Misplaced[] => {
    const widths = statements.map(widthAt);
    const [first] = widths;
    // Where more than one run of statements stands apart, the whole is laid out by no rule.
    const apart = widths.flatMap((width, at) => (width !== undefined && width !== first ? [at] : []));
    const [from] = apart;
    if (first === undefined || from === undefined || apart.some((at, place) => at !== from + place)) return [];
    const width = widths[from] ?? 0;
    if (apart.some((at) => widths[at] !== width)) return [];
    const before = statements[from - 1];
    const inside = before?.children.findLast((child) => child.role === "body" && child.kind === "block");
    const last = inside?.children.at(-1);
    if (width > first && inside && last && widthAt(last) === width)
      return apart.map((at) => ({ statement: statements[at] ?? block, inside }));
    const owner = around.at(-1);
    const isLast = (apart.at(-1) ?? 0) === statements.length - 1;
    if (width < first && isLast && owner && block.role === "body" && widthAt(owner) === width)
      return apart.map((at) => ({ statement: statements[at] ?? block, inside: null }));
    return [];
  };
}
