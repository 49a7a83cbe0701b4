import { z } from "zod";

/** Columns as the database gives them. */
export const bytesColumn = z.instanceof(Uint8Array);
export const textBytes = bytesColumn.transform((bytes) => Buffer.from(bytes).toString("utf8"));
export const timeColumn = z.date().transform((date) => date.toISOString());

/** Text as bytes: text columns cannot hold NUL and broken surrogates, which students' texts may. */
export function asBytes(text: string): Buffer {
  return Buffer.from(text, "utf8");
}

/** A column that holds JSON text of the given shape. */
export function jsonColumn<Shape extends z.ZodType>(shape: Shape) {
  return z.string().transform((text, context): z.output<Shape> => {
    const parsed = shape.safeParse(JSON.parse(text));
    if (parsed.success) return parsed.data;
    context.addIssue({ code: "custom", message: z.prettifyError(parsed.error) });
    return z.NEVER;
  });
}

/** The single row of a result, or null. */
export function oneRow<Shape extends z.ZodType>(shape: Shape, rows: readonly unknown[]): z.output<Shape> | null {
  return rows.length === 0 ? null : shape.parse(rows[0]);
}
