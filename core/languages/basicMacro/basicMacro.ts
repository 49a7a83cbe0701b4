import { newEmpty } from "../../warnings/newEmpty.ts";
import { assignedNames, basicBlocks, blockLinesBy, isWord, loopConditionOf, usedNames } from "../basic/lines.ts";
import { macroBasic } from "../basic/messages.ts";
import { basicWords, inAnyCase } from "../basic/words.ts";
import { type Language, messageReading } from "../language.ts";
import { macroCard } from "./card.ts";
import { macroInput } from "./input.ts";
import { officeExplanations } from "./meanings.ts";
import { isOfficeSummary, kindOfMacroRefusal, officeBasic, ownCheck } from "./messages.ts";
import { otherNames } from "./otherNames.ts";
import { macroSyntax } from "./syntax.ts";
import { macroKeywords, macroTokens } from "./tokens.ts";
import { macroValues } from "./values.ts";
import { officeWords } from "./words.ts";
import { macroWriting } from "./writing.ts";

const quietFunctions: ReadonlySet<string> = new Set(
  inAnyCase(
    "MsgBox Print Len Val Str CInt CDbl CLng CStr UCase LCase Trim Left Right Mid Abs Sqr Int Fix UBound LBound".split(
      " ",
    ),
  ),
);

/** Macros of a workbook, in the office's Basic. */
export const basicMacro: Language = {
  id: "basic-macro",
  name: "Basic macro",
  extension: ".bas",
  mainName: "macro.bas",
  lineComment: "'",
  namesCheckedAt: "translation",
  profile: {
    stages: [
      "the module is read whole when it is started; what cannot be read is refused",
      "routines that nothing defines, and under the strict option names that nothing declares, are looked for before the run",
      "then a routine runs and acts on the sheet; properties and methods are looked up when a line is reached",
    ],
    blocks: "words such as If … End If, For … Next, Sub … End Sub",
    statementEnd: "the end of the line; a blank and _ carry it on",
    caseSensitive: false,
    firstIndex: 0,
    unsetValue: "0, an empty text or Empty; without the strict option a misspelt name is a new empty variable",
    integerDivision: "\\ gives a whole number of rounded ones; / gives a decimal number; & joins texts",
    input: "InputBox gives text; cells give numbers or texts",
    strictness:
      "Option Explicit: every variable must be declared. The compatibility option is set for macros that ask for another office's objects",
    usualDistance:
      "on the reported line; a missing end of a block is reported at the end of its routine. What ran before a stop has been done",
  },
  card: macroCard,
  inputForms: macroInput,
  tokens: macroTokens,
  syntax: macroSyntax,
  writing: macroWriting,
  values: macroValues,
  keywords: macroKeywords,
  ...messageReading([officeBasic, ownCheck, macroBasic], "first refusal", isOfficeSummary),
  kindOfRefusal: kindOfMacroRefusal,
  unknownName: ({ message }) =>
    /(?:Routine )?“(\w+)” is not (?:defined|declared)/.exec(message)?.[1] ??
    /not defined\.?.*Additional information: (\w+)/.exec(message)?.[1] ??
    null,
  explanations: officeExplanations,
  assignedNames,
  usedNames,
  loopCondition: loopConditionOf(quietFunctions),
  blockLines: blockLinesBy(macroTokens),
  ...basicBlocks,
  definesFunction: (line) =>
    line.some((token) => isWord(token, "sub", "function")) && !isWord(line[0], "end", "exit", "declare"),
  mainIsFunction: true,
  chanceWords: new Set(inAnyCase("Rnd Now Date Time Timer GetSystemTicks".split(" "))),
  unseenWords: new Set(inAnyCase(["InputBox", "Rnd", "Now"])),
  quietFunctions,
  ownWarnings: [newEmpty],
  numberRanges: {},
  ownWords: new Set([...macroKeywords, ...inAnyCase([...macroKeywords, ...basicWords, ...officeWords, ...otherNames])]),
  signs: [
    {
      pattern: /^\s*(?:Public |Private )?(?:Sub|Function)\s+\w+\s*(?:\([^)]*\))?(?:\s+As\s+\w+)?\s*$/im,
      weight: 4,
      words: "Sub and Function lines",
    },
    { pattern: /^\s*End (?:Sub|If|Function)\s*$/im, weight: 3, words: "End Sub, End If" },
    { pattern: /^\s*Dim\s+\w+/im, weight: 3, words: "Dim" },
    {
      pattern:
        /\bThisComponent\b|\bgetCell\w+\(|\bActiveSheet\b|\bWorksheets?\(|\bCells\(|\bRange\("|^\s*MsgBox\b|^\s*Wend\b/im,
      weight: 4,
      words: "cells, sheets or boxes",
    },
  ],
};
