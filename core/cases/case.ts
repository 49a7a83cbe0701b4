import * as z from "zod";
import { faultFieldsSchema } from "../verdict/fields.ts";

export const faultClassSchema = z.enum(["syntax", "runtime", "logic"]);

/** A line of a file of a version, counted from 1; without a file it is one of the main file. */
export const linePlaceSchema = z.object({ file: z.string().optional(), line: z.number().int().positive() });
export type LinePlace = z.infer<typeof linePlaceSchema>;

/**
 * Where a fault lies: on its lines; between them, where something is missing after the marked line; or outside of the
 * program, in its input, its files or its surroundings.
 */
export const faultPlaceSchema = z.enum(["lines", "after the line", "outside"]);
export type FaultPlace = z.infer<typeof faultPlaceSchema>;

/** What the advice of a message is worth beside what mends the fault; "none": it gives none. */
export const adviceWorths = ["agrees", "partly", "misleads", "none"] as const;

/**
 * What judging came to: a fault of one of the three classes; none that anybody knows of; or a stop that the program makes
 * on purpose, which is none either.
 */
export const judgingOutcomes = ["fault", "no fault", "stops on purpose"] as const;
export type JudgingOutcome = (typeof judgingOutcomes)[number];

/** The teacher's decision about a layer; it has a class if and only if its outcome is a fault. `suggested` is what the evidence said, kept beside it when they differ. */
export const decisionSchema = z.object({
  outcome: z.enum(judgingOutcomes),
  class: faultClassSchema.nullable(),
  kind: z.enum(["form", "meaning"]).nullable(),
  suggested: faultClassSchema.nullable(),
  reason: z.string(),
  at: z.string(),
});
export type Decision = z.infer<typeof decisionSchema>;

export const hunkSchema = z.object({
  file: z.string().optional(),
  start: z.number().int().positive(),
  before: z.array(z.string()),
  after: z.array(z.string()),
  extra: z.boolean().optional(),
});

/** A check as it was at one time: its edition goes up whenever it changes. */
export const checkEditionSchema = z.object({ check: z.string(), edition: z.number().int() });
export type CheckEdition = z.infer<typeof checkEditionSchema>;

/** "Verified" names what it rests on; when any of these changes it reads "was verified, run again". */
export const verificationSchema = z.object({
  version: z.string(),
  checks: z.array(checkEditionSchema),
  translator: z.string(),
  at: z.string(),
});
export type Verification = z.infer<typeof verificationSchema>;

/** True if what was verified rests on exactly these checks as they are now. */
export function restsOn(verified: Verification, checks: readonly CheckEdition[]): boolean {
  const editions = new Map(checks.map(({ check, edition }) => [check, edition]));
  return (
    verified.checks.length === checks.length &&
    verified.checks.every(({ check, edition }) => editions.get(check) === edition)
  );
}

/** What a layer keeps of the verdict that the evidence suggested, with what the evidence says of its fields. */
export const keptVerdictSchema = z.object({
  fields: faultFieldsSchema.optional(),
  class: faultClassSchema.nullable(),
  kind: z.enum(["form", "meaning"]).nullable(),
  symptom: z.string(),
  gate: z.number().int().min(1).max(3).nullable(),
  reasons: z.array(z.string()),
  reportedLine: z.number().int().positive().nullable(),
  /** The file that the reported line is one of; absent: the main file. */
  reportedFile: z.string().optional(),
  message: z.string(),
});
export type KeptVerdict = z.infer<typeof keptVerdictSchema>;

/** What a tool said of a version, with where it came from ("" where nobody said). */
export type ToolOutput = { origin: string; text: string };

/**
 * What a person hands over. `errorOutput` undefined: there was none; `moreOutputs` are what other tools said of the
 * same text. `worked` is the last version that worked, as files of the same names; `userActions` what the user did to
 * an event-driven program, step by step.
 */
export type NewCase = {
  language: string;
  course: string | null;
  student: string | null;
  title: string;
  intent: string;
  changedLast: string;
  files: ReadonlyArray<{ name: string; bytes: Uint8Array }>;
  errorOutput?: string;
  input: string;
  expected?: string;
  /** What came out, where no message did. */
  actual?: string;
  symptom: "never ends" | "nothing appears" | null;
  moreOutputs?: readonly ToolOutput[];
  worked?: ReadonlyArray<{ name: string; bytes: Uint8Array }>;
  instead?: string;
  userActions?: readonly string[];
  firstLine?: number;
  /** True if it is read and never run; of a fragment above line 1 that is so unless it is said otherwise. */
  onlyRead?: boolean;
  /** Where it comes from: a class, a paper, a book of the school. */
  source?: string;
  /** When it was collected, where that was not now (ISO 8601). */
  collectedAt?: string;
  receipt?: string;
  assignment?: string;
};

/** Largest program that is taken, in bytes. */
export const largestProgram = 2 * 1024 * 1024;

/**
 * What still keeps a case from being collected, as messages for the person by field; empty if nothing does.
 * A case without error output needs an intended and an actual result, or the words "never ends" or "nothing appears".
 */
export function problemsOfNewCase(given: NewCase): Record<string, string> {
  const problems: Record<string, string> = {};
  const main = given.files[0];
  if (!main || main.bytes.length === 0) problems.program = "There is no program yet. Paste it or drop its file here.";
  else if (given.files.reduce((sum, file) => sum + file.bytes.length, 0) > largestProgram)
    problems.program = "The program is larger than 2 MB. Hand in only the files that the fault needs.";
  const hasOutput = (given.errorOutput ?? "").trim() !== "";
  const hasResults = given.expected !== undefined && (given.actual ?? "").trim() !== "";
  if (!hasOutput && !hasResults && given.symptom === null) {
    problems.result =
      "Without an error output, say what should come out and what came out instead, or tick “never ends” or “nothing appears”.";
  }
  return problems;
}
