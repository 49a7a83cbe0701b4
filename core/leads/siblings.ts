import type { Lead, LeadRule } from "./lead.ts";

/** Lines that begin alike, at least as many as this and this share of all that do, make a custom. */
const custom = 2;
const share = 2 / 3;

/**
 * For grammar: a line that begins like others but ends otherwise. All other lines with the same first word end in the
 * same sign; this one does not.
 */
export const siblings: LeadRule = ({ verdict, codeLines, text }) => {
  if (verdict.class !== "syntax" || verdict.kind === "meaning") return [];
  const groups = new Map<string, number[]>();
  for (const [line, tokens] of codeLines) {
    const first = tokens[0];
    if (!first || (first.kind !== "keyword" && first.kind !== "name")) continue;
    groups.set(first.text, [...(groups.get(first.text) ?? []), line]);
  }
  const leads: Lead[] = [];
  for (const [word, lines] of groups) {
    if (lines.length < custom + 1) continue;
    const ending = (line: number) => codeLines.get(line)?.at(-1)?.text ?? "";
    const counts = new Map<string, number[]>();
    for (const line of lines) counts.set(ending(line), [...(counts.get(ending(line)) ?? []), line]);
    const [usual, same] = [...counts].sort((one, other) => other[1].length - one[1].length)[0] ?? ["", []];
    if (!/^[^\p{L}\p{N}_"']$/u.test(usual) || same.length < custom || same.length < lines.length * share) continue;
    for (const line of lines.filter((each) => ending(each) !== usual && (text[each - 1] ?? "").trim() !== ""))
      leads.push({
        line,
        why: `Other lines that begin with “${word}” end in “${usual}” (${same
          .slice(0, 3)
          .map((each, at) => `line ${each}${at === 0 ? `: “${(text[each - 1] ?? "").trim()}”` : ""}`)
          .join(", ")}); this one does not.`,
        weight: 74,
      });
  }
  return leads.slice(0, 4);
};
