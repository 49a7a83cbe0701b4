import { cpp } from "@codemirror/lang-cpp";
import { java } from "@codemirror/lang-java";
import { python } from "@codemirror/lang-python";
import { StreamLanguage } from "@codemirror/language";
import { csharp } from "@codemirror/legacy-modes/mode/clike";
import { octave } from "@codemirror/legacy-modes/mode/octave";
import { pascal } from "@codemirror/legacy-modes/mode/pascal";
import type { Extension } from "@codemirror/state";

/** How the editor tells words apart, by a language's id; a new one is one line here. */
const byLanguage: Readonly<Record<string, () => Extension>> = {
  python,
  java,
  c: cpp,
  csharp: () => StreamLanguage.define(csharp),
  pascal: () => StreamLanguage.define(pascal),
  octave: () => StreamLanguage.define(octave),
};

/** The editor's part for a language; none for one that it does not know. */
export function editorLanguage(language: string): Extension[] {
  const make = byLanguage[language];
  return make ? [make()] : [];
}
