import type { OwnWarning, OwnWarningRule } from "../languages/language.ts";
import { tokensByLine } from "../languages/lexical.ts";

/** Statements of the matrix language that give a value to a name and show it, since no semicolon ends them. */
export const unsuppressedOutput: OwnWarningRule = ({ language, code }) => {
  const found: OwnWarning[] = [];
  let depth = 0;
  for (const [line, tokens] of tokensByLine(code)) {
    const inside = depth > 0;
    for (const token of tokens)
      if (token.kind === "bracket") depth = Math.max(0, depth + ("([{".includes(token.text) ? 1 : -1));
    const last = tokens.at(-1)?.text ?? "";
    const names = tokens[0]?.kind === "keyword" ? [] : language.assignedNames(tokens);
    if (inside || depth > 0 || names.length === 0 || [";", ",", "...", "\\"].includes(last)) continue;
    found.push({
      ...{ line, kind: "unsuppressed output", style: true },
      says: `No semicolon ends this line, so what “${names[0]}” gets is shown.`,
      usually: "It is left from trying out; a semicolon at the end keeps it quiet.",
    });
  }
  return found;
};
