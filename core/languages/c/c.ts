import { startValue } from "../../warnings/startValue.ts";
import { braceBlockLines, braceDecisions, braceLoopCondition, braceLoopExits, braceLoops } from "../braces.ts";
import { type Language, messageReading } from "../language.ts";
import { createTokenizer } from "../lexical.ts";
import { signed, unsigned } from "../numberRanges.ts";
import { assignedNames, type StatementRules, usedNames } from "../statements.ts";
import { cCard } from "./card.ts";
import { cInput } from "./input.ts";
import { cExplanations } from "./meanings.ts";
import { cCompilers, isCSummary, kindOfCRefusal } from "./messages.ts";
import { cStops } from "./stops.ts";
import { cSyntax } from "./syntax.ts";
import { cValues } from "./values.ts";
import { cWords } from "./words.ts";
import { cWriting } from "./writing.ts";

/** Keywords of C17 (ISO/IEC 9899:2018, 6.4.1). */
const keywords: ReadonlySet<string> = new Set(
  (
    "auto break case char const continue default do double else enum extern float for goto if inline int long register restrict return short signed sizeof static " +
    "struct switch typedef union unsigned void volatile while _Alignas _Alignof _Atomic _Bool _Complex _Generic _Noreturn _Static_assert _Thread_local"
  ).split(" "),
);
const typeWords: ReadonlySet<string> = new Set(
  "char double float int long short signed unsigned void bool size_t _Bool FILE".split(" "),
);
const rules: StatementRules = {
  assignments: new Set(["=", "+=", "-=", "*=", "/=", "%=", "&=", "|=", "^=", "<<=", ">>="]),
  memberSigns: new Set([".", "->"]),
  typeWords,
};
const quietFunctions: ReadonlySet<string> = new Set(
  "printf puts putchar fprintf strlen strcmp abs fabs sqrt pow floor ceil toupper tolower isdigit isalpha fflush".split(
    " ",
  ),
);

const tokens = createTokenizer({
  keywords,
  name: /[\p{L}_$][\p{L}\p{Nd}_$]*/uy,
  number: /(?:0[xX][\da-fA-F]+|\d+\.?\d*(?:[eE][+-]?\d+)?|\.\d+(?:[eE][+-]?\d+)?)[uUlLfF]*/y,
  operator:
    /<<=|>>=|\.\.\.|->|\+\+|--|&&|\|\||==|!=|<=|>=|\+=|-=|\*=|\/=|%=|&=|\|=|\^=|<<|>>|##|[-+*/%&|^~!<>=?:;,.#]/y,
  lineComment: /\/\//y,
  blockComments: [{ open: "/*", close: "*/" }],
  texts: [
    { open: /(?:u8|[uUL])?"/y, close: '"', escape: "\\" },
    { open: /[uUL]?'/y, close: "'", escape: "\\" },
  ],
});

/** C as translated by gcc. */
export const c: Language = {
  id: "c",
  name: "C",
  extension: ".c",
  otherExtensions: [".h"],
  mainName: "program.c",
  editorMode: "cpp",
  lineComment: "//",
  namesCheckedAt: "translation",
  profile: {
    stages: [
      "the preprocessor puts in the included files",
      "the whole text is translated",
      "the pieces are linked; main must be among them",
      "then it runs, from main on",
    ],
    blocks: "braces { }",
    statementEnd: "a semicolon",
    caseSensitive: true,
    firstIndex: 0,
    unsetValue: "a local holds whatever was in memory; a global or static holds 0",
    integerDivision: "/ between whole numbers cuts off the fraction",
    input: "scanf leaves the line's end in the input; the next %c or fgets reads it",
    strictness: "-Wall -Wextra: most slips with formats, unset locals and addresses are only warnings",
    usualDistance:
      "a missing semicolon is reported on its line's end or on the next line; a missing brace at the end of the file; a crash names no line",
  },
  card: cCard,
  inputForms: cInput,
  tokens,
  syntax: cSyntax,
  writing: cWriting,
  values: cValues,
  keywords,
  ...messageReading([cCompilers, cStops], "first", isCSummary),
  kindOfRefusal: kindOfCRefusal,
  unknownName: (diagnostic) =>
    /[‘'`](\w+)['’] (?:undeclared|was not declared)|undefined reference to [`‘'](\w+)['’]|implicit declaration of function [‘'](\w+)['’]|unknown type name [‘'](\w+)['’]|has no member named [‘'](\w+)['’]/
      .exec(diagnostic.message)
      ?.slice(1)
      .find(Boolean) ?? null,
  explanations: cExplanations,
  outputCaution:
    "In C, text that was printed without a line end just before a crash may never appear: the last output that is seen is no proof of the last line that ran.",
  assignedNames: (line) => [...new Set([...assignedNames(line, rules), ...inputNames(line)])],
  usedNames: (line) => usedNames(line, rules),
  loopCondition: (line) => braceLoopCondition(line, quietFunctions),
  blockLines: (program, header) => braceBlockLines(tokens(program), header),
  decisionWords: braceDecisions,
  loopWords: braceLoops,
  definesFunction: (line) =>
    (typeWords.has(line[0]?.text ?? "") || line[0]?.text === "static") &&
    line.some((token) => token.text === "(") &&
    line.at(-1)?.text !== ";",
  mainIsFunction: true,
  chanceWords: new Set("rand random time clock gettimeofday".split(" ")),
  unseenWords: new Set(["scanf", "getchar", "fgets"]),
  ownWarnings: [startValue],
  recordingMarksUnset: true,
  quietFunctions,
  needsFile: (program, stem) =>
    new RegExp(`^[ \\t]*#[ \\t]*include[ \\t]*"(?:[^"]*/)?${stem}\\.[hc]"`, "m").test(program),
  // gcc on the machines that this runs on.
  numberRanges: {
    "signed char": signed(8),
    char: signed(8),
    "unsigned char": unsigned(8),
    "short int": signed(16),
    "short unsigned int": unsigned(16),
    int: signed(32),
    "unsigned int": unsigned(32),
    "long int": signed(64),
    "long unsigned int": unsigned(64),
    "long long int": signed(64),
    "long long unsigned int": unsigned(64),
  },
  loopExits: braceLoopExits,
  ownWords: new Set([...keywords, ...cWords]),
  signs: [
    { pattern: /^\s*#\s*include\s*[<"]/m, weight: 4, words: "#include" },
    { pattern: /\b(?:int|void)\s+main\s*\(/, weight: 3, words: "a function main" },
    { pattern: /\b(?:printf|scanf)\s*\(/, weight: 2, words: "printf or scanf" },
  ],
};

/** Names whose address is given to a call, as scanf's targets are: they may get a value there. */
function inputNames(line: readonly { kind: string; text: string }[]): string[] {
  return line.flatMap((token, index) =>
    token.kind === "name" && line[index - 1]?.text === "&" && ["(", ","].includes(line[index - 2]?.text ?? "")
      ? [token.text]
      : [],
  );
}
