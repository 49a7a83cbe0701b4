import { danglingElse, emptyBody, misleadingIndentation } from "../../warnings/layout.ts";
import { endlessRecursion } from "../../warnings/recursion.ts";
import { braceBlockLines, braceDecisions, braceLoopCondition, braceLoopExits, braceLoops } from "../braces.ts";
import { type Language, messageReading } from "../language.ts";
import { signed, unsigned } from "../numberRanges.ts";
import { assignedNames, type StatementRules, usedNames } from "../statements.ts";
import { csharpCard } from "./card.ts";
import { csharpInput } from "./input.ts";
import { csharpExplanations } from "./meanings.ts";
import { dotnetCSharp, isCSharpSummary, kindOfCSharpRefusal } from "./messages.ts";
import { csharpSyntax } from "./syntax.ts";
import { csharpKeywords, csharpTokens } from "./tokens.ts";
import { csharpValues } from "./values.ts";
import { csharpWords } from "./words.ts";
import { csharpWriting } from "./writing.ts";

const typeWords: ReadonlySet<string> = new Set(
  "bool byte char decimal double float int long object sbyte short string uint ulong ushort var void".split(" "),
);
const rules: StatementRules = {
  assignments: new Set(["=", "+=", "-=", "*=", "/=", "%=", "&=", "|=", "^=", "<<=", ">>=", "??="]),
  memberSigns: new Set([".", "?."]),
  typeWords,
};
const quietFunctions: ReadonlySet<string> = new Set(
  "WriteLine Write Length Count Abs Max Min Sqrt Pow ToString Format".split(" "),
);

/** C# as translated by the mono compiler. */
export const csharp: Language = {
  id: "csharp",
  name: "C#",
  extension: ".cs",
  mainName: "Program.cs",
  editorMode: "csharp",
  lineComment: "//",
  namesCheckedAt: "translation",
  profile: {
    stages: ["the whole text is translated; names and types are checked", "then it runs, from Main on"],
    blocks: "braces { }",
    statementEnd: "a semicolon",
    caseSensitive: true,
    firstIndex: 0,
    unsetValue: "a local must be given a value first, or the text is refused; a field holds 0, false or null",
    integerDivision: "/ between whole numbers cuts off the fraction; dividing by a literal zero is refused",
    input: "Console.ReadLine gives text; int.Parse makes a number of it",
    strictness: "-warn:4: all warnings; lines in a crash only with debug information, which is asked for here",
    usualDistance:
      "a missing semicolon is reported on the next sign, often on the next line; a missing brace at the end of the file",
  },
  card: csharpCard,
  inputForms: csharpInput,
  tokens: csharpTokens,
  syntax: csharpSyntax,
  writing: csharpWriting,
  values: csharpValues,
  keywords: csharpKeywords,
  ...messageReading([dotnetCSharp], "first refusal", isCSharpSummary),
  kindOfRefusal: kindOfCSharpRefusal,
  machineWords: /\[0x[0-9a-f]+\] /g,
  unknownName: (diagnostic) =>
    /The name [`'](\w+)' does not exist|type or namespace name [`'](\w+)'|does not contain a definition for [`'](\w+)'/
      .exec(diagnostic.message)
      ?.slice(1)
      .find(Boolean) ?? null,
  explanations: csharpExplanations,
  assignedNames: (line) => assignedNames(line, rules),
  usedNames: (line) => usedNames(line, rules),
  loopCondition: (line) => braceLoopCondition(line, quietFunctions),
  blockLines: (program, header) => braceBlockLines(csharpTokens(program), header),
  decisionWords: braceDecisions,
  loopWords: braceLoops,
  definesFunction: (line) =>
    /^(?:public|private|protected|internal|static)$/.test(line[0]?.text ?? "") &&
    line.some((token) => token.text === "(") &&
    line.at(-1)?.text !== ";",
  mainIsFunction: true,
  chanceWords: new Set("Random Now UtcNow Today Stopwatch Guid NewGuid GetHashCode TickCount".split(" ")),
  unseenWords: new Set(["ReadLine", "ReadKey", "Read", "Random", "foreach", "yield"]),
  ownWarnings: [misleadingIndentation, danglingElse, emptyBody, endlessRecursion],
  quietFunctions,
  needsFile: (program, stem) =>
    new RegExp(`\\b(?:new|:)[ \\t]+${stem}\\b|\\b${stem}[ \\t]*\\.|\\b${stem}[ \\t]+\\w+[ \\t]*[=;]`).test(program),
  numberRanges: {
    ...{ SByte: signed(8), Int16: signed(16), Int32: signed(32), Int64: signed(64) },
    ...{ Byte: unsigned(8), UInt16: unsigned(16), UInt32: unsigned(32), UInt64: unsigned(64) },
  },
  loopExits: [...braceLoopExits, "Exit"],
  ownWords: new Set([...csharpKeywords, ...csharpWords]),
  signs: [
    { pattern: /^\s*using\s+System[\w.]*\s*;/m, weight: 4, words: "using System" },
    { pattern: /\bConsole\.(?:Write|Read)/, weight: 4, words: "Console.Write" },
    { pattern: /\bstatic\s+(?:void|int)\s+Main\s*\(/, weight: 3, words: "static void Main" },
    { pattern: /\bstring\b|\bbool\b/, weight: 1, words: "C#'s names of types" },
  ],
};
