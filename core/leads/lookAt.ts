import { comparisonsIn } from "../assignments/comparisonsIn.ts";
import { guessShape } from "../assignments/guessShape.ts";
import { limitsIn } from "../assignments/limitsIn.ts";
import { messageAtEnd } from "../collecting/messageAtEnd.ts";
import { editContext } from "../edits/context.ts";
import { proposeEdits } from "../edits/families.ts";
import { instructionsOf } from "../exercises/ownRun/instructions.ts";
import { expressionsOn } from "../expressions/expressionsOn.ts";
import { askedOf } from "../languages/asked.ts";
import type { Language } from "../languages/language.ts";
import { runnableLines } from "../languages/runnable.ts";
import { usesChance } from "../languages/usesChance.ts";
import { partsOf } from "../narrowing/parts.ts";
import { evidenceOf } from "../patterns/evidence.ts";
import { patterns } from "../patterns/patterns.ts";
import { adviceFor } from "../patterns/prevention.ts";
import { suggestPatterns } from "../patterns/suggest.ts";
import { lineStyles } from "../source/lineStyles.ts";
import { lineTexts } from "../source/lines.ts";
import { preparedParts } from "../source/preparedParts.ts";
import { structureOf } from "../source/structure.ts";
import { relaid } from "../syntax/relaid.ts";
import { loopsIn } from "../trace/passes.ts";
import { positionsOf } from "../trace/positions.ts";
import { ownWarnings } from "../warnings/ownWarning.ts";

/** All that looks at the text of a program alone, by what it is for, with what it found there. For tests. */
export function lookAt(language: Language, text: string): Readonly<Record<string, unknown>> {
  const context = editContext(language, text, ["Deck 3"]);
  const aims = ["mend", "mend a refusal", "plant"] as const;
  const classes = ["syntax", "runtime", "logic"] as const;
  return {
    edits: context && aims.map((aim) => proposeEdits(context, aim)),
    patterns: classes.map((of) =>
      suggestPatterns(evidenceOf(language, text, { class: of, diagnostic: null, leads: [{ line: 2 }] }, [])),
    ),
    plants: context && patterns.map(({ plants }) => plants?.(context)),
    expressions: lineTexts(text).map((_, at) => expressionsOn(language, text, at + 1)),
    limits: limitsIn(language, text, guessShape(language, text)),
    comparisons: comparisonsIn(language, text),
    message: messageAtEnd(language, text),
    instructions: instructionsOf(language, text),
    runnable: runnableLines(language, text),
    asked: askedOf(language, text),
    chance: usesChance(language, text),
    parts: partsOf(language, text),
    advice: adviceFor(language, text),
    styles: lineStyles(language, text),
    prepared: preparedParts(language, text),
    structure: structureOf(language, text),
    relaid: relaid(language, text),
    loops: loopsIn(language, text),
    positions: positionsOf(language, text),
    warnings: ownWarnings(language, text),
  };
}

/** The programs in which kinds of mistake are shown in a language, right and faulty. */
export const programsIn = (id: string) =>
  patterns.flatMap(({ examples }) =>
    examples.flatMap(({ language, right, faulty }) => (language === id ? [right, faulty] : [])),
  );
