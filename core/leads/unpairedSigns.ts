import type { Token } from "../languages/language.ts";
import type { Lead, LeadRule } from "./lead.ts";

const partners: Record<string, string> = { ")": "(", "]": "[", "}": "{" };

function indentation(text: readonly string[], line: number): number {
  const content = text[line - 1] ?? "";
  return content.length - content.trimStart().length;
}

/** Brackets without a partner and quotes that are not closed; signs inside texts and comments do not count. */
export const unpairedSigns: LeadRule = ({ verdict, tokens, codeLines, text }) => {
  if (verdict.class !== "syntax") return [];
  const leads: Lead[] = [];
  const open: Token[] = [];
  for (const token of tokens) {
    if (token.kind === "text" && token.open)
      leads.push({ line: token.line, why: "A quote is opened here and not closed.", weight: 95 });
    if (token.kind !== "bracket") continue;
    const partner = partners[token.text];
    if (partner === undefined) open.push(token);
    else if (open.at(-1)?.text === partner) {
      const opened = open.pop();
      if (
        opened &&
        token.text === "}" &&
        opened.line < token.line &&
        indentation(text, opened.line) > indentation(text, token.line)
      )
        leads.push({
          line: opened.line,
          why: `The block opened here is closed at line ${token.line} by a brace that stands further out: a brace of its own may be missing.`,
          weight: 91,
        });
    } else {
      leads.push({ line: token.line, why: `The bracket “${token.text}” here has no partner.`, weight: 90 });
      if (open.length > 0) open.pop();
    }
  }
  for (const token of open) {
    leads.push({ line: token.line, why: `The bracket “${token.text}” opened here is not closed.`, weight: 92 });
    // The partner may belong at the end of the last line that still continues the opened one.
    const last = [...codeLines.keys()].filter((line) => line > token.line).sort((one, other) => one - other)[0];
    if (last !== undefined && codeLines.get(token.line)?.at(-1)?.text === ",")
      leads.push({
        line: last,
        why: `The partner of “${token.text}” from line ${token.line} may belong here.`,
        weight: 50,
      });
  }
  return leads;
};
