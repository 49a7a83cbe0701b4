import { atomsOf } from "../fixes/atoms.ts";
import { applyHunks, findHunks, type Hunk } from "../fixes/hunks.ts";
import type { Language } from "../languages/language.ts";
import type { SyntaxNode } from "../syntax/tree.ts";

/** Line ends and blanks of a line aside, what stands in it; comments say nothing to the machine. */
function tokensOf(language: Language | undefined, lines: readonly string[]): string {
  const text = lines.join("");
  if (!language) return text.replace(/\s+/g, " ").trim();
  return language
    .tokens(text)
    .filter((token) => token.kind !== "comment")
    .map((token) => token.text)
    .join("\u0000");
}

/** How a program's pieces lie in one another, with their words, wherever they stand. */
function shapeOf(text: string, node: SyntaxNode): string {
  const own =
    node.children.length === 0 ? text.slice(node.from, node.to).replace(/\s+/g, " ").trim() : (node.sign ?? "");
  return `${node.kind}(${own}${node.children.map((child) => shapeOf(text, child)).join(",")})`;
}

const indentOf = (line: string) => /^[ \t]*/.exec(line)?.[0] ?? "";

/**
 * A changed program without what is only laid out otherwise: blanks, blank lines, comments, and lines put together or apart
 * are as they were in the program. What the machine reads is the same before and after.
 */
export function withoutLayout(language: Language | undefined, program: string, answer: string): string {
  const indentCounts = language === undefined || language.writing?.blocks.by === "indentation";
  const layout: Hunk[] = [];
  for (const hunk of findHunks(program, answer)) {
    const [before, after] = [tokensOf(language, hunk.before), tokensOf(language, hunk.after)];
    if (before === after && !indentCounts) {
      layout.push(hunk);
      continue;
    }
    for (const atom of atomsOf(hunk)) {
      const [line = "", own = ""] = [atom.before[0], atom.after[0]];
      const isSame = tokensOf(language, atom.before) === tokensOf(language, atom.after);
      const says = tokensOf(language, [line]) !== "" && tokensOf(language, [own]) !== "";
      if (isSame && (!says || !indentCounts || indentOf(line) === indentOf(own))) layout.push(atom);
    }
  }
  const whole = findHunks(program, answer).flatMap((hunk) =>
    layout.includes(hunk) ? [] : atomsOf(hunk).filter((atom) => !layout.some((each) => isSameAtom(each, atom))),
  );
  const plain = tryHunks(program, whole) ?? answer;
  return indentCounts && language?.syntax ? withoutIndentation(language, program, plain) : plain;
}

const isSameAtom = (one: Hunk, other: Hunk) =>
  one.start === other.start && one.before.join() === other.before.join() && one.after.join() === other.after.join();

function tryHunks(program: string, hunks: readonly Hunk[]): string | null {
  try {
    return applyHunks(program, hunks);
  } catch {
    return null;
  }
}

/** Lines that are only indented otherwise are as they were, if the program's pieces lie in one another all the same. */
function withoutIndentation(language: Language, program: string, answer: string): string {
  const { syntax } = language;
  if (!syntax) return answer;
  const atoms = findHunks(program, answer).flatMap(atomsOf);
  const isIndented = (atom: Hunk) =>
    atom.before.length === 1 && atom.after.length === 1 && atom.before[0]?.trim() === atom.after[0]?.trim();
  if (!atoms.some(isIndented)) return answer;
  const plain = tryHunks(
    program,
    atoms.filter((atom) => !isIndented(atom)),
  );
  if (plain === null) return answer;
  return shapeOf(plain, syntax(plain)) === shapeOf(answer, syntax(answer)) ? plain : answer;
}
