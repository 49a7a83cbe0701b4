import { editContext } from "../edits/context.ts";
import type { Hunk } from "../fixes/hunks.ts";
import type { Language } from "../languages/language.ts";
import { foundInRefused, foundMistakes } from "../leads/mistakes/found.ts";
import type { Diagnostic } from "../outcome/outcome.ts";
import { explain } from "../reading/explain.ts";
import { lineTexts } from "../source/lines.ts";
import type { FaultClass } from "../verdict/verdict.ts";
import { ownWarnings } from "../warnings/ownWarning.ts";
import { changesOf } from "./changes.ts";
import type { Evidence } from "./pattern.ts";

/** A change that was found, as far as a pattern is suggested by it. */
export type FoundChange = {
  hunks: readonly Hunk[];
  families: readonly string[];
  lines: readonly number[];
  repairs: "repairs" | "hides" | "open";
};

/** A verdict, as far as a pattern is suggested by it. */
export type JudgedAs = {
  class: FaultClass | null;
  diagnostic: Diagnostic | null;
  symptom?: string;
  leads?: ReadonlyArray<{ line: number; file?: string }>;
};

/** What patterns are suggested by: a verdict on a program's main file, the mendings that were found, best first, and both outputs. */
export function evidenceOf(
  language: Language,
  program: string,
  verdict: JudgedAs,
  fixes: readonly FoundChange[],
  outputs: Evidence["outputs"] = null,
): Evidence {
  const { diagnostic, leads = [], symptom = "" } = verdict;
  // A change that only hides the fault says nothing of it.
  const best = fixes.find((fix) => fix.repairs !== "hides");
  const suspected = [...new Set(leads.filter((lead) => lead.file === undefined).map((lead) => lead.line))];
  // What mends it touches what looks like a mistake: nothing is nearer.
  const touched = new Set(best?.lines);
  const rankOf = (line: number) => {
    if (touched.has(line)) return 0;
    const at = suspected.indexOf(line);
    return at < 0 ? null : at;
  };
  // What is refused has hardly a form that could be looked at.
  const context = editContext(language, program);
  const look = verdict.class === "syntax" ? foundInRefused : foundMistakes;
  const found = context ? look(context) : [];
  const warned = ownWarnings(language, program).map(({ kind, line, says }) => ({ id: kind, line, why: says }));
  return {
    ...{ language, program, class: verdict.class, symptom, suspected, outputs, lines: lineTexts(program) },
    noticed: [...found, ...warned].map((place) => ({ ...place, rank: rankOf(place.line) })),
    message: diagnostic && {
      kind: explain(language, diagnostic, lineTexts(program))?.kind ?? null,
      text: `${diagnostic.errorName ?? ""} ${diagnostic.message}`,
      line: diagnostic.line ?? null,
    },
    changes: best ? changesOf(best) : [],
  };
}
