import type { Language } from "../languages/language.ts";
import { lineAt, lineStarts } from "../syntax/placed.ts";
import { walk } from "../syntax/tree.ts";
import { isChange, type TraceTable } from "./table.ts";

/** Lines of a text that begin a function, a class or an import (from 1). */
function definingLines(language: Language, text: string): ReadonlySet<number> {
  const found = new Set<number>();
  if (!language.syntax) return found;
  const starts = lineStarts(text);
  walk(language.syntax(text), (node) => {
    if (node.kind === "function" || node.kind === "class" || node.kind === "import")
      found.add(lineAt(starts, node.from));
  });
  return found;
}

/** A table without the rows that only define: `def`, `class` and imports where they run and nothing else is to be seen of them. */
export function withoutDefining(language: Language, text: string, table: TraceTable): TraceTable {
  const lines = definingLines(language, text);
  return {
    ...table,
    rows: table.rows.filter(
      (row) => row.file !== 0 || !lines.has(row.line) || row.call !== undefined || row.depth > 0 || isChange(row),
    ),
  };
}
