import type { Hunk } from "../fixes/hunks.ts";
import type { Language } from "../languages/language.ts";
import type { Diagnostic } from "../outcome/outcome.ts";
import { explain } from "../reading/explain.ts";
import { lineTexts } from "../source/lines.ts";
import type { FaultClass } from "../verdict/verdict.ts";
import { changesOf } from "./changes.ts";
import type { Evidence } from "./pattern.ts";

/** A change that was found, as far as a pattern is suggested by it. */
export type FoundChange = {
  hunks: readonly Hunk[];
  families: readonly string[];
  lines: readonly number[];
  repairs: "repairs" | "hides" | "open";
};

/** What patterns are suggested by: a verdict on a program's main file, and the mendings that were found, best first. */
export function evidenceOf(
  language: Language,
  program: string,
  verdict: { class: FaultClass | null; diagnostic: Diagnostic | null },
  fixes: readonly FoundChange[],
): Evidence {
  const { diagnostic } = verdict;
  // A change that only hides the fault says nothing of it.
  const best = fixes.find((fix) => fix.repairs !== "hides");
  return {
    ...{ language, program, class: verdict.class },
    message: diagnostic && {
      kind: explain(language, diagnostic, lineTexts(program))?.kind ?? null,
      text: `${diagnostic.errorName ?? ""} ${diagnostic.message}`,
      line: diagnostic.line ?? null,
    },
    changes: best ? changesOf(best) : [],
  };
}
