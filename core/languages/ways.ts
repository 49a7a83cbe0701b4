import type { Language } from "./language.ts";

/** What stands between a language's id and a way of it. */
const apart = ":";

/** The key of a language in a way: its id, and the way where there is one. */
export const languageKey = (id: string, way: string): string => (way === "" ? id : `${id}${apart}${way}`);

/** The id and the way of a key. */
export function ofLanguageKey(key: string): { id: string; way: string } {
  const at = key.indexOf(apart);
  return at < 0 ? { id: key, way: "" } : { id: key.slice(0, at), way: key.slice(at + 1) };
}

/** A language in one of its ways; the language itself where it has none, or none is named. */
export function inWay(language: Language, way: string): Language {
  const { ways } = language;
  return !ways || way === "" ? language : { ...language, ...ways.changes(way), way };
}

/** What a way changes in how programs are read and run, in words; "" where nothing. */
export const rulesOfWay = ({ ways, way }: Language): string => (ways && way ? ways.rules(way) : "");
