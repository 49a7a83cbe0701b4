import * as z from "zod";
import {
  adviceWorths,
  decisionSchema,
  faultPlaceSchema,
  hunkSchema,
  keptVerdictSchema,
  linePlaceSchema,
  verificationSchema,
} from "../cases/case.ts";
import { faultFieldsSchema } from "../verdict/fields.ts";

/** Bytes by their SHA-256 in small hexadecimal digits. */
const hashSchema = z.string().regex(/^[0-9a-f]{64}$/);

const versionSchema = z.looseObject({
  number: z.number().int().positive(),
  origin: z.string(),
  parent: z.number().int().positive().nullable(),
  worked: z.boolean(),
  handedIn: z.boolean(),
  belief: z.string(),
  result: z.enum(["verified", "next fault", "not mended", "open"]).nullable(),
  at: z.string(),
  files: z.array(z.looseObject({ name: z.string().min(1).max(300), encoding: z.string(), sha256: hashSchema })).min(1),
  outputs: z.array(z.looseObject({ origin: z.string(), text: z.string() })),
});

const checkSchema = z.looseObject({
  key: z.string(),
  name: z.string(),
  purpose: z.string(),
  kind: z.enum(["normal", "boundary", "erroneous"]),
  input: z.string(),
  expected: z.string().nullable(),
  surroundings: z.unknown(),
  comparison: z.unknown(),
  handedIn: z.boolean(),
  ofAssignment: z.boolean(),
  edition: z.number().int(),
});

const layerSchema = z.looseObject({
  position: z.number().int().positive(),
  before: z.number().int().positive(),
  after: z.number().int().positive().nullable(),
  suggested: keptVerdictSchema,
  decided: decisionSchema.nullable(),
  faultyLines: z.array(linePlaceSchema),
  place: faultPlaceSchema,
  placeReason: z.string(),
  explanation: z.string(),
  fix: z.array(hunkSchema).nullable(),
  firstFix: z.array(hunkSchema).nullable(),
  intention: z.string().nullable(),
  advice: z.enum(adviceWorths).nullable(),
  unsaid: z.string(),
  ...faultFieldsSchema.shape,
  /** The kind of mistake that a teacher said it is, and what the evidence suggests where nobody did. */
  pattern: z.string().nullable(),
  suggestedPattern: z.string().nullable(),
  verified: verificationSchema.nullable(),
});

/**
 * A case with all that is recorded of it, as bundles hold it; bytes of programs lie beside it. Versions are named by their numbers. Lines from 1.
 * Keys that are not known are kept.
 */
export const caseEntrySchema = z.looseObject({
  key: z.string(),
  language: z.string(),
  title: z.string(),
  intent: z.string(),
  changedLast: z.string(),
  instead: z.string(),
  cameOut: z.string(),
  handTable: z.string(),
  userActions: z.array(z.string()),
  firstLine: z.number().int(),
  onlyRead: z.boolean(),
  source: z.string(),
  note: z.string(),
  symptom: z.enum(["never ends", "nothing appears"]).nullable(),
  collected: z.string(),
  judged: z.boolean(),
  mended: z.boolean(),
  course: z.string().nullable(),
  assignment: z.string().nullable(),
  student: z.string().nullable(),
  current: z.number().int().positive(),
  versions: z.array(versionSchema).min(1),
  checks: z.array(checkSchema),
  layers: z.array(layerSchema),
  additions: z.array(z.string()),
});
export type CaseEntry = z.infer<typeof caseEntrySchema>;

/** A case with the texts of its programs, by SHA-256. */
export type ReadEntry = { entry: CaseEntry; text: (sha256: string) => string };

/** The text of the main file of a version; "" where there is none. */
export function mainTextOf({ entry, text }: ReadEntry, number: number): string {
  const file = entry.versions.find((version) => version.number === number)?.files[0];
  return file ? text(file.sha256) : "";
}

/** The name of the main file of a case. */
export function mainNameOf(entry: CaseEntry): string {
  return entry.versions[0]?.files[0]?.name ?? "program";
}

/** The version that the search for the fault began with: that of the first layer, else the current one. */
export function firstOf(entry: CaseEntry): number {
  return entry.layers[0]?.before ?? entry.current;
}

/** A short name for files of a case: its title in plain signs, with the place in the list so that no two are the same. */
export function fileNameOf(entry: CaseEntry, at: number): string {
  const plain = entry.title
    .normalize("NFKD")
    .replace(/[^A-Za-z0-9]+/g, "-")
    .replace(/^-|-$/g, "")
    .slice(0, 40)
    .toLowerCase();
  return `${String(at + 1).padStart(4, "0")}-${plain || "case"}`;
}
