import type { Decision, JudgingOutcome, LinePlace } from "../../core/cases/case.ts";
import { causeRefusal, type FaultFields } from "../../core/verdict/fields.ts";
import { className, findWording } from "../../core/wording/wordings.ts";
import { noteJudged, versionOf, type WholeCase } from "../cases/caseStore.ts";
import { type Change, type Changed, changeCase } from "../cases/changeCase.ts";
import {
  type Advice,
  type FaultWords,
  insertLayer,
  type Layer,
  setAdvice,
  setDecision,
  setFaultFields,
  setFaultWords,
  setFaultyLines,
  setIntention,
  setPattern,
  setSuggestion,
} from "../cases/layerStore.ts";
import type { Query } from "../database/database.ts";
import type { Services } from "../services.ts";
import { fieldsOfLayer, keptOf } from "./faultFields.ts";
import { noteFinding } from "./findings.ts";
import { judgeVersion, type VersionJudgement } from "./judge.ts";

/** The layer that is being worked on: the first one not mended, or null if a new one is to begin. */
export function openLayer(found: Pick<WholeCase, "layers">): Layer | null {
  return found.layers.find((layer) => layer.version_after === null) ?? null;
}

/** The open layer of the current version, begun if there is none yet. */
async function layerToDecide(query: Query, found: WholeCase, judged: VersionJudgement): Promise<string> {
  const open = openLayer(found);
  if (open) return open.key;
  await noteFinding({ query }, found, judged);
  return insertLayer(query, found.key, found.current_version, keptOf(found, judged));
}

/** The teacher confirms or overrules the class of the open layer; overruling needs a reason. */
export async function decideClass(
  services: Services,
  found: WholeCase,
  change: Omit<Change, "key" | "reason">,
  given: Omit<Decision, "at" | "suggested" | "outcome"> & { outcome?: JudgingOutcome },
): Promise<Changed> {
  const decision = { outcome: "fault" as const, ...given };
  const judged = await judgeVersion(services, found, versionOf(found, found.current_version));
  if (judged.unknown !== null) return { ok: false, message: judged.unknown };
  const { judgement, outcome } = judged.deciding;
  const suggested = judgement.class;
  const wording = findWording(found.wording);
  // A fault of logic may show as a crash, never as a refusal to start.
  if (decision.class === "logic" && outcome?.stoppedBy === "refused")
    return {
      ok: false,
      message: `${outcome.translator} refuses this program before any of its lines runs, so it is not a ${className(wording, "logic")}. Mend what is refused first: such an error may then show as the next layer.`,
    };
  // A stop on purpose looks like any other: that it is one says why.
  const agrees = decision.outcome === "stops on purpose" ? suggested !== "syntax" : suggested === decision.class;
  if (!agrees && decision.reason.trim() === "")
    return {
      ok: false,
      message: `The evidence says ${suggested ? className(wording, suggested) : "nothing decided"}. Overruling it needs a reason, so that it can be understood later.`,
    };
  const reason = decision.reason;
  return changeCase(services.database, { ...change, reason, key: found.key }, async ({ query, keep }) => {
    const former = openLayer(found)?.decided;
    const layer = await layerToDecide(query, found, judged);
    if (former) await keep("layer", layer, former);
    // Which kind of refusal it is stays as suggested, unless the teacher says otherwise.
    const kind = decision.class === "syntax" ? (decision.kind ?? judgement.kind ?? "form") : null;
    await setDecision(query, layer, { ...decision, kind, suggested, at: new Date().toISOString() });
    await setSuggestion(query, layer, keptOf(found, judged));
    await noteJudged(query, found.key);
    return undefined;
  });
}

/** Says which lines of the version before the open layer are faulty. */
export async function markFaultyLines(
  services: Services,
  found: WholeCase,
  change: Omit<Change, "key">,
  lines: readonly LinePlace[],
): Promise<Changed> {
  const judged = await judgeVersion(services, found, versionOf(found, found.current_version));
  if (judged.unknown !== null) return { ok: false, message: judged.unknown };
  return changeCase(services.database, { ...change, key: found.key }, async ({ query, keep }) => {
    const former = openLayer(found)?.faulty_lines ?? [];
    const layer = await layerToDecide(query, found, judged);
    if (former.length > 0) await keep("layer", layer, { faulty_lines: former });
    await setFaultyLines(query, layer, lines);
    return undefined;
  });
}

/** Keeps where a fault lies, why it is not where the tool said, and what it is, in words. */
export async function describeFault(
  services: Services,
  found: WholeCase,
  change: Omit<Change, "key" | "text">,
  layerKey: string | null,
  words: FaultWords,
): Promise<Changed> {
  if (words.place === "outside" && words.placeReason.trim() === "")
    return { ok: false, message: "A fault outside of the program needs a reason: say where it lies." };
  const about = await layerFor(services, found, layerKey);
  if (!about.ok) return about;
  const { layer, begin } = about;
  const text = {
    yours: words.explanation,
    theirs: (now: WholeCase) => now.layers.find((each) => each.key === layer?.key)?.explanation ?? "",
  };
  return changeCase(services.database, { ...change, text, key: found.key }, async ({ query, keep }) => {
    const key = await begin(query);
    const { place, place_reason, explanation } = layer ?? {};
    if (explanation || place_reason) await keep("layer", key, { place, place_reason, explanation });
    await setFaultWords(query, key, words);
    return undefined;
  });
}

/** A layer by its key, or the open one (null: it is begun by what is written); refused where it is none of the case any more. */
async function layerFor(services: Services, found: WholeCase, layerKey: string | null) {
  const layer = layerKey === null ? openLayer(found) : (found.layers.find((each) => each.key === layerKey) ?? null);
  if (layerKey !== null && !layer)
    return { ok: false as const, message: "This fault is not one of this case any more. Nothing was changed." };
  const judged = layer ? null : await judgeVersion(services, found, versionOf(found, found.current_version));
  if (judged && judged.unknown !== null) return { ok: false as const, message: judged.unknown };
  const begin = async (query: Query) => layer?.key ?? (judged ? await layerToDecide(query, found, judged) : "");
  return { ok: true as const, layer, judged, begin };
}

/**
 * Keeps what a teacher says of where a fault comes from, when it is noticed and on what it depends; a null field goes by the
 * evidence. Refused where the cause does not go with how it shows.
 */
export async function sayFields(
  services: Services,
  found: WholeCase,
  change: Omit<Change, "key">,
  layerKey: string | null,
  fields: FaultFields,
): Promise<Changed> {
  const about = await layerFor(services, found, layerKey);
  if (!about.ok) return about;
  const { layer, judged, begin } = about;
  const shows = layer ? (layer.decided ? layer.decided.class : layer.verdict.class) : judged?.deciding.judgement.class;
  const refusal = causeRefusal(shows ?? null, fields.cause);
  if (refusal) return { ok: false, message: refusal };
  return changeCase(services.database, { ...change, key: found.key }, async ({ query, keep }) => {
    const key = await begin(query);
    if (layer) await keep("layer", key, fieldsOfLayer(layer));
    await setFaultFields(query, key, fields);
    return undefined;
  });
}

/** Keeps which kind of mistake a teacher says a fault is (its id, which is known); null: as the evidence suggests. */
export async function sayPattern(
  services: Services,
  found: WholeCase,
  change: Omit<Change, "key">,
  layerKey: string | null,
  pattern: string | null,
): Promise<Changed> {
  const about = await layerFor(services, found, layerKey);
  if (!about.ok) return about;
  const { layer, begin } = about;
  if (layer && layer.pattern === pattern) return { ok: true };
  return changeCase(services.database, { ...change, key: found.key }, async ({ query, keep }) => {
    const key = await begin(query);
    if (layer?.pattern) await keep("layer", key, { pattern: layer.pattern });
    await setPattern(query, key, pattern);
    return undefined;
  });
}

/** Keeps what the messages about a fault were worth, and what they do not say. */
export async function sayAdvice(
  services: Services,
  found: WholeCase,
  change: Omit<Change, "key">,
  layerKey: string | null,
  given: Advice,
): Promise<Changed> {
  const about = await layerFor(services, found, layerKey);
  if (!about.ok) return about;
  const { layer, begin } = about;
  return changeCase(services.database, { ...change, key: found.key }, async ({ query, keep }) => {
    const key = await begin(query);
    if (layer?.advice || layer?.unsaid) await keep("layer", key, { advice: layer.advice, unsaid: layer.unsaid });
    await setAdvice(query, key, given);
    return undefined;
  });
}

/** Keeps what the fix of a layer is meant to do, since several can be right. */
export async function sayIntention(
  services: Pick<Services, "database">,
  found: WholeCase,
  change: Omit<Change, "key" | "text">,
  layerKey: string,
  intention: string,
): Promise<Changed> {
  const layer = found.layers.find((each) => each.key === layerKey);
  if (!layer) return { ok: false, message: "This fault is not one of this case any more. Nothing was changed." };
  if ((layer.intention ?? "") === intention) return { ok: true };
  const text = {
    yours: intention,
    theirs: (now: WholeCase) => now.layers.find((each) => each.key === layerKey)?.intention ?? "",
  };
  return changeCase(services.database, { ...change, text, key: found.key }, async ({ query, keep }) => {
    await keep("layer", layerKey, { intention: layer.intention });
    await setIntention(query, layerKey, intention);
    return undefined;
  });
}
