import type { Language } from "./language.ts";
import { findLanguage } from "./languages.ts";
import { recognise } from "./recognise.ts";

/** A language that a case may be in, and whether its text speaks for it. */
export type Asked = { id: string; name: string; likely: boolean };

/** The languages of which a person says one, where that of a case has become several; none for any other. */
export function askedOf(language: Language, text: string): Asked[] {
  const wanted = (language.askedAs ?? []).flatMap((id) => findLanguage(id) ?? []);
  if (wanted.length === 0) return [];
  const likeliest = recognise(text).find((each) => language.askedAs?.includes(each.language.id))?.language.id;
  return wanted.map(({ id, name }) => ({ id, name, likely: id === likeliest }));
}
