import { findLanguage, languages } from "./languages.ts";

/** A language as a page names it: all else of it is large, and stays with the server where a page only says its name. */
export type NamedLanguage = { id: string; name: string };

/** Every language's name, in the order of the list. */
export const namedLanguages = (): NamedLanguage[] => languages.map(({ id, name }) => ({ id, name }));

/** The name of the language with the given id, as a page says it; the id itself where there is no such language. */
export const languageName = (id: string): string => findLanguage(id)?.name ?? id;
