import { lineTexts } from "../source/lines.ts";
import type { Language } from "./language.ts";
import { languages } from "./languages.ts";

/** A language that a text looks like, with the signs that say so; `weight` is their sum. */
export type Recognised = { language: Language; weight: number; signs: string[] };

/** How much more the signs of another language must weigh before a text is said to be in it. */
const clearly = 4;

/** Lines, and characters of each, that are looked at: enough to know a language, and little enough for any text. */
const [mostLines, mostCharacters] = [300, 160];

/** The beginning of a text without its blank lines. */
function beginning(text: string): string {
  return lineTexts(text.slice(0, mostLines * mostCharacters * 4))
    .filter((line) => line.trim() !== "")
    .slice(0, mostLines)
    .map((line) => line.slice(0, mostCharacters))
    .join("\n");
}

/** The languages whose signs a text shows, the heaviest first; those without any are left out. */
export function recognise(text: string): Recognised[] {
  const looked = beginning(text);
  return languages
    .map((language) => {
      const shown = language.signs.filter((sign) => sign.pattern.test(looked));
      return {
        language,
        weight: shown.reduce((sum, sign) => sum + sign.weight, 0),
        signs: shown.map((sign) => sign.words),
      };
    })
    .filter((each) => each.weight > 0)
    .sort((one, other) => other.weight - one.weight);
}

/** The language that a file's ending belongs to, in either letter case; undefined if it is nobody's. */
export function languageOfName(fileName: string): Language | undefined {
  const name = fileName.toLowerCase();
  return languages.find((language) =>
    [language.extension, ...(language.otherExtensions ?? [])].some((ending) => name.endsWith(ending)),
  );
}

/** The name under which a file is kept: its own, but for an ending that is read and never written. */
export function keptName(fileName: string): string {
  const language = languageOfName(fileName);
  const ending = language?.onlyRead?.find((each) => fileName.toLowerCase().endsWith(each));
  return language && ending ? `${fileName.slice(0, -ending.length)}${language.extension}` : fileName;
}

/** The language of a program by its file's ending, else by its text; undefined if neither tells. */
export function languageOfProgram(fileName: string, text: string): Language | undefined {
  return languageOfName(fileName) ?? recognise(text)[0]?.language;
}

/**
 * The language that a text seems to be in instead of the one it is called, or null. It is said only where the signs are
 * clear.
 */
export function otherLanguage(named: Language, text: string): Recognised | null {
  const found = recognise(text);
  const best = found[0];
  if (!best || best.language.id === named.id) return null;
  const own = found.find((each) => each.language.id === named.id)?.weight ?? 0;
  return best.weight - own >= clearly ? best : null;
}

/** The words for a person about a program that is called by another language's name, or null. */
export function wrongLanguageWords(named: Language, text: string): string | null {
  const other = otherLanguage(named, text);
  return other
    ? `This looks like ${other.language.name}, not ${named.name}: it has ${other.signs.slice(0, 3).join(", ")}.`
    : null;
}
