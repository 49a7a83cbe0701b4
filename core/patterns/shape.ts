import { editContext } from "../edits/context.ts";
import { ofKind } from "../edits/places.ts";
import { escaped } from "../source/escaped.ts";
import { areSimilar } from "../source/spelling.ts";
import { isLoop } from "../syntax/tree.ts";
import type { Change, Evidence } from "./pattern.ts";

/** How often a form stands in a text. */
export const count = (text: string, form: RegExp) => [...text.matchAll(new RegExp(form, "g"))].length;

/** Whether a line asks something: a decision, or the head of a loop with a condition. */
export const isCondition = (line: string) => /\b(?:if|elif|elseif|while|until|for)\b/i.test(line);

/** Whether a word or sign is one that other languages have in its place. */
export const isOther = (before: string) =>
  /^\s*(?:&&|\|\||!|\+\+|--|else\s*if|elsif|elseif|elif|then|do|end|null|true|false|function|string|and|or|not|println|print|endif)\s*$/.test(
    before,
  );

/** Whether the name that is meant is one that the program makes itself. */
export function isOwn({ lineAfter, lineBefore }: Change, { program, language }: Evidence): boolean {
  const made = editContext(language, program);
  const known = made && new Set([...made.names, ...made.functions]);
  const words = (text: string) => text.match(/[A-Za-z_]\w*/g) ?? [];
  const times = (text: string, word: string) => words(text).filter((each) => each === word).length;
  const meant = [...new Set(words(lineAfter))].filter((word) => times(lineAfter, word) > times(lineBefore, word));
  const written = [...new Set(words(lineBefore))].filter((word) => times(lineBefore, word) > times(lineAfter, word));
  // Where it is made it may be misspelt, too, and is one's own for all that.
  const madeHere = (name: string) =>
    new RegExp(String.raw`^\s*(?!return\b)(?:\w[\w<>[\]]*\s+\*?)?${escaped(name)}\s*(?:=(?!=)|:=|<-|\[|;|,|:)`).test(
      lineBefore,
    ) && program.split("\n").filter((line) => new RegExp(String.raw`\b${escaped(name)}\b`).test(line)).length === 1;
  const makes = (name: string) =>
    known?.has(name) ||
    // A word of the language in front of a call makes nothing.
    new RegExp(
      String.raw`\b${escaped(name)}\s*(?:[-+*/]?=(?!=)|:=|:|<-|←)|\b(?:def|function|procedure|for|var|FOR(?: EACH)?|INPUT|SET|FUNCTION|PROCEDURE)\s+${escaped(name)}\b|[\w>\]]\s+\*?(?<!\b(?:else|then|do|begin|repeat|return|and|or|not|of)\s+)${escaped(name)}\s*[=;,()[]`,
    ).test(program);
  return meant.some(makes) || written.some(madeHere);
}

/** Whether what changes is a part of an object, behind a dot. */
export function isMember({ lineBefore, before }: Change): boolean {
  const at = lineBefore.indexOf(before);
  return /\.\w*$/.test(lineBefore.slice(0, Math.max(0, at)));
}

/** Whether a line calls something that reads what is typed in. */
export const readsInput = (line: string) =>
  (line.match(/[A-Za-z_.]\w*(?=\s*\()/g) ?? []).some((name) => /input|read|next|scan/i.test(name));

/** Whether only the sign of equality of a limit comes or goes: `<` and `<=`. */
export function isLimitMoved(before: string, after: string): boolean {
  const plain = (text: string) => text.replace(/([<>])=/g, "$1");
  return before !== after && plain(before) === plain(after);
}

/** Whether a loop's head begins with a fixed value. */
export const isStart = (line: string) => /range\(\s*-?\d+\s*,|[:=]\s*-?\d+/.test(line);

/** A place that a test of the text found, with the reason in a sentence. */
type Place = { line: number | null; why: string };

/** The first line of a program on which a form stands, with why it is named; null where it stands on none. */
export function lineWith(lines: readonly string[], form: RegExp, why: string): Place | null {
  const at = lines.findIndex((line) => form.test(line));
  return at < 0 ? null : { line: at + 1, why };
}

/** The first of some lines (from 1) on which a form stands. */
export function firstLineWith(evidence: Evidence, lines: readonly number[], form: RegExp, why: string): Place | null {
  const line = lines.find((each) => form.test(evidence.lines[each - 1] ?? ""));
  return line === undefined ? null : { line, why };
}

/** The line that a message names and the one with code above it: where what is refused is looked for first. */
export function namedLines({ message, lines }: Evidence): number[] {
  const line = message?.line ?? null;
  if (line === null) return [];
  let above = line - 1;
  while (above > 0 && (lines[above - 1] ?? "").trim() === "") above -= 1;
  return above > 0 ? [line, above] : [line];
}

/** The lines that are looked at first, or all where none is. */
export const lookedAt = ({ suspected, lines }: Evidence, most = 3): number[] =>
  suspected.length > 0 ? suspected.slice(0, most) : lines.map((_, at) => at + 1);

/** A statement that a change puts elsewhere: how far it was indented before and after. Null where the change is of another form. */
export function movedStatement(changes: readonly Change[]): { text: string; before: number; after: number } | null {
  const out = changes.find((change) => change.before.trim() !== "" && change.after.trim() === "");
  const into = changes.find((change) => change.after.trim() !== "" && change.before.trim() === "");
  const [from, to] = [out?.before.trim() ?? "", into?.after.trim() ?? ""];
  if (!out || !into || from !== to) return null;
  const indent = (text: string) => (text.split("\n").find((line) => line.trim() !== "") ?? "").search(/\S/);
  return { text: from, before: indent(out.lineBefore), after: indent(into.lineAfter) };
}

/** Whether a line gives a variable a plain first value. */
export const isPlainStart = (text: string) =>
  /^(?:[A-Za-z_]\w*(?:\[\])?\s+)?[A-Za-z_]\w*\s*:?=\s*(?:-?[\d.]+|"[^"]*"|'[^']*'|\[\]|\{\}|[Ff]alse|[Tt]rue)\s*;?$/.test(
    text.trim(),
  );

/** Whether what changes in the header of a loop is its beginning ("first") or its end ("last"); null in another line. */
export function changedEnd({ lineBefore, lineAfter, before, after }: Change): "first" | "last" | null {
  if (!/^\s*for\b/i.test(lineBefore)) return null;
  let at = 0;
  while (at < lineBefore.length && lineBefore[at] === lineAfter[at]) at += 1;
  const [ahead, behind] = [lineBefore.slice(0, at), lineBefore.slice(at + before.length)];
  if (!/\d/.test(before + after) && !/[-+<>=]/.test(before + after)) return null;
  const counting = /\brange\s*\(/.exec(lineBefore);
  if (counting) return ahead.slice(counting.index).includes(",") || !behind.includes(",") ? "last" : "first";
  if (/;.*;/.test(lineBefore)) return ahead.includes(";") ? "last" : "first";
  if (/:=.*\b(?:to|downto)\b/i.test(lineBefore)) return /\b(?:to|downto)\b/i.test(ahead) ? "last" : "first";
  return /=[^:]*:/.test(ahead) ? "last" : "first";
}

/** Whether the two sides of one `+` change places and nothing else. */
export function isTurned({ lineBefore, lineAfter }: Change): boolean {
  const turned = /=\s*([\w.[\]()]+)\s*\+\s*([\w.[\]()]+?)\s*;?\s*$/;
  const [before, after] = [turned.exec(lineBefore), turned.exec(lineAfter)];
  return before !== null && after !== null && before[1] === after[2] && before[2] === after[1];
}

/** Whether a line beside a changed one is the same but for names and numbers: one was copied from the other. */
export function isCopied({ line, lineBefore }: Change, { lines }: Evidence): boolean {
  if (isCondition(lineBefore)) return false;
  const bare = (text: string) =>
    text
      .trim()
      .replace(/[A-Za-z_]\w*/g, "a")
      .replace(/\d+/g, "0")
      .replace(/(["']).*?\1/g, "t");
  const own = bare(lineBefore);
  // A short line is like many.
  return own.length > 7 && [line - 1, line + 1].some((at) => bare(lines[at - 1] ?? "") === own);
}

/** Names that loops of the program count or go with. */
export function loopNames({ lines }: Evidence): Set<string> {
  const names = lines.flatMap(
    (line) => /^\s*for(?:each)?\b\s*\(?\s*(?:[A-Za-z_]\w*\s+)?([A-Za-z_]\w*)/i.exec(line)?.[1] ?? [],
  );
  return new Set(names);
}

/** Whether a name is gathered in: something is added to it, multiplied with it, or it keeps the largest. */
export function isGathered(name: string, { lines }: Evidence): boolean {
  const form = new RegExp(
    String.raw`(?:^|[^\w.])${escaped(name)}\s*(?:[-+*/]=|:?=\s*(?:.*[^\w.])?${escaped(name)}\s*[-+*/]|:?=\s*.*[-+*/]\s*${escaped(name)}\b)|[<>]=?\s*${escaped(name)}\b`,
  );
  if (lines.some((line) => form.test(line))) return true;
  // Counted by a sign of one's own; what a loop goes by, or an element is picked by, is no count of something.
  const counted = new RegExp(String.raw`^\s*(?:\+\+|--)?${escaped(name)}(?:\+\+|--)?\s*;`);
  const goesBy = new RegExp(
    String.raw`^\s*(?:for|while|do|\}\s*while)\b.*\b${escaped(name)}\b|[[(,]\s*${escaped(name)}\s*[\],]`,
  );
  return lines.some((line) => counted.test(line)) && !lines.some((line) => goesBy.test(line));
}

/** Whether the only changes of a line are of a sign: `from` taken for `to`. */
export function isSignChanged({ lineBefore, lineAfter }: Change, from: RegExp, to: string): boolean {
  return lineBefore !== lineAfter && lineBefore.replace(from, to) === lineAfter;
}

/** Words of other languages where this one has none of them, and signs for words. */
export function foreignWord({ language }: Evidence, line: string): string | null {
  const code = line.replace(/(["']).*?\1/g, '""');
  const { and = "&&", chained = "else if" } = language.writing ?? {};
  const own = (word: string) =>
    language.keywords?.has(word) || language.decisionWords.has(word) || language.loopWords.has(word);
  if (and !== "&&" && /&&|\|\|/.test(code)) return /&&|\|\|/.exec(code)?.[0] ?? null;
  if (and === "&&" && /\w\s+(?:and|or)\s+\w/.test(code) && !own("and")) return /\b(?:and|or)\b/.exec(code)?.[0] ?? null;
  if (
    /\w(?:\+\+|--)/.test(code) &&
    language.writing?.step("a", "+") !== "a++" &&
    !/\+\+/.test(language.writing?.step("a", "+") ?? "") &&
    chained !== "else if"
  )
    return /\+\+|--/.exec(code)?.[0] ?? null;
  if (chained !== "else if" && /\belse\s+if\b/.test(code)) return "else if";
  const word = /\b(?:boolean|elif|elsif|elseif|then|endif|function|foreach)\b/.exec(code)?.[0] ?? null;
  return word !== null && !own(word) && !new RegExp(String.raw`\b${escaped(word)}\s*=|\.${escaped(word)}\b`).test(code)
    ? word
    : null;
}

/** Where a bracket is closed by one of another kind, outside of texts and comments; the line, from 1. */
export function mixedBracketLine({ language, program }: Evidence): number | null {
  const partner: Readonly<Record<string, string>> = { ")": "(", "]": "[", "}": "{" };
  const open: string[] = [];
  const signs = language
    .tokens(program)
    .filter(({ kind, text }) => kind !== "comment" && kind !== "text" && /^[()[\]{}]$/.test(text));
  // Where one is left out, those behind it meet others as well.
  if (signs.filter(({ text }) => "([{".includes(text)).length * 2 !== signs.length) return null;
  for (const token of signs) {
    if ("([{".includes(token.text)) open.push(token.text);
    const wanted = partner[token.text];
    if (wanted === undefined) continue;
    const last = open.at(-1);
    if (last !== undefined && last !== wanted) return token.line;
    open.pop();
  }
  return null;
}

/** Whether what was printed differs from what was to come out by letters of some words only. */
export function misspeltOutput({ outputs, program }: Evidence): Place | null {
  if (!outputs) return null;
  const words = (text: string) => text.trim().split(/\s+/);
  const [wanted, got] = [words(outputs.intended), words(outputs.printed)];
  if (wanted.length !== got.length || wanted.length > 400) return null;
  const differ = got.flatMap((word, at) => (word === wanted[at] ? [] : [{ word, meant: wanted[at] ?? "" }]));
  const letters = (text: string) => /^[^\d]*\p{L}[^\d]*$/u.test(text);
  const similar = differ.every(
    ({ word, meant }) => letters(word) && letters(meant) && areSimilar(word.toLowerCase(), meant.toLowerCase()),
  );
  const [first] = differ;
  if (!first || !similar || !program.includes(first.word.replace(/[.,:!?]$/, ""))) return null;
  return { line: null, why: `“${first.word}” comes out where “${first.meant}” is meant.` };
}

/** Names that a message quotes; the place that some compilers tell behind them ("location: class Main") is none. */
const quotedNames = (text: string) =>
  [
    ...text
      .replace(/\blocation:[\s\S]*/, "")
      .matchAll(/['"‘“`](\w+)['"’”`]|\b(?:variable|method|class|symbol|name)\s+(\w+)/g),
  ].map(([, one, other]) => one ?? other ?? "");

/** Whether a name that a message quotes looks like one that the program makes. */
export function hasSimilar({ message, program, language }: Evidence): boolean {
  const names = new Set(language.tokens(program).flatMap(({ kind, text }) => (kind === "name" ? [text] : [])));
  return quotedNames(message?.text ?? "").some((word) =>
    [...names].some((name) => name !== word && areSimilar(name, word)),
  );
}

/** True for a line that stands in a loop, in languages whose programs are taken apart; true in the others. */
export function isInLoop({ language, program }: Evidence, line: number): boolean {
  const context = editContext(language, program);
  if (!context) return true;
  return context.nodes.some(
    ({ node }) =>
      isLoop(node) && context.lineOf(node.from) <= line && line <= context.lineOf(Math.max(node.from, node.to - 1)),
  );
}

/**
 * Where the function begins (offset) in which a line stands, in languages whose functions keep what they give values to for
 * themselves; null outside of all, and in other languages.
 */
function functionAround({ language, program }: Evidence, line: number): number | null {
  if (language.writing?.variables !== "by assignment") return null;
  const context = editContext(language, program);
  if (!context) return null;
  const around = ofKind(context, "function").filter(
    ({ node }) => context.lineOf(node.from) < line && line <= context.lineOf(Math.max(node.from, node.to - 1)),
  );
  return around.at(-1)?.node.from ?? null;
}

/**
 * Whether a name that a message does not know is given a value, or made, where the named line could see it: it was read too
 * early, or needs its declaration. What another function keeps for itself does not count.
 */
export function isMade(evidence: Evidence): boolean {
  const { message, lines } = evidence;
  const owner = message?.line ? functionAround(evidence, message.line) : null;
  return quotedNames(message?.text ?? "").some((name) => {
    const form = new RegExp(
      String.raw`(?:^|[^\w.])${escaped(name)}\s*(?::?=(?!=)|[-+*/]=|\+\+|--)|\b(?:def|function|procedure|for|foreach)\s+${escaped(name)}\b`,
    );
    return lines.some((line, at) => {
      if (!form.test(line)) return false;
      const maker = functionAround(evidence, at + 1);
      return maker === null || maker === owner;
    });
  });
}
