import type { Diagnostic } from "../outcome/outcome.ts";

/** A message's pattern and its plain meaning; `$1` and so on stand for what the pattern caught. */
export type Meaning = readonly [pattern: RegExp, words: string];

/** Makes a table of meanings into a look-up by error name and message; the first that fits counts. Returns null for what is not known. */
export function createMeanings(table: readonly Meaning[]): (diagnostic: Diagnostic) => string | null {
  return (diagnostic) => {
    const text = `${diagnostic.errorName ?? ""}: ${diagnostic.message}`;
    for (const [pattern, words] of table) {
      const match = pattern.exec(text);
      if (match) return words.replace(/\$(\d)/g, (_, number: string) => match[Number(number)] ?? "");
    }
    return null;
  };
}
