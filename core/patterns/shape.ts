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
export function isOwn({ lineAfter, lineBefore }: Change, { program }: Evidence): boolean {
  const words = (text: string) => new Set(text.match(/[A-Za-z_]\w*/g) ?? []);
  const before = words(lineBefore);
  const meant = [...words(lineAfter)].filter((word) => !before.has(word));
  const makes = (name: string) =>
    new RegExp(
      String.raw`\b${name}\s*(?:[-+*/]?=(?!=)|:=|:)|\b(?:def|function|procedure|for|var)\s+${name}\b|[\w>\]]\s+\*?${name}\s*[=;,()[]`,
    ).test(program);
  return meant.some(makes);
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
