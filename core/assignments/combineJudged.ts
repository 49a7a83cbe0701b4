import type { Judgement } from "../verdict/judge.ts";

/**
 * What several judged runs of one program come to: the class of the first failing one in their order (rule of the job).
 * A class of null: no fault is shown, or nothing is decided.
 */
export function combineJudged(judgements: readonly Judgement[]): Pick<Judgement, "class" | "kind"> {
  const deciding = judgements.find((judgement) => judgement.class !== null);
  return { class: deciding?.class ?? null, kind: deciding?.kind ?? null };
}
