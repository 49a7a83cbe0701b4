import { assignedNames, basicBlocks, blockLinesBy, isWord, loopConditionOf, usedNames } from "../basic/lines.ts";
import { typedBasicExplanations } from "../basic/meanings.ts";
import { isBasicSummary, kindOfBasicRefusal, typedBasic } from "../basic/messages.ts";
import { basicWords, inAnyCase } from "../basic/words.ts";
import { type Language, messageReading } from "../language.ts";
import { actionsOfBasic } from "./actions.ts";
import { typedBasicCard } from "./card.ts";
import { typedBasicInput } from "./input.ts";
import { typedBasicSyntax } from "./syntax.ts";
import { basicKeywords, typedBasicTokens } from "./tokens.ts";
import { typedBasicValues } from "./values.ts";
import { typedBasicWords } from "./words.ts";
import { typedBasicWriting } from "./writing.ts";

const quietFunctions: ReadonlySet<string> = new Set(
  inAnyCase(
    "MsgBox WriteLine Write Len Val Str CInt CDbl CDec CStr UCase LCase Trim Abs Sqr Sqrt Int Mid Left Right InStr Length Count Max Min Pow Round UBound LBound ToUpper ToLower ToString".split(
      " ",
    ),
  ),
);

/** Typed Basic, with forms or at the console, by a translator of ours (engine/). */
export const basicForms: Language = {
  id: "basic-forms",
  name: "Typed Basic with forms",
  extension: ".vb",
  otherExtensions: [".frm"],
  mainName: "Module1.vb",
  lineComment: "'",
  namesCheckedAt: "translation",
  profile: {
    stages: [
      "each line is checked when it is left",
      "the program is translated whole",
      "then a routine runs, often one that answers to a button",
    ],
    blocks: "words such as If … End If, For … Next, Sub … End Sub",
    statementEnd: "the end of the line; a blank and _ carry it on",
    caseSensitive: false,
    firstIndex: 0,
    unsetValue: "0, an empty text or Nothing",
    integerDivision: "\\ cuts off the fraction; / gives a decimal number",
    input: "boxes and InputBox give text; it must be converted",
    strictness: "Option Explicit: every variable must be declared; Option Strict: no silent conversion",
    usualDistance: "on the reported line; after a fault in a declaration every use is reported below it",
  },
  card: typedBasicCard,
  inputForms: typedBasicInput,
  actionsOf: actionsOfBasic,
  tokens: typedBasicTokens,
  syntax: typedBasicSyntax,
  writing: typedBasicWriting,
  values: typedBasicValues,
  keywords: basicKeywords,
  ...messageReading([typedBasic], "first refusal", isBasicSummary),
  kindOfRefusal: kindOfBasicRefusal,
  unknownName: (diagnostic) =>
    /BC30451/.test(diagnostic.code ?? "") ? (/'(\w+)'/.exec(diagnostic.message)?.[1] ?? null) : null,
  explanations: typedBasicExplanations,
  assignedNames,
  usedNames,
  loopCondition: loopConditionOf(quietFunctions),
  blockLines: blockLinesBy(typedBasicTokens),
  ...basicBlocks,
  definesFunction: (line) => line.some((token) => isWord(token, "sub", "function")) && !isWord(line[0], "end", "exit"),
  chanceWords: new Set(inAnyCase("Rnd Random Now Today Timer Stopwatch GetHashCode".split(" "))),
  unseenWords: new Set(inAnyCase(["InputBox", "ReadLine", "ReadKey", "Rnd", "Now"])),
  quietFunctions,
  numberRanges: {},
  mainIsFunction: true,
  machineWords: /\[0x[0-9a-f]+\] /g,
  ownWords: new Set([...basicKeywords, ...inAnyCase([...basicKeywords, ...basicWords, ...typedBasicWords])]),
  signs: [
    {
      pattern: /^\s*(?:Public |Private )?(?:Sub|Function)\s+\w+\s*\([^)]*\)(?:\s+As\s+\w+)?\s*$/im,
      weight: 4,
      words: "Sub and Function lines",
    },
    { pattern: /^\s*End (?:Sub|If|Function|Module|Class)\s*$/im, weight: 3, words: "End Sub, End If" },
    { pattern: /^\s*Dim\s+\w+/im, weight: 3, words: "Dim" },
    { pattern: /\bThen\s*$/im, weight: 1, words: "If … Then" },
    {
      pattern:
        /\bHandles\s+\w+|^\s*(?:Public |Friend )?(?:Module|Class)\s+\w+|\bConsole\.\w+|^\s*Imports\s+\w+|\.Text\b/im,
      weight: 4,
      words: "forms, modules or values in declarations",
    },
  ],
};
