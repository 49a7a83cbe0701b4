import * as z from "zod";
import { decisionSchema, hunkSchema, keptVerdictSchema, linePlaceSchema } from "../../core/cases/case.ts";
import { escapedName } from "../../core/source/escaped.ts";

/** How one person's name is replaced in text, and in file names, where the words in its place may hold fewer signs. */
export type NameReplacement = { text: (text: string) => string; fileName: (name: string) => string };

/**
 * Letter case does not count, nor what stands between the name's words; parts of longer words stay. `by` stands in its
 * place as it is. Null for a name of fewer than two letters.
 */
export function nameReplacement(name: string, by: string): NameReplacement | null {
  const wanted = name.trim();
  if (wanted.length < 2) return null;
  const words = escapedName(wanted, "[\\s_.-]+");
  const pattern = new RegExp(`(?<![\\p{L}\\p{M}\\p{N}])${words}(?![\\p{L}\\p{M}\\p{N}])`, "giu");
  const forFiles = by.replace(/[^\p{L}\p{N}.-]/gu, "_");
  return {
    text: (text) => text.replace(pattern, () => by),
    fileName: (fileName) => fileName.replace(pattern, () => forFiles),
  };
}

/**
 * A column of JSON with a name replaced: parsed, changed in those values that hold words of a person or a program, and
 * written back. What is not words (classes, kinds, keys of versions, the names of the fields) is the same afterwards,
 * whatever the name is.
 */
export type JsonColumn = { table: string; column: string; replace: (value: unknown, name: NameReplacement) => unknown };

const jsonOf =
  <Shape extends z.ZodType>(shape: Shape, change: (value: z.output<Shape>, name: NameReplacement) => unknown) =>
  (value: unknown, name: NameReplacement): unknown => {
    const parsed = shape.parse(value);
    const changed = change(parsed, name);
    return JSON.stringify(changed) === JSON.stringify(parsed) ? value : changed;
  };

const hunks = jsonOf(z.array(hunkSchema), (all, { text }) =>
  all.map((hunk) => ({ ...hunk, before: hunk.before.map(text), after: hunk.after.map(text) })),
);

/** The JSON columns of a case's layers that hold words. */
const layerColumns: readonly JsonColumn[] = [
  {
    table: "layer",
    column: "verdict",
    replace: jsonOf(keptVerdictSchema.omit({ class: true, kind: true, symptom: true }), (verdict, { text }) => ({
      ...verdict,
      reasons: verdict.reasons.map(text),
      message: text(verdict.message),
    })),
  },
  {
    table: "layer",
    column: "decided",
    replace: jsonOf(decisionSchema.omit({ outcome: true, class: true, kind: true }), (decision, { text }) => ({
      ...decision,
      reason: text(decision.reason),
    })),
  },
  { table: "layer", column: "fix", replace: hunks },
  { table: "layer", column: "first_fix", replace: hunks },
  {
    table: "layer",
    column: "faulty_lines",
    replace: jsonOf(z.array(linePlaceSchema), (places, { fileName }) =>
      places.map((place) => (place.file === undefined ? place : { ...place, file: fileName(place.file) })),
    ),
  },
];

/** What a check changes beside the program: file names are its fields, so they are replaced as names of files are. */
const surroundingsColumn: JsonColumn = {
  table: "program_check",
  column: "surroundings",
  replace: jsonOf(z.record(z.string(), z.unknown()), (files, { text, fileName }) =>
    Object.fromEntries(
      Object.entries(files).map(([file, content]) => [
        fileName(file),
        typeof content === "string" ? text(content) : content,
      ]),
    ),
  ),
};

/** Fields of former values whose text is chosen from a list, or names something: they stay. */
const fixedFields: ReadonlySet<string> = new Set(
  "key class kind suggested symptom gate version version_before version_after position marker at translator check checksEdition edition outcome task item sitting".split(
    " ",
  ),
);

/** The same for a former value, whose shape is that of its time: every text of it but the fixed ones. */
export function replaceInFormer(former: unknown, name: NameReplacement): unknown {
  const walk = (value: unknown): unknown => {
    if (typeof value === "string") return name.text(value);
    if (Array.isArray(value)) return value.map(walk);
    if (typeof value !== "object" || value === null) return value;
    return Object.fromEntries(
      Object.entries(value).map(([field, inner]) => [
        field,
        fixedFields.has(field) && typeof inner !== "object"
          ? inner
          : field === "file" && typeof inner === "string"
            ? name.fileName(inner)
            : walk(inner),
      ]),
    );
  };
  return walk(former);
}

/** Every JSON column that holds words about a case; each table of them names its case. */
export const jsonColumns: readonly JsonColumn[] = [
  ...layerColumns,
  surroundingsColumn,
  { table: "former_value", column: "former", replace: replaceInFormer },
  { table: "found_fix", column: "edits", replace: hunks },
  // A try quotes the program and what it printed.
  { table: "narrow_try", column: "probes", replace: replaceInFormer },
  { table: "narrow_try", column: "result", replace: replaceInFormer },
  { table: "part_check", column: "result", replace: replaceInFormer },
];
