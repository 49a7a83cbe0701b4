import type { EditContext, EditLine } from "./edit.ts";

/** What a line ends with that heads a block: a condition, a list of parameters, "else", "do", "try". */
const headEnds = new Set([")", "else", "do", "try", "finally"]);

/**
 * Headers that lack the opening brace of their block, by how the lines are laid out: what follows stands further in, and
 * the brace that ends it stands where the header does. For languages with braces; none else.
 */
export function headersWithoutBrace(context: EditContext): EditLine[] {
  if (context.writing.blocks.by !== "braces") return [];
  const lines = context.lines.filter((line) => line.code.length > 0);
  return lines.filter((head, at) => {
    const [last, next] = [head.code.at(-1)?.text ?? "", lines[at + 1]];
    if (!headEnds.has(last) || !next || next.indent.length <= head.indent.length) return false;
    const back = lines.slice(at + 1).find((line) => line.indent.length <= head.indent.length);
    return back?.code[0]?.text === "}" && back.indent === head.indent;
  });
}
