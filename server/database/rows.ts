import * as z from "zod";

/** Columns as the database gives them. */
export const bytesColumn = z.instanceof(Uint8Array);
export const textBytes = bytesColumn.transform((bytes) => Buffer.from(bytes).toString("utf8"));
export const timeColumn = z.date().transform((date) => date.toISOString());

/** Text as bytes: text columns cannot hold NUL and broken surrogates, which students' texts may. */
export function asBytes(text: string): Buffer {
  return Buffer.from(text, "utf8");
}

/** A short text for a text column, on one line: what such a column cannot hold is a blank. For names and titles. */
export function asPlainText(text: string): string {
  return text.replace(/[\u0000-\u001f\ud800-\udfff]/gu, " ").trim();
}

/**
 * The sign that stands before four hexadecimal digits for what a jsonb value cannot hold (NUL and surrogates without
 * their partner), and for itself. Programs of students may hold all of them, and nothing of a program may be lost.
 */
const mark = "\uf8ff";

/** A value as JSON that a jsonb column takes, whatever its texts hold; `jsonColumn` reads it back as it was. */
export function asJson(value: unknown): string {
  // JSON.stringify writes exactly these signs as escapes, a surrogate only where it has no partner (ECMA-262, 25.5.2).
  return JSON.stringify(value ?? null)
    .replaceAll(mark, `${mark}f8ff`)
    .replace(/\\(?:u(0000|d[89a-f][0-9a-f]{2})|.)/g, (sign, digits?: string) => (digits ? mark + digits : sign));
}

/** The text of a jsonb column, parsed, with the signs in it that `asJson` had replaced. */
export function fromJson(text: string): unknown {
  if (!text.includes(mark)) return JSON.parse(text);
  return JSON.parse(text.replace(/\uf8ff([0-9a-f]{4})/g, (_, digits: string) => `\\u${digits}`));
}

/** A jsonb column of the given shape; the row is refused where it does not fit. */
export function jsonColumn<Shape extends z.ZodType>(shape: Shape) {
  return z.string().transform((text, context): z.output<Shape> => {
    const parsed = shape.safeParse(fromJson(text));
    if (parsed.success) return parsed.data;
    context.addIssue({ code: "custom", message: z.prettifyError(parsed.error) });
    return z.NEVER;
  });
}

/** The single row of a result, or null. */
export function oneRow<Shape extends z.ZodType>(shape: Shape, rows: readonly unknown[]): z.output<Shape> | null {
  return rows.length === 0 ? null : shape.parse(rows[0]);
}

/** Rows that hold a key. */
export const keyRow = z.object({ key: z.string() });
