import { missingOf } from "../../core/cases/missing.ts";
import type { Language } from "../../core/languages/language.ts";
import { secondOpinion } from "../../core/verdict/secondOpinion.ts";
import type { WholeCase } from "../../server/cases/caseStore.ts";
import { fieldsOfLayer } from "../../server/judge/faultFields.ts";

/** The kind of mistake that the evidence suggests for a version, said as a suggestion; null where it suggests none. */
function suggestedKind(found: WholeCase, version: string): string | null {
  const name = found.kinds.found[version]?.[0]?.name;
  return name === undefined ? null : `${name} (suggested)`;
}

/** The faults of a case as its page shows them; `nameOfKind`: the name of a kind of mistake, a teacher's own as well. */
export function layersView(found: WholeCase, language: Language, nameOfKind: (id: string) => string) {
  return found.layers.map((layer) => ({
    fields: fieldsOfLayer(layer),
    /** The kind of mistake, by its name: what a teacher said, else what is suggested. */
    kindOfMistake: layer.pattern ? nameOfKind(layer.pattern) : suggestedKind(found, layer.version_before),
    missing: missingOf({
      ...{ decided: layer.decided, faultyLines: layer.faulty_lines, place: layer.place, pattern: layer.pattern },
      ...{ explanation: layer.explanation, mended: layer.version_after !== null, verified: layer.verified },
    }),
    advice: layer.advice,
    unsaid: layer.unsaid,
    secondOpinion: secondOpinion({
      ...{ language, decided: layer.decided?.class ?? null },
      ...{ suggested: layer.verdict.class, message: layer.verdict.message },
    }),
    key: layer.key,
    position: layer.position,
    class: layer.decided?.class ?? layer.verdict.class,
    decided: layer.decided,
    message: layer.verdict.message,
    symptom: layer.verdict.symptom,
    reportedLine: layer.verdict.reportedLine,
    reportedFile: layer.verdict.reportedFile ?? null,
    faultyLines: layer.faulty_lines.map((place) => place.line),
    fix: layer.fix,
    verified: layer.verified,
    intention: layer.intention,
    mended: layer.version_after !== null,
    place: layer.place,
    placeReason: layer.place_reason,
    explanation: layer.explanation,
  }));
}
