import { braceBlockLines, braceLoopCondition } from "../braces.ts";
import type { Explanation } from "../explanation.ts";
import { java, javaStatements } from "../java/java.ts";
import { javaExplanations } from "../java/meanings.ts";
import { countingCompiler, isJavaSummary, jdk } from "../java/messages.ts";
import { type Language, messageReading } from "../language.ts";
import { assignedNames, type StatementRules, usedNames } from "../statements.ts";
import { sketchActions } from "./actions.ts";
import { sketchCard } from "./card.ts";
import { sketchTools } from "./messages.ts";
import { sketchSyntax } from "./syntax.ts";
import { sketchTokens, sketchTypeWords } from "./tokens.ts";
import { sketchValues } from "./values.ts";
import { drawingWords, givenWords, givingWords, readEnding, shapeWords, sketchEnding, sketchEvents } from "./words.ts";
import { sketchWriting } from "./writing.ts";

/** Messages that only sketches have; the others are Java's. */
const sketchExplanations: readonly Explanation[] = [
  {
    pattern: /The variable ["“]?(\w+)["”]? does not exist/,
    kind: "unknown name",
    words: ["name"],
    says: "“$1” is not known here.",
    usually: "It is misspelt, declared in another block, or not declared.",
  },
  {
    pattern: /The function ["“]?(\w+)/,
    kind: "unknown name",
    words: ["name"],
    says: "No function “$1” that takes these values is known.",
    usually: "It is misspelt, or the values do not fit.",
  },
  {
    pattern: /Missing (?:a |an |the )?["“]?([^"”]+)["”]?|Syntax Error/,
    kind: "sign missing",
    words: ["sign"],
    says: "The reading stopped here because a sign is missing or one is too many.",
    unsaid: "It is what the reader would have liked, not always what is missing.",
  },
];

const quietFunctions: ReadonlySet<string> = new Set([...java.quietFunctions, ...drawingWords, ...givingWords]);
const statements: StatementRules = { ...javaStatements, typeWords: sketchTypeWords };

/** Java-based drawing sketches: setup once, draw frame by frame. */
export const sketch: Language = {
  ...java,
  // Nothing is typed in to a drawing.
  inputForms: undefined,
  actions: sketchActions,
  id: "sketch",
  name: "Drawing sketch",
  extension: sketchEnding,
  otherExtensions: [readEnding],
  onlyRead: [readEnding],
  mainName: `drawing${sketchEnding}`,
  profile: {
    ...java.profile,
    stages: [
      "the whole text is translated; names and types are checked",
      "setup runs once",
      "then draw runs again and again, a frame each time",
    ],
    unsetValue: "a variable outside the functions holds 0, false or null; a local must be given a value first",
    input: "mouse and keys, by functions that are called when something happens",
    strictness: "-Xlint:all: warnings about raw types, fall-through and division by a literal zero",
    usualDistance:
      "a missing semicolon is reported on its line or the next; a missing brace at the end of the file. An empty drawing area is a symptom too",
  },
  card: sketchCard,
  tokens: sketchTokens,
  syntax: sketchSyntax,
  writing: sketchWriting,
  values: sketchValues,
  ...messageReading([sketchTools, jdk, countingCompiler], "first refusal", isJavaSummary),
  explanations: [...sketchExplanations, ...javaExplanations],
  assignedNames: (line) => assignedNames(line, statements),
  usedNames: (line) => usedNames(line, statements),
  loopCondition: (line) => braceLoopCondition(line, quietFunctions),
  blockLines: (program, header) => braceBlockLines(sketchTokens(program), header),
  definesFunction: (line) => {
    const bracket = line.findIndex((token) => token.text === "(");
    const before = line.slice(0, bracket);
    return (
      bracket > 1 &&
      line.at(-1)?.text !== ";" &&
      before.every((token) => token.kind === "name" || token.kind === "keyword" || /^[[\]<>,]$/.test(token.text)) &&
      before.at(-1)?.kind === "name" &&
      !/^(?:new|return|else)$/.test(before.at(-2)?.text ?? "")
    );
  },
  mainIsFunction: false,
  draws: { shapes: new Set(shapeWords), covers: new Set(["background", "clear"]), called: sketchEvents },
  quietFunctions,
  chanceWords: new Set([
    ...java.chanceWords,
    ...["random", "randomGaussian", "noise", "year", "month", "day", "hour", "minute", "second"],
  ]),
  unseenWords: new Set([...java.unseenWords, "random", "noise", "mouseX", "mouseY", "key"]),
  ownWords: new Set([...java.ownWords, "color", ...sketchEvents, ...drawingWords, ...givingWords, ...givenWords]),
  signs: [
    { pattern: /^\s*void\s+(?:setup|draw)\s*\(\s*\)/m, weight: 6, words: "void setup() or void draw()" },
    { pattern: /^\s*(?:size|background|fill|ellipse|rect|stroke)\s*\(/m, weight: 2, words: "drawing calls" },
    { pattern: /^\s*println\s*\(.*\)\s*;/m, weight: 2, words: "println( ) by itself" },
  ],
};
