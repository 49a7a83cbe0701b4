import * as z from "zod";
import { findHunks } from "../fixes/hunks.ts";
import { findLanguage } from "../languages/languages.ts";
import { changesOf } from "./changes.ts";
import type { Change, Pattern } from "./pattern.ts";

/** A kind of mistake of a teacher's own, as a file or the data hold it: its words, and an example that it is recognised by. */
export const ownPatternSchema = z.object({
  id: z
    .string()
    .regex(/^own\/[\w-]{1,80}$/, "an id of your own looks like own/NAME")
    .optional(),
  name: z.string().min(1).max(120),
  says: z.string().max(5000).default(""),
  mends: z.string().max(5000).default(""),
  example: z
    .object({ language: z.string(), right: z.string(), faulty: z.string(), input: z.string().default("") })
    .nullish(),
});
export type OwnPatternGiven = z.infer<typeof ownPatternSchema>;

/** A file of them: `{ "patterns": [...] }`. */
export const ownPatternsFileSchema = z.object({ patterns: z.array(ownPatternSchema).max(500) });

/** A text without what one program calls things: names and numbers alike. Words that stand on both sides of a change are kept apart by number. */
function bare(before: string, after: string, language: string): string {
  const keywords = findLanguage(language)?.keywords;
  const names = new Map<string, string>();
  const plain = (text: string) =>
    text.replace(/[A-Za-z_]\w*/g, (word) => {
      if (keywords?.has(word)) return word;
      const known = names.get(word) ?? `a${names.size}`;
      names.set(word, known);
      return known;
    });
  return `${plain(before).replace(/\s+/g, " ").trim()} => ${plain(after).replace(/\s+/g, " ").trim()}`;
}

/** What a change does to its line, in whatever program. */
const formOf = ({ lineBefore, lineAfter }: Pick<Change, "lineBefore" | "lineAfter">, language: string) =>
  bare(lineBefore.trim(), lineAfter.trim(), language);
const partOf = ({ before, after }: Change, language: string) => bare(before, after, language);

/**
 * A kind of mistake of a teacher's own as one that can be suggested: where the change that mends a program is that of its example, in the whole line
 * but for names, or in what differs.
 */
export function patternOfOwn({ id, name, says, mends, example }: OwnPatternGiven, at = 0): Pattern {
  const changes = example
    ? changesOf({ hunks: findHunks(example.faulty, example.right), families: [""], lines: [1] })
    : [];
  const [own] = changes;
  return {
    ...{ id: id ?? `own/${at + 1}`, name, says, mends, cause: "", avoid: "", fault: true, examples: [] },
    grounds:
      !own || !example
        ? []
        : [
            ({ changes: found, language }) => {
              const [change] = found;
              if (!change || language.id !== example.language) return null;
              const whole = formOf(change, language.id) === formOf(own, language.id);
              // A part that is a sign or a word says something; one that is a name alone is like many.
              const part = own.before + own.after;
              const same = whole || (/[^\w\s]/.test(part) && partOf(change, language.id) === partOf(own, language.id));
              return same
                ? {
                    why: `What mends it is what mends your own example (line ${change.line}).`,
                    strength: whole ? 60 : 31,
                  }
                : null;
            },
          ],
  };
}
