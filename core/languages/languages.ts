import type { Language } from "./language.ts";
import { python } from "./python/python.ts";

/** Every language that Bent Nail knows; a new one is one folder and one line here. */
export const languages: readonly Language[] = [python];

/** The language with the given id, or undefined. */
export function findLanguage(id: string): Language | undefined {
  return languages.find((language) => language.id === id);
}
