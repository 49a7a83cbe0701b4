import { cpp } from "@codemirror/lang-cpp";
import { java } from "@codemirror/lang-java";
import { python } from "@codemirror/lang-python";
import { StreamLanguage } from "@codemirror/language";
import { csharp } from "@codemirror/legacy-modes/mode/clike";
import { octave } from "@codemirror/legacy-modes/mode/octave";
import { pascal } from "@codemirror/legacy-modes/mode/pascal";
import type { Extension } from "@codemirror/state";
import { findLanguage } from "../../core/languages/languages.ts";

/** The editor's modes by name; a language names its own. */
const modes: Readonly<Record<string, () => Extension>> = {
  python,
  java,
  cpp,
  csharp: () => StreamLanguage.define(csharp),
  octave: () => StreamLanguage.define(octave),
  pascal: () => StreamLanguage.define(pascal),
};

/** The editor's part for a language, by its id; none for one that names no mode. */
export function editorMode(language: string): Extension[] {
  const make = modes[findLanguage(language)?.editorMode ?? ""];
  return make ? [make()] : [];
}
