import type { KeptVerdict } from "../../core/cases/case.ts";
import { usesChance } from "../../core/languages/usesChance.ts";
import { linesThatRan, neverRanStretches, type Stretch } from "../../core/trace/neverRan.ts";
import { type FaultFields, type SuggestedFields, suggestFields } from "../../core/verdict/fields.ts";
import type { Judgement } from "../../core/verdict/judge.ts";
import { messageOf } from "../../core/verdict/words.ts";
import type { WholeCase } from "../cases/caseStore.ts";
import type { Layer } from "../cases/layerStore.ts";
import { languageOf, saysNothing, type VersionJudgement } from "./judge.ts";

/** What a layer keeps of a judgement. */
export function keptVerdict(judgement: Judgement): KeptVerdict {
  const failed = judgement.gates.find((gate) => gate.passes === false);
  const diagnostic = judgement.diagnostic;
  return {
    class: judgement.class,
    kind: judgement.kind,
    symptom: judgement.symptom,
    gate: failed?.gate ?? null,
    reasons: judgement.reasons,
    reportedLine: judgement.reportedLine,
    ...(judgement.reportedFile ? { reportedFile: judgement.reportedFile } : {}),
    message: diagnostic ? messageOf(diagnostic) : "",
  };
}

/** What the recorded run of the deciding check never came to in the main file; null where none was recorded whole. */
export function neverRanIn(found: WholeCase, judged: VersionJudgement): Stretch[] | null {
  const ran = linesThatRan(judged.deciding.trace);
  return ran && neverRanStretches(languageOf(found), judged.version.files[0]?.text ?? "", ran);
}

/** What the evidence says of the fault of a version beside its class; `neverRan` as neverRanIn gives it. */
export function fieldsOf(
  found: WholeCase,
  judged: VersionJudgement,
  layer: Pick<Layer, "decided" | "faulty_lines"> | null,
  neverRan: readonly Stretch[] | null = neverRanIn(found, judged),
): SuggestedFields {
  const { judgement, outcome } = judged.deciding;
  const telling = judged.results.filter((result) => !saysNothing(found, result));
  const marked = (layer?.faulty_lines ?? []).filter((place) => place.file === undefined).map((place) => place.line);
  const suspected = judgement.leads.filter((lead) => lead.file === undefined).slice(0, 1);
  return suggestFields({
    class: layer?.decided ? layer.decided.class : judgement.class,
    runs: telling.map(({ check, passes }) => ({
      ...{ passes, input: check.input },
      surroundings: JSON.stringify(Object.entries(check.surroundings).sort()),
    })),
    reads: outcome !== null && (outcome.inputRanOut || outcome.console.some((piece) => piece.kind === "in")),
    chance: usesChance(languageOf(found), judged.version.files[0]?.text ?? ""),
    reportedLine: judgement.reportedFile ? null : judgement.reportedLine,
    faultyLines: marked.length > 0 ? marked : suspected.map((lead) => lead.line),
    error: judgement.diagnostic ? messageOf(judgement.diagnostic) : "",
    neverRan,
  });
}

/** The same without the reasons, as a layer keeps it. */
export function keptFields(...given: Parameters<typeof fieldsOf>): FaultFields {
  const { cause, moment, depends } = fieldsOf(...given);
  return { cause: cause.value, moment: moment.value, depends: depends.value };
}

/** What a layer keeps of what the evidence says of a version, its fields as well. */
export function keptOf(found: WholeCase, judged: VersionJudgement): KeptVerdict {
  return { ...keptVerdict(judged.deciding.judgement), fields: keptFields(found, judged, null) };
}

/** A layer's fields: what a teacher said, else what the evidence did. */
export function fieldsOfLayer({ cause, moment, depends, verdict }: Layer): FaultFields {
  return {
    cause: cause ?? verdict.fields?.cause ?? null,
    moment: moment ?? verdict.fields?.moment ?? null,
    depends: depends ?? verdict.fields?.depends ?? null,
  };
}
