import { assignedNames, basicBlocks, blockLinesBy, isWord, loopConditionOf, usedNames } from "../basic/lines.ts";
import { typedBasicExplanations } from "../basic/meanings.ts";
import { isBasicSummary, kindOfBasicRefusal, typedBasic } from "../basic/messages.ts";
import { createBasicTokens } from "../basic/tokens.ts";
import { basicWords, inAnyCase } from "../basic/words.ts";
import { type Language, messageReading } from "../language.ts";

/** Words that typed Basic reserves (language reference, "Keywords"). */
const keywords: ReadonlySet<string> = new Set(
  (
    "addhandler and andalso as byref byval call case catch class const continue dim do each else elseif end endif enum error exit false finally for friend function get gosub goto if imports in inherits " +
    "is let lib loop me mod module namespace new next not nothing of on option optional or orelse paramarray preserve private property public raise redim rem resume return select set shared static step " +
    "stop structure sub then throw to true try until using wend when while with xor explicit strict off"
  ).split(" "),
);
const quietFunctions: ReadonlySet<string> = new Set(
  "MsgBox WriteLine Write Len Val Str CInt CDbl CStr UCase LCase Trim Abs Sqr Int".split(" "),
);

/** Names of what a form or a console has, never a person's. */
const formWords =
  "Console WriteLine ReadLine Write System TextBox Button Label Form Text Value EventArgs Me Handles".split(" ");

const tokens = createBasicTokens(keywords);

/** Typed Basic with forms, as far as its messages can be read. */
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
  tokens,
  ...messageReading([typedBasic], "first refusal", isBasicSummary),
  kindOfRefusal: kindOfBasicRefusal,
  unknownName: (diagnostic) =>
    /BC30451/.test(diagnostic.code ?? "") ? (/'(\w+)'/.exec(diagnostic.message)?.[1] ?? null) : null,
  explanations: typedBasicExplanations,
  assignedNames,
  usedNames,
  loopCondition: loopConditionOf(quietFunctions),
  blockLines: blockLinesBy(tokens),
  ...basicBlocks,
  definesFunction: (line) => line.some((token) => isWord(token, "sub", "function")) && !isWord(line[0], "end", "exit"),
  chanceWords: new Set("Rnd Now Date Time Timer".split(" ")),
  unseenWords: new Set(["InputBox", "ReadLine", "Rnd", "Now"]),
  quietFunctions,
  numberRanges: {},
  ownWords: new Set([...keywords, ...inAnyCase([...basicWords, ...formWords])]),
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
