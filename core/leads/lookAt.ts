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

/** All that looks at the text of a program alone. For tests. */
export function lookAt(language: Language, text: string): void {
  const context = editContext(language, text, ["Deck 3"]);
  if (context) for (const aim of ["mend", "mend a refusal", "plant"] as const) proposeEdits(context, aim);
  for (const of of ["syntax", "runtime", "logic"] as const) {
    const evidence = evidenceOf(language, text, { class: of, diagnostic: null, leads: [{ line: 2 }] }, []);
    suggestPatterns(evidence);
  }
  if (context) for (const { plants } of patterns) plants?.(context);
  for (let line = 1; line <= lineTexts(text).length; line++) expressionsOn(language, text, line);
  limitsIn(language, text, guessShape(language, text));
  comparisonsIn(language, text);
  messageAtEnd(language, text);
  instructionsOf(language, text);
  runnableLines(language, text);
  askedOf(language, text);
  usesChance(language, text);
  partsOf(language, text);
  adviceFor(language, text);
  lineStyles(language, text);
  preparedParts(language, text);
  structureOf(language, text);
  relaid(language, text);
  loopsIn(language, text);
  positionsOf(language, text);
  ownWarnings(language, text);
}

/** The programs in which kinds of mistake are shown in a language, right and faulty. */
export const programsIn = (id: string) =>
  patterns.flatMap(({ examples }) =>
    examples.flatMap(({ language, right, faulty }) => (language === id ? [right, faulty] : [])),
  );
