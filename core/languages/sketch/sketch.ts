import type { Explanation } from "../explanation.ts";
import { java } from "../java/java.ts";
import { javaExplanations } from "../java/meanings.ts";
import { countingCompiler, isJavaSummary, jdk } from "../java/messages.ts";
import { type Language, messageReading } from "../language.ts";
import { sketchTools } from "./messages.ts";

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

/** Java-based drawing sketches: setup once, draw frame by frame; no such tool runs here. */
export const sketch: Language = {
  ...java,
  // Nothing is typed in to a drawing.
  inputForms: undefined,
  id: "sketch",
  name: "Drawing sketch",
  extension: ".pde",
  mainName: "sketch.pde",
  profile: {
    ...java.profile,
    stages: [
      "the whole text is translated; names and types are checked",
      "setup runs once",
      "then draw runs again and again, a frame each time",
    ],
    unsetValue: "a variable outside the functions holds 0, false or null; a local must be given a value first",
    input: "mouse and keys, by functions that are called when something happens",
    strictness: "none",
    usualDistance:
      "a missing semicolon is reported on its line or the next; a missing brace at the end of the file. An empty drawing area is a symptom too",
  },
  ...messageReading([sketchTools, jdk, countingCompiler], "first refusal", isJavaSummary),
  explanations: [...sketchExplanations, ...javaExplanations],
  mainIsFunction: false,
  unseenWords: new Set([...java.unseenWords, "random", "millis", "mouseX", "mouseY", "key"]),
  signs: [
    { pattern: /^\s*void\s+(?:setup|draw)\s*\(\s*\)/m, weight: 6, words: "void setup() or void draw()" },
    { pattern: /^\s*(?:size|background|fill|ellipse|rect|stroke)\s*\(/m, weight: 2, words: "drawing calls" },
  ],
};
