import * as z from "zod";

/**
 * "line": a row for every executed line. "change": only rows in which a column changes, something is printed or typed in, or a
 * decision is made. "pass": one for each pass of an innermost loop (annotate.ts).
 */
export const rowPolicies = ["line", "change", "pass"] as const;
export type RowPolicy = (typeof rowPolicies)[number];

/** Columns that a table has where they are wanted, beside its variables and the output. */
export const moreColumnNames = ["condition", "pass", "call", "depth", "waiting"] as const;
export type MoreColumn = (typeof moreColumnNames)[number];

/** How a course writes trace tables: on screen, on paper, in exercises. Values that are recorded do not change by it. */
export const tableStyleSchema = z.strictObject({
  name: z
    .string()
    .trim()
    .min(1)
    .max(60)
    .regex(/^\P{Cc}+$/u)
    .default("as usual"),
  rows: z.enum(rowPolicies).default("line"),
  /** What stands in a cell whose variable did not change. */
  unchanged: z.enum(["blank", "repeated"]).default("blank"),
  /** Texts with the quotes of the language, or without. */
  texts: z.enum(["quoted", "plain"]).default("quoted"),
  /** `True` as the language writes it, or `true` and `false` everywhere. */
  truth: z.enum(["as written", "plain"]).default("as written"),
  /** An object by a short name, whole once and then what changes in it; or whole wherever it stands. */
  objects: z.enum(["named", "whole"]).default("named"),
  /** Whether another way of writing values than the table's is a slip, once, where a table is marked. */
  notation: z.enum(["free", "counts"]).default("free"),
  columns: z.array(z.enum(moreColumnNames)).default([]),
});
export type TableStyle = z.infer<typeof tableStyleSchema>;

/** What of a style values are written by. */
export type ValueStyle = Pick<TableStyle, "texts" | "truth" | "objects">;

/** The style of a course that chose none. */
export const usualStyle: TableStyle = tableStyleSchema.parse({});

/** Values as they were recorded: in full, as the language writes them. */
export const asRecorded: ValueStyle = { texts: "quoted", truth: "as written", objects: "whole" };

/** A style from the text of a file; in words what is wrong with one that is none. */
export function readTableStyle(text: string): { ok: true; style: TableStyle } | { ok: false; message: string } {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    return { ok: false, message: "a table style is a JSON object; this text is none" };
  }
  const read = tableStyleSchema.safeParse(value);
  if (read.success) return { ok: true, style: read.data };
  const [issue] = read.error.issues;
  const where = issue?.path.join(".") ?? "";
  return { ok: false, message: `the table style is not understood${where && ` at ${where}`}: ${issue?.message ?? ""}` };
}
