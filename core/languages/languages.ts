import { unlessDeep } from "../syntax/shallow.ts";
import { formerBasic } from "./basic/basic.ts";
import { basicForms } from "./basicForms/basicForms.ts";
import { basicMacro } from "./basicMacro/basicMacro.ts";
import { c } from "./c/c.ts";
import { csharp } from "./csharp/csharp.ts";
import { java } from "./java/java.ts";
import type { Language } from "./language.ts";
import { octave } from "./octave/octave.ts";
import { pascal } from "./pascal/pascal.ts";
import { pseudocode } from "./pseudocode/pseudocode.ts";
import { python } from "./python/python.ts";
import { remembered } from "./remembered.ts";
import { sketch } from "./sketch/sketch.ts";
import { steps } from "./steps/steps.ts";
import { inWay, ofLanguageKey } from "./ways.ts";

/** Every language that Bent Nail knows; a new one is one folder and one line here. */
const all: readonly Language[] = [
  ...[python, java, c, csharp, pascal, octave],
  ...[basicMacro, basicForms, sketch, pseudocode, steps],
];

/** A language whose readings of the last few texts are kept. */
function withMemory(language: Language): Language {
  const tokens = remembered(language.tokens);
  const { syntax } = language;
  return { ...language, tokens, ...(syntax ? { syntax: remembered(unlessDeep(syntax, tokens)) } : {}) };
}

/** The same, whose readings are kept. */
export const languages: readonly Language[] = all.map(withMemory);

/** What older cases are in and no new one can be: each says which languages it has become. */
const former: readonly Language[] = [formerBasic].map(withMemory);

/** The language with the given id, or undefined; in a way of it where the key names one. */
export function findLanguage(key: string): Language | undefined {
  const { id, way } = ofLanguageKey(key);
  const language = [...languages, ...former].find((each) => each.id === id);
  return language && inWay(language, way);
}
