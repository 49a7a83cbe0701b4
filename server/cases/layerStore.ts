import * as z from "zod";
import {
  adviceWorths,
  type Decision,
  decisionSchema,
  type FaultPlace,
  faultPlaceSchema,
  hunkSchema,
  type KeptVerdict,
  keptVerdictSchema,
  type LinePlace,
  linePlaceSchema,
  type Verification,
  verificationSchema,
} from "../../core/cases/case.ts";
import type { Hunk } from "../../core/fixes/hunks.ts";
import { type FaultFields, faultFieldsSchema } from "../../core/verdict/fields.ts";
import type { Query } from "../database/database.ts";
import { asBytes, asJson, jsonColumn, textBytes } from "../database/rows.ts";
import { newKey } from "../keys.ts";

const verdictRest = keptVerdictSchema.omit({ class: true, kind: true, symptom: true });
const decisionRest = decisionSchema.omit({ outcome: true, class: true, kind: true });

const row = z.object({
  key: z.string(),
  position: z.number(),
  version_before: z.string(),
  version_after: z.string().nullable(),
  suggested_class: keptVerdictSchema.shape.class,
  suggested_kind: keptVerdictSchema.shape.kind,
  symptom: z.string(),
  verdict: jsonColumn(verdictRest),
  decided_class: decisionSchema.shape.class,
  decided_kind: decisionSchema.shape.kind,
  decided: jsonColumn(decisionRest).nullable(),
  outcome: decisionSchema.shape.outcome,
  faulty_lines: jsonColumn(z.array(linePlaceSchema)),
  fix: jsonColumn(z.array(hunkSchema)).nullable(),
  first_fix: jsonColumn(z.array(hunkSchema)).nullable(),
  intention: textBytes.nullable(),
  verified: jsonColumn(verificationSchema).nullable(),
  place: faultPlaceSchema,
  place_reason: textBytes,
  explanation: textBytes,
  advice: z.enum(adviceWorths).nullable(),
  unsaid: textBytes,
  cause: faultFieldsSchema.shape.cause,
  moment: faultFieldsSchema.shape.moment,
  depends: faultFieldsSchema.shape.depends,
  /** The kind of mistake that a teacher said it is. */
  pattern: z.string().nullable(),
});

/** One fault of a case: what the evidence suggests, what the teacher decided, the lines, the fix. */
const layerRow = row.transform(
  ({ suggested_class, suggested_kind, symptom, verdict, decided_class, decided_kind, outcome, decided, ...rest }) => ({
    ...rest,
    verdict: { ...verdict, class: suggested_class, kind: suggested_kind, symptom } satisfies KeptVerdict,
    decided: decided && { ...decided, outcome, class: decided_class, kind: decided_kind },
  }),
);
export type Layer = z.output<typeof layerRow>;

const columns = Object.keys(row.shape).join(", ");

/** The layers of a case, the outermost fault first. */
export async function listLayers(query: Query, faultyCase: string): Promise<Layer[]> {
  return z
    .array(layerRow)
    .parse(await query(`select ${columns} from layer where faulty_case = $1 order by position`, [faultyCase]));
}

/** Begins a layer on a version with what the evidence suggests; returns its key. */
export async function insertLayer(
  query: Query,
  faultyCase: string,
  version: string,
  verdict: KeptVerdict,
): Promise<string> {
  const key = newKey();
  await query(
    `insert into layer (key, faulty_case, position, version_before, suggested_class, suggested_kind, symptom, verdict)
     values ($1, $2, (select coalesce(max(position), 0) + 1 from layer where faulty_case = $2), $3, $4, $5, $6, $7)`,
    [key, faultyCase, version, ...suggestion(verdict)],
  );
  return key;
}

/** The values of a suggestion's columns: class, kind, symptom and the rest. */
function suggestion(verdict: KeptVerdict): unknown[] {
  return [verdict.class, verdict.kind, verdict.symptom, asJson(verdictRest.parse(verdict))];
}

/** Writes a new suggestion of the evidence; what was decided stays as it is. */
export async function setSuggestion(query: Query, layer: string, verdict: KeptVerdict): Promise<void> {
  await query("update layer set suggested_class = $2, suggested_kind = $3, symptom = $4, verdict = $5 where key = $1", [
    layer,
    ...suggestion(verdict),
  ]);
}

/** Writes the teacher's decision. */
export async function setDecision(query: Query, layer: string, decision: Decision): Promise<void> {
  await query("update layer set outcome = $2, decided_class = $3, decided_kind = $4, decided = $5 where key = $1", [
    layer,
    decision.outcome,
    decision.class,
    decision.kind,
    asJson(decisionRest.parse(decision)),
  ]);
}

export async function setFaultyLines(query: Query, layer: string, lines: readonly LinePlace[]): Promise<void> {
  await query("update layer set faulty_lines = $2 where key = $1", [layer, asJson(lines)]);
}

/** What the fix is meant to do, since several can be right. */
export async function setIntention(query: Query, layer: string, intention: string): Promise<void> {
  await query("update layer set intention = $2 where key = $1", [layer, asBytes(intention)]);
}

/** What a person says of a fault beside its class and lines. */
export type FaultWords = { place: FaultPlace; placeReason: string; explanation: string };

/** Writes where a fault lies, why it is not where the tool said, and what it is. */
export async function setFaultWords(query: Query, layer: string, words: FaultWords): Promise<void> {
  await query("update layer set place = $2, place_reason = $3, explanation = $4 where key = $1", [
    ...[layer, words.place, asBytes(words.placeReason), asBytes(words.explanation)],
  ]);
}

/** What messages were worth for a fault, by the teacher; `unsaid`: what they do not say. */
export type Advice = { advice: (typeof adviceWorths)[number] | null; unsaid: string };

/** Writes what the messages about a fault were worth. */
export async function setAdvice(query: Query, layer: string, { advice, unsaid }: Advice): Promise<void> {
  await query("update layer set advice = $2, unsaid = $3 where key = $1", [layer, advice, asBytes(unsaid)]);
}

/** Writes what a teacher says of where a fault comes from, when it is noticed and on what it depends; null: as the evidence says. */
export async function setFaultFields(query: Query, layer: string, fields: FaultFields): Promise<void> {
  await query("update layer set cause = $2, moment = $3, depends = $4 where key = $1", [
    ...[layer, fields.cause, fields.moment, fields.depends],
  ]);
}

/** Writes which kind of mistake a teacher says a fault is; null: as the evidence suggests. */
export async function setPattern(query: Query, layer: string, pattern: string | null): Promise<void> {
  await query("update layer set pattern = $2 where key = $1", [layer, pattern]);
}

/** Closes a layer: its fix, the same carried back to the first version (null if it cannot be), and what verifies it. */
export async function closeLayer(
  query: Query,
  layer: string,
  given: { version: string; fix: readonly Hunk[]; firstFix: readonly Hunk[] | null; verified: Verification },
): Promise<void> {
  await query("update layer set version_after = $2, fix = $3, first_fix = $4, verified = $5 where key = $1", [
    ...[layer, given.version, asJson(given.fix)],
    ...[given.firstFix === null ? null : asJson(given.firstFix), asJson(given.verified)],
  ]);
}

/** Opens a layer again: its fix is taken back. */
export async function reopenLayer(query: Query, layer: string): Promise<void> {
  await query("update layer set version_after = null, fix = null, first_fix = null, verified = null where key = $1", [
    layer,
  ]);
}

export async function deleteLayer(query: Query, layer: string): Promise<void> {
  await query("delete from layer where key = $1", [layer]);
}

export async function setVerified(query: Query, layer: string, verified: Verification): Promise<void> {
  await query("update layer set verified = $2 where key = $1", [layer, asJson(verified)]);
}
