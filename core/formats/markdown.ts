/** Signs that Markdown would take for its own, as themselves. */
export const plain = (text: string) => text.replace(/([\\`*_[\]<>#|])/g, "\\$1");

/** A text between marks that do not stand in it. */
export function fenced(text: string, language = ""): string[] {
  const longest = Math.max(2, ...[...text.matchAll(/`{3,}/g)].map(([marks]) => marks.length));
  const fence = "`".repeat(longest + 1);
  return [`${fence}${language}`, text.replace(/\n$/, ""), fence, ""];
}

/** A text with the numbers of its lines, from `first` on. */
export const numbered = (text: string, first: number) =>
  text
    .replace(/\r?\n$/, "")
    .split(/\r\n|\n|\r/)
    .map((line, at) => `${String(first + at).padStart(3)}  ${line}`)
    .join("\n");
