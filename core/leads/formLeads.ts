import type { Language } from "../languages/language.ts";
import { areSimilar } from "../source/spelling.ts";
import { lineAt, lineStarts } from "../syntax/placed.ts";
import { walk } from "../syntax/tree.ts";
import { linesThatRan } from "../trace/neverRan.ts";
import type { Lead, LeadRule } from "./lead.ts";

/** A button was pressed and nobody answered: the routine that was meant to, by its name or by what it handles in its place. */
export const unheardButton: LeadRule = ({ outcome, codeLines }) => {
  const unheard = outcome?.forms?.unheard ?? [];
  const found: Lead[] = [];
  for (const name of unheard) {
    const low = name.toLowerCase();
    for (const [line, tokens] of codeLines) {
      const words = tokens.map(({ text }) => text.toLowerCase());
      const routine = words.indexOf("sub") >= 0 && words[0] !== "end" ? words[words.indexOf("sub") + 1] : undefined;
      if (routine === undefined) continue;
      const at = words.indexOf("handles");
      const isNamed = routine.startsWith(`${low}_`) || areSimilar(routine.replace(/_.*$/, ""), low);
      if (at < 0 && isNamed)
        found.push({
          line,
          why: `“${name}” was pressed and nothing happened: this routine is named after it, but says nowhere that it handles ${name}.Click.`,
          weight: 90,
        });
      else if (at >= 0 && isNamed && words[at + 1] !== low)
        found.push({
          line,
          why: `“${name}” was pressed and nothing happened: this routine is named after it, but handles “${tokens[at + 1]?.text ?? ""}”.`,
          weight: 90,
        });
    }
  }
  return found;
};

const decisions: ReadonlySet<string> = new Set(["if", "while", "for", "do", "switch"]);

/** Lines (from 1) of the decisions and loops that a line stands in. */
function decisionsAround(language: Language, program: string, line: number): number[] {
  if (!language.syntax) return [];
  const starts = lineStarts(program);
  const [from = 0, to = program.length] = [starts[line - 1], starts[line]];
  const found: number[] = [];
  walk(language.syntax(program), (node) => {
    if (decisions.has(node.kind) && node.from < from && node.to >= to) found.push(lineAt(starts, node.from));
  });
  return found;
}

/** What a form shows otherwise than intended: the lines that give it what it shows, and the decisions by which they were reached or left out. */
export const wrongForm: LeadRule = ({ verdict, outcome, trace, language, codeLines, text }) => {
  const { comparison } = verdict;
  if (verdict.class !== "logic" || !outcome?.forms || !comparison || comparison.same) return [];
  const [, name] = /^\s*form\s+([^\s=]+)/i.exec(comparison.intended ?? "") ?? [];
  if (!name) return [];
  const low = name.toLowerCase();
  const ran = linesThatRan(trace);
  const program = text.join("\n");
  const found: Lead[] = [];
  for (const [line, tokens] of codeLines) {
    const at = tokens.findIndex((token) => token.text.toLowerCase() === low);
    if (
      at < 0 ||
      tokens[at + 1]?.text !== "." ||
      !tokens.slice(at + 2).some((token) => token.text === "=" || token.text === "(")
    )
      continue;
    const idle = ran !== null && !ran.has(line);
    found.push({
      line,
      why: idle
        ? `“${name}” would be given something else here, but this line never ran.`
        : `What “${name}” shows is given to it here.`,
      weight: idle ? 60 : 70,
    });
    for (const header of decisionsAround(language, program, line)) {
      if (ran !== null && !ran.has(header)) continue;
      const did = idle ? `kept line ${line} from giving` : `let line ${line} give`;
      found.push({
        line: header,
        why: `This decision ${did} “${name}” what it would show.`,
        weight: idle ? 78 : 62,
      });
    }
  }
  return found;
};
