import { imports } from "../../warnings/imports.ts";
import { danglingElse, emptyBody, misleadingIndentation } from "../../warnings/layout.ts";
import { endlessRecursion } from "../../warnings/recursion.ts";
import { braceBlockLines, braceDecisions, braceLoopCondition, braceLoopExits, braceLoops } from "../braces.ts";
import { type Language, messageReading } from "../language.ts";
import { createTokenizer } from "../lexical.ts";
import { signed, unsigned } from "../numberRanges.ts";
import { assignedNames, type StatementRules, usedNames } from "../statements.ts";
import { javaCard } from "./card.ts";
import { javaInput } from "./input.ts";
import { javaExplanations } from "./meanings.ts";
import { countingCompiler, isJavaSummary, jdk, kindOfJavaRefusal } from "./messages.ts";
import { javaSyntax } from "./syntax.ts";
import { javaKeywords, javaLexical, javaTypeWords } from "./tokens.ts";
import { javaValues } from "./values.ts";
import { javaWords } from "./words.ts";
import { javaWriting } from "./writing.ts";

export const javaStatements: StatementRules = {
  assignments: new Set(["=", "+=", "-=", "*=", "/=", "%=", "&=", "|=", "^=", "<<=", ">>=", ">>>="]),
  memberSigns: new Set(["."]),
  typeWords: javaTypeWords,
};
const quietFunctions: ReadonlySet<string> = new Set(
  "println print printf length size get charAt equals isEmpty abs max min sqrt format valueOf toString".split(" "),
);

const tokens = createTokenizer(javaLexical);

/** Java 17 as translated by javac. */
export const java: Language = {
  id: "java",
  name: "Java",
  extension: ".java",
  mainName: "Main.java",
  editorMode: "java",
  lineComment: "//",
  namesCheckedAt: "translation",
  profile: {
    stages: ["the whole text is translated; names and types are checked", "then it runs, from main on"],
    blocks: "braces { }",
    statementEnd: "a semicolon",
    caseSensitive: true,
    firstIndex: 0,
    madeWhereItStops: /because the return value of/,
    unsetValue: "a local must be given a value first, or the text is refused; a field holds 0, false or null",
    integerDivision: "/ between whole numbers cuts off the fraction",
    input: "Scanner reads by kind; nextInt leaves the line's end in the input",
    strictness: "-Xlint:all: warnings about raw types, fall-through and division by a literal zero",
    usualDistance:
      "a missing semicolon is reported on its own line; a missing brace at the next method or at the end of the file",
  },
  card: javaCard,
  inputForms: javaInput,
  tokens,
  syntax: javaSyntax,
  writing: javaWriting,
  values: javaValues,
  keywords: javaKeywords,
  ...messageReading([jdk, countingCompiler], "first refusal", isJavaSummary),
  kindOfRefusal: kindOfJavaRefusal,
  unknownName: (diagnostic) => /symbol: +(?:variable|method|class) (\w+)/.exec(diagnostic.message)?.[1] ?? null,
  explanations: javaExplanations,
  assignedNames: (line) => assignedNames(line, javaStatements),
  usedNames: (line) => usedNames(line, javaStatements),
  loopCondition: (line) => braceLoopCondition(line, quietFunctions),
  blockLines: (program, header) => braceBlockLines(tokens(program), header),
  decisionWords: braceDecisions,
  loopWords: braceLoops,
  definesFunction: (line) =>
    /^(?:public|private|protected|static)$/.test(line[0]?.text ?? "") &&
    line.some((token) => token.text === "(") &&
    line.at(-1)?.text !== ";",
  mainIsFunction: true,
  chanceWords: new Set(
    "Random random Instant now currentTimeMillis nanoTime identityHashCode UUID randomUUID".split(" "),
  ),
  unseenWords: new Set(["next", "nextInt", "nextLine", "nextDouble", "hasNext", "Random"]),
  ownWarnings: [misleadingIndentation, danglingElse, emptyBody, endlessRecursion, imports],
  quietFunctions,
  needsFile: (program, stem) =>
    new RegExp(
      `\\b(?:new|extends|implements)[ \\t]+${stem}\\b|\\b${stem}[ \\t]*\\.|\\b${stem}[ \\t]+\\w+[ \\t]*[=;]`,
    ).test(program),
  numberRanges: { Byte: signed(8), Short: signed(16), Character: unsigned(16), Integer: signed(32), Long: signed(64) },
  loopExits: [...braceLoopExits, "halt"],
  ownWords: new Set([...javaKeywords, ...javaWords]),
  signs: [
    { pattern: /\bpublic\s+static\s+void\s+main\s*\(/, weight: 4, words: "public static void main" },
    { pattern: /\bSystem\.(?:out|in)\b/, weight: 4, words: "System.out" },
    { pattern: /^\s*import\s+java[.\w*]+;/m, weight: 4, words: "import java…" },
    { pattern: /\bpublic\s+class\b/, weight: 1, words: "public class" },
    { pattern: /\bString\s*\[\s*\]|\bboolean\b/, weight: 1, words: "Java's names of types" },
  ],
};
