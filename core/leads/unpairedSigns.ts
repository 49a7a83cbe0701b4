import { editContext } from "../edits/context.ts";
import { headersWithoutBrace } from "../edits/headers.ts";
import type { Token } from "../languages/token.ts";
import { type Lead, type LeadContext, type LeadRule, ruleDoesNotHold } from "./lead.ts";

const partners: Record<string, string> = { ")": "(", "]": "[", "}": "{" };

function indentation(text: readonly string[], line: number): number {
  const content = text[line - 1] ?? "";
  return content.length - content.trimStart().length;
}

/** Blocks that seem to be closed by another one's brace; of more the text is laid out in no order that could be read. */
const mostShifted = 4;

/** What ends a line that goes on in the next one. */
const goesOn = new Set([",", "(", "[", "{", "+", "-", "*", "/", "=", "&&", "||", "and", "or"]);

/**
 * The last line that still continues the one in which a bracket is opened: every line before it ends in a sign after
 * which something must follow, and none begins a statement.
 */
function lastContinuing({ codeLines, language, text }: LeadContext, opened: number): number {
  let last = opened;
  for (const line of [...codeLines.keys()].filter((each) => each > opened).sort((one, other) => one - other)) {
    if (!goesOn.has(codeLines.get(last)?.at(-1)?.text ?? "")) break;
    const code = codeLines.get(line) ?? [];
    const [first, second] = code;
    const calls =
      first?.kind === "name" && second?.text === "(" && indentation(text, line) <= indentation(text, opened);
    if (first?.kind === "keyword" || calls || language.assignedNames(code).length > 0) break;
    last = line;
  }
  return last;
}

/** Brackets without a partner and quotes that are not closed; signs inside texts and comments do not count. */
export const unpairedSigns: LeadRule = (context) => {
  const { verdict, tokens, text } = context;
  if (verdict.class !== "syntax") return [];
  const leads: Lead[] = [];
  const open: Token[] = [];
  const closedFurtherOut: Lead[] = [];
  let isEndTooMany = false;
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
        closedFurtherOut.push({
          line: opened.line,
          why: `The block opened here is closed at line ${token.line} by a brace that stands further out: a brace of its own may be missing.`,
          weight: 91,
        });
    } else {
      isEndTooMany ||= token.text === "}";
      leads.push({ line: token.line, why: `The bracket “${token.text}” here has no partner.`, weight: 90 });
      if (open.length > 0) open.pop();
    }
  }
  // A header whose block has an end and no beginning: the brace without a partner is that end.
  if (isEndTooMany) {
    const edits = editContext(context.language, context.program);
    for (const head of edits ? headersWithoutBrace(edits) : [])
      leads.push({
        line: head.number,
        why: "What this line heads has a brace at its end, and none at its beginning.",
        weight: 110,
      });
  }
  // Where one is missing in a text that is laid out well, the first block that another one's brace closes is the one without its own.
  const [first] = closedFurtherOut;
  const onlyBraces = leads.length === 0 && open.length > 0 && open.every((token) => token.text === "{");
  if (first && onlyBraces && closedFurtherOut.length <= mostShifted) first.weight = 108;
  leads.push(...closedFurtherOut);
  for (const token of open) {
    leads.push({ line: token.line, why: `The bracket “${token.text}” opened here is not closed.`, weight: 92 });
    const last = lastContinuing(context, token.line);
    if (last !== token.line)
      leads.push({
        line: last,
        why: `The partner of “${token.text}” from line ${token.line} may belong here, at the end of what goes on from there.${verdict.reportedLine !== null && last > verdict.reportedLine ? ` ${ruleDoesNotHold}` : ""}`,
        weight: 88,
      });
  }
  return leads;
};
