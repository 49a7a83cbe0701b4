import { diffArrays } from "diff";
import { atomsOf } from "../fixes/atoms.ts";
import { findHunks, type Hunk, hunksIfTheyFit } from "../fixes/hunks.ts";
import type { Language } from "../languages/language.ts";
import { splitLines } from "../source/lines.ts";
import type { SyntaxNode } from "../syntax/tree.ts";
import { relaid } from "./relaid.ts";

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
  // Where a sign ends a statement, lines may be put together and apart.
  if (!indentCounts && (language.writing?.blocks.by === "braces" || language.writing?.blocks.by === "two words"))
    return fewestChanges(program, [relaidHunks(language, program, answer), relaid(language, program, answer)]);
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
  const plain = hunksIfTheyFit(program, whole) ?? answer;
  return indentCounts && language?.syntax ? withoutIndentation(language, program, plain) : plain;
}

/** Of some texts the one with the fewest lines that differ from a program's. */
function fewestChanges(program: string, texts: readonly string[]): string {
  const changed = (text: string) =>
    findHunks(program, text).reduce((sum, hunk) => sum + Math.max(hunk.before.length, hunk.after.length), 0);
  return [...texts].sort((one, other) => changed(one) - changed(other))[0] ?? program;
}

/** Every changed place laid out as the program is there. */
function relaidHunks(language: Language, program: string, given: string): string {
  const answer = withIndentationOf(program, given);
  const hunks = findHunks(program, answer).map((hunk) => {
    if (hunk.before.length === 0) return hunk;
    const text = relaid(language, hunk.before.join(""), hunk.after.join(""));
    return { ...hunk, after: splitLines(text).map((line) => line.text + line.end) };
  });
  return hunksIfTheyFit(program, hunks) ?? answer;
}

/** Lines that are those of the program but for the blanks around them, as they are there. */
function withIndentationOf(program: string, answer: string): string {
  const [before, after] = [splitLines(program), splitLines(answer)];
  let [text, one, other] = ["", 0, 0];
  for (const part of diffArrays(
    before.map((line) => line.text.trim()),
    after.map((line) => line.text.trim()),
  )) {
    const from = part.added ? after : before;
    const at = part.added ? other : one;
    if (!part.removed) for (const line of from.slice(at, at + part.value.length)) text += line.text + line.end;
    if (!part.added) one += part.value.length;
    if (!part.removed) other += part.value.length;
  }
  return text;
}

const isSameAtom = (one: Hunk, other: Hunk) =>
  one.start === other.start && one.before.join() === other.before.join() && one.after.join() === other.after.join();

/** Lines that are only indented otherwise are as they were, if the program's pieces lie in one another all the same. */
function withoutIndentation(language: Language, program: string, answer: string): string {
  const { syntax } = language;
  if (!syntax) return answer;
  const atoms = findHunks(program, answer).flatMap(atomsOf);
  const isIndented = (atom: Hunk) =>
    atom.before.length === 1 && atom.after.length === 1 && atom.before[0]?.trim() === atom.after[0]?.trim();
  if (!atoms.some(isIndented)) return answer;
  const plain = hunksIfTheyFit(
    program,
    atoms.filter((atom) => !isIndented(atom)),
  );
  if (plain === null) return answer;
  return shapeOf(plain, syntax(plain)) === shapeOf(answer, syntax(answer)) ? plain : answer;
}
