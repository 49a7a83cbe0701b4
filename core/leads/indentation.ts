import type { Lead, LeadRule } from "./lead.ts";

/**
 * For a fault of indentation: the named line, the code line above it and the line that heads the block, each with its
 * depth.
 */
export const indentation: LeadRule = ({ language, verdict, codeLines, text }) => {
  const named = verdict.diagnostic?.errorName;
  if (verdict.reportedLine === null || !language.indentationErrors?.has(named ?? "")) return [];
  const depth = (line: number) => /^[ \t]*/.exec(text[line - 1] ?? "")?.[0].replaceAll("\t", "        ").length ?? 0;
  const reported = verdict.reportedLine;
  const above = [...codeLines.keys()].filter((line) => line < reported).sort((one, other) => other - one);
  const previous = above[0];
  const header =
    above.find((line) => depth(line) < depth(reported)) ??
    above.find((line) => codeLines.get(line)?.at(-1)?.text === ":");
  const blanks = (line: number) => `${depth(line)} ${depth(line) === 1 ? "blank" : "blanks"}`;
  const leads: Lead[] = [];
  if (previous !== undefined)
    leads.push({
      line: previous,
      why: `It stands ${blanks(previous)} in, the named line ${blanks(reported)}: this one may be the one that is moved.`,
      weight: 82,
    });
  if (header !== undefined && header !== previous)
    leads.push({
      line: header,
      why: `It heads the block, ${blanks(header)} in: its body must stand further in.`,
      weight: 66,
    });
  return leads;
};
