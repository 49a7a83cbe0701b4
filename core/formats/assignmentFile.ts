import * as z from "zod";
import { comparisonSchema } from "../assignments/comparison.ts";
import { type InputShape, inputValueSchema } from "../assignments/inputShape.ts";
import { type IntendedPiece, intendedPieceSchema } from "../assignments/intended.ts";
import type { Surroundings } from "../cases/surroundings.ts";
import type { ProgramFiles } from "../outcome/outcome.ts";
import { decodeText } from "../source/decode.ts";

/** The newest version of the format that is read; it goes up when a file means something else than before. */
export const assignmentVersion = 1;
/** Bytes of a file that is taken; models and checks of a whole course are far below. */
export const largestAssignmentFile = 20 * 1024 * 1024;

/** Text in UTF-8 as it is; other bytes by base64 (RFC 4648, 4). */
const textSchema = z.union([z.string(), z.strictObject({ base64: z.base64() })]);

/** A path that stays in its folder: no root, no drive, no step upwards. */
const pathSchema = z
  .string()
  .min(1)
  .max(200)
  .regex(/^(?![/\\])(?!.*(?:^|[/\\])\.\.(?:[/\\]|$))(?![A-Za-z]:)[^\0]+$/, "a path may not lead outward");

const fileSchema = z.union([
  z.strictObject({ path: pathSchema, text: z.string() }),
  z.strictObject({ path: pathSchema, base64: z.base64() }),
]);
type WrittenFile = z.infer<typeof fileSchema>;
/** In a check a file may also be one that is to be absent. */
const besideSchema = z.union([fileSchema, z.strictObject({ path: pathSchema, absent: z.literal(true) })]);

const checkSchema = z.object({
  name: z.string().max(120).default(""),
  input: textSchema.default(""),
  /** Absent: a model works it out. "": nothing is to come out. */
  expected: textSchema.optional(),
  /** The intended output as a model gave it, with its prompts. */
  pieces: z.array(intendedPieceSchema).optional(),
  files: z.array(besideSchema).default([]),
  kind: z.enum(["normal", "boundary", "erroneous"]).default("normal"),
  purpose: z.string().max(500).default(""),
  visible: z.boolean().default(false),
  /** False: a proposal that nobody has confirmed yet. */
  confirmed: z.boolean().default(true),
  compare: comparisonSchema.default({}),
});

/** The file as it is written (format "bent-nail-assignment"). */
export const assignmentFileSchema = z.object({
  format: z.literal("bent-nail-assignment"),
  version: z.number().int().positive(),
  title: z.string().max(200).default(""),
  statement: textSchema.default(""),
  languages: z.array(z.string().max(40)).default([]),
  /** What is not said is as assignments begin: prompts do not count. */
  compare: comparisonSchema.default({ prompts: "ignored" }),
  inputs: z.array(inputValueSchema).max(40).default([]),
  starter: z.array(fileSchema).default([]),
  models: z.array(z.object({ language: z.string().max(40), files: z.array(fileSchema).min(1) })).default([]),
  checks: z.array(checkSchema).max(200).default([]),
});

/** A check of a file, its texts decoded. `expected` null: it is not said. */
export type FileCheck = {
  name: string;
  input: string;
  expected: string | null;
  pieces: IntendedPiece[] | null;
  surroundings: Surroundings;
  kind: "normal" | "boundary" | "erroneous";
  purpose: string;
  visible: boolean;
  confirmed: boolean;
  comparison: z.infer<typeof comparisonSchema>;
};

/** An assignment as a file holds it, texts and files decoded. */
export type AssignmentContent = {
  title: string;
  statement: string;
  languages: string[];
  comparison: z.infer<typeof comparisonSchema>;
  inputs: InputShape;
  starter: ProgramFiles;
  models: Array<{ language: string; files: ProgramFiles }>;
  checks: FileCheck[];
};

/** An assignment that says nothing but its checks. */
export function checksAlone(checks: FileCheck[]): AssignmentContent {
  return {
    ...{ title: "", statement: "", languages: [], comparison: { prompts: "ignored" }, inputs: [] },
    ...{ starter: [], models: [], checks },
  };
}

/** What was read, with what of it is not known and was left out; or why nothing was taken, in words. */
export type ReadAssignment =
  | { ok: true; assignment: AssignmentContent; leftOut: string[] }
  | { ok: false; message: string };

function bytesOf(base64: string): Uint8Array {
  return Uint8Array.from(atob(base64), (sign) => sign.charCodeAt(0));
}

function textOf(text: z.infer<typeof textSchema>): string {
  return typeof text === "string" ? text : decodeText(bytesOf(text.base64)).text;
}

function fileOf(file: WrittenFile): { name: string; bytes: Uint8Array } {
  return { name: file.path, bytes: "text" in file ? new TextEncoder().encode(file.text) : bytesOf(file.base64) };
}

function checkOf(check: z.infer<typeof checkSchema>): FileCheck {
  const { name, kind, purpose, visible, confirmed, compare, pieces } = check;
  return {
    ...{ name, kind, purpose, visible, confirmed, comparison: compare, pieces: pieces ?? null },
    input: textOf(check.input),
    expected: check.expected === undefined ? null : textOf(check.expected),
    surroundings: Object.fromEntries(
      check.files.map((file) => [file.path, "absent" in file ? null : decodeText(fileOf(file).bytes).text]),
    ),
  };
}

/** Keys of an object that its schema does not know, with where they stand. */
function unknownKeys(given: unknown, known: z.ZodObject, place: string): string[] {
  if (typeof given !== "object" || given === null || Array.isArray(given)) return [];
  return Object.keys(given)
    .filter((key) => !Object.hasOwn(known.shape, key))
    .map((key) => `${place}${key}`);
}

function leftOutOf(given: Readonly<Record<string, unknown>>): string[] {
  const inList = (list: unknown, schema: z.ZodObject, name: string) =>
    Array.isArray(list) ? list.flatMap((each, index) => unknownKeys(each, schema, `${name} ${index + 1}: `)) : [];
  return [
    ...unknownKeys(given, assignmentFileSchema, ""),
    ...inList(given.checks, checkSchema, "check"),
    ...inList(given.models, assignmentFileSchema.shape.models.unwrap().element, "model"),
  ];
}

function problemsOf(error: z.ZodError): string {
  const words = error.issues.slice(0, 5).map((issue) => `${issue.path.join(".") || "the file"}: ${issue.message}`);
  return `${words.join("; ")}${error.issues.length > 5 ? `; and ${error.issues.length - 5} more` : ""}`;
}

/**
 * Reads an assignment from the text of a file. One of a newer version is refused with words; keys that are not known are
 * left out and named.
 */
export function readAssignmentFile(text: string): ReadAssignment {
  if (text.length > largestAssignmentFile)
    return { ok: false, message: "This file is larger than 20 MB. An assignment holds programs and checks, no more." };
  let given: unknown;
  try {
    given = JSON.parse(text.replace(/^\ufeff/, ""));
  } catch (problem) {
    return {
      ok: false,
      message: `This is no JSON: ${problem instanceof Error ? problem.message : "it cannot be read"}.`,
    };
  }
  const head = z.looseObject({ format: z.unknown(), version: z.unknown() }).safeParse(given);
  if (!head.success || head.data.format !== "bent-nail-assignment")
    return { ok: false, message: "This is no assignment: its format is not “bent-nail-assignment”." };
  if (typeof head.data.version === "number" && head.data.version > assignmentVersion)
    return {
      ok: false,
      message: `This assignment is of version ${head.data.version}; this Bent Nail reads up to version ${assignmentVersion}. Nothing was taken.`,
    };
  const read = assignmentFileSchema.safeParse(given);
  if (!read.success) return { ok: false, message: `This assignment cannot be read. ${problemsOf(read.error)}.` };
  const { title, statement, languages, compare, inputs, starter, models, checks } = read.data;
  return {
    ok: true,
    leftOut: leftOutOf(head.data),
    assignment: {
      ...{ title, languages, inputs, comparison: compare, statement: textOf(statement) },
      starter: starter.map(fileOf),
      models: models.map((model) => ({ language: model.language, files: model.files.map(fileOf) })),
      checks: checks.map(checkOf),
    },
  };
}

/** Reads what `--checks` names: an array of checks, or an assignment with them. Throws a ZodError for anything else. */
export function readChecksOf(given: unknown): FileCheck[] {
  const list = Array.isArray(given) ? given : z.looseObject({ checks: z.array(z.unknown()) }).parse(given).checks;
  return list.map((each: unknown) => {
    // A check may name its files by a record of texts as well.
    const files = z.looseObject({ files: z.record(z.string(), z.string().nullable()) }).safeParse(each);
    if (!files.success) return checkOf(checkSchema.parse(each));
    const read = checkOf(checkSchema.parse({ ...files.data, files: [] }));
    const named = z.record(pathSchema, z.string().nullable()).parse(files.data.files);
    return { ...read, surroundings: named };
  });
}

/** Bytes as a file holds them: as text where they are UTF-8, else by base64. */
function written(bytes: Uint8Array): { text: string } | { base64: string } {
  try {
    return { text: new TextDecoder("utf-8", { fatal: true, ignoreBOM: true }).decode(bytes) };
  } catch {
    let binary = "";
    for (const byte of bytes) binary += String.fromCharCode(byte);
    return { base64: btoa(binary) };
  }
}

/** Writes an assignment as the text of a file; `readAssignmentFile` gives the same back. */
export function writeAssignmentFile(assignment: AssignmentContent): string {
  const files = (all: ProgramFiles) => all.map((file) => ({ path: file.name, ...written(file.bytes) }));
  const { title, statement, languages, comparison, inputs } = assignment;
  return `${JSON.stringify(
    {
      ...{ format: "bent-nail-assignment", version: assignmentVersion, title, statement, languages },
      ...{ compare: comparison, inputs, starter: files(assignment.starter) },
      models: assignment.models.map((model) => ({ language: model.language, files: files(model.files) })),
      checks: assignment.checks.map((check) => ({
        ...{ name: check.name, input: check.input },
        ...(check.expected === null ? {} : { expected: check.expected }),
        ...(check.pieces ? { pieces: check.pieces } : {}),
        files: Object.entries(check.surroundings).map(([path, text]) =>
          text === null ? { path, absent: true } : { path, text },
        ),
        ...{ kind: check.kind, purpose: check.purpose, visible: check.visible, confirmed: check.confirmed },
        compare: check.comparison,
      })),
    },
    null,
    2,
  )}\n`;
}

/** The JSON Schema of the format (draft 2020-12), for whoever writes such files. */
export function assignmentJsonSchema(): object {
  return {
    ...z.toJSONSchema(assignmentFileSchema, { io: "input" }),
    title: "An assignment of Bent Nail",
    description: "What a set of programs is to do: statement, checks, model programs, how outputs are compared.",
  };
}
