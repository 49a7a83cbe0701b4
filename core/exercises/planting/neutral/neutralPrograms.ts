import { basicFormsNeutral } from "./basicForms.ts";
import { basicMacroNeutral } from "./basicMacro.ts";
import { cNeutral } from "./c.ts";
import { csharpNeutral } from "./csharp.ts";
import { javaNeutral } from "./java.ts";
import type { Neutral } from "./neutral.ts";
import { octaveNeutral } from "./octave.ts";
import { pascalNeutral } from "./pascal.ts";
import { pseudocodeNeutral } from "./pseudocode.ts";
import { pythonNeutral } from "./python.ts";
import { sketchNeutral } from "./sketch.ts";

/** The right programs that are shipped, by language; a new language is one file and one line here. */
const neutralPrograms: Readonly<Record<string, readonly Neutral[]>> = {
  ...{ python: pythonNeutral, java: javaNeutral, c: cNeutral },
  ...{
    csharp: csharpNeutral,
    pascal: pascalNeutral,
    octave: octaveNeutral,
    pseudocode: pseudocodeNeutral,
    sketch: sketchNeutral,
  },
  ...{ "basic-macro": basicMacroNeutral, "basic-forms": basicFormsNeutral },
};

/** What is typed in to check a program, by its title: normal values, and those at and beside each limit. */
const inputsByTitle: Readonly<Record<string, readonly string[]>> = {
  "Bill of a crossing": ["4 3", "0 7", "11 2", "6 6", "3 12", "200 999", "-2 3"],
  "Crossing time": ["135", "60", "59", "0", "61"],
  "Room on the deck": ["12", "39", "40", "41", "0"],
  "Fare by age": ["3", "4", "14", "15", "64", "65", "30"],
  "Before the ramp closes": ["12", "5", "0", "10", "1"],
  "Loads of a day": [""],
  "Crossings that were full": ["40", "41", "42", "22", "23", "38", "39", "0"],
  "Tide by the hour": ["5", "0", "-3"],
  "Bills of a family": ["3 14 1 15 0 40 1", "0", "1 15 1", "2 14 0 3 1"],
  "On the list of boats": ["23", "17", "11", "5", "4", "3", "52", "0", "99999"],
  "Lanes of the deck": ["3 3", "4 2", "1 4", "5 5", "0 3"],
  "Waiting times in order": ["10", "14", "27", "28", "3"],
};
/** The inputs with which a neutral program is checked: a line for each value, or lines as they are. */
export function inputsOf({ title, inputs }: Neutral): string[] {
  const own = inputs ?? inputsByTitle[title] ?? [""];
  return own.map((values) => (values === "" || values.includes("\n") ? values : `${values.replaceAll(" ", "\n")}\n`));
}

/** The right programs of a language for faults to be planted in; none for one that has none. */
export function neutralOf(language: string): readonly Neutral[] {
  return neutralPrograms[language] ?? [];
}
