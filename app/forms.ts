import { data } from "react-router";
import * as z from "zod";

/** The form of a request. Throws the answer for one that is cut off or is no form. */
export async function readForm(request: Request): Promise<FormData> {
  try {
    return await request.formData();
  } catch {
    throw data("This form did not arrive whole. Go back, and send it again.", { status: 400 });
  }
}

/**
 * The text of a form field with the line ends that programs are kept with; browsers send CR LF for each. "" if there is
 * none.
 */
export function formText(form: FormData, name: string): string {
  const value = form.get(name);
  return typeof value === "string" ? value.replaceAll("\r\n", "\n") : "";
}

/** A whole number that a form field or an address gives, moved into the bounds; `otherwise` where it is none. */
export function wholeNumber(
  value: FormDataEntryValue | null,
  bounds: { from: number; to: number; otherwise: number },
): number {
  const number = typeof value === "string" && value.trim() !== "" ? Number(value) : Number.NaN;
  return Number.isFinite(number) ? Math.min(bounds.to, Math.max(bounds.from, Math.trunc(number))) : bounds.otherwise;
}

/** The fields of a form by name, each with all its values: what the schema of an action reads. */
export function formFields(form: FormData): Record<string, FormDataEntryValue[]> {
  // Whoever sends a form names its fields: none of them is one that every object has.
  const fields = Object.create(null) as Record<string, FormDataEntryValue[]>;
  for (const [name, value] of form) {
    const values = fields[name] ?? [];
    fields[name] = values;
    values.push(value);
  }
  return fields;
}

function textsOf(values: unknown): string[] {
  const all: unknown[] = Array.isArray(values) ? values : [];
  return all.flatMap((value) => (typeof value === "string" ? [value.replaceAll("\r\n", "\n")] : []));
}

/** Characters of a text that a person may send in a field, where its action says no other limit. */
const mostCharacters = 2_000_000;

/** Fields of a form for the schemas of actions. Each reads all values that a field has; what does not fit is refused. */
export const field = {
  /** A text with the line ends that programs are kept with; "" if there is none. */
  text: (most = mostCharacters) => z.preprocess((values) => textsOf(values)[0] ?? "", z.string().max(most)),
  /** A whole number. */
  whole: (from: number, to: number) =>
    z.preprocess((values) => {
      const text = textsOf(values)[0]?.trim() ?? "";
      return /^-?\d{1,15}$/.test(text) ? Number(text) : text;
    }, z.number().int().min(from).max(to)),
  /** A number with a decimal point or without. */
  decimal: (from: number, to: number) =>
    z.preprocess((values) => {
      const text = textsOf(values)[0]?.trim() ?? "";
      return /^-?\d{1,9}(\.\d{1,6})?$/.test(text) ? Number(text) : text;
    }, z.number().min(from).max(to)),
  /** Whether a box was ticked or a button with this name pressed. */
  ticked: () => z.preprocess((values) => textsOf(values).length > 0, z.boolean()),
  /** One of some words. */
  one: <const Words extends readonly [string, ...string[]]>(words: Words) =>
    z.preprocess((values) => textsOf(values)[0], z.enum(words)),
  /** All values of a field, none if it is not there. */
  list: () => z.preprocess(textsOf, z.array(z.string().max(mostCharacters)).max(10_000)),
  /** Files that were chosen, those that hold anything. */
  files: () =>
    z.preprocess(
      (values) => (Array.isArray(values) ? values : []),
      z
        .array(z.union([z.instanceof(File), z.string()]))
        .max(1000)
        .transform((all) => all.filter((each): each is File => each instanceof File && each.size > 0)),
    ),
  /** JSON of a shape. */
  json: <Shape extends z.ZodType>(shape: Shape) =>
    z.preprocess((values) => {
      try {
        return JSON.parse(textsOf(values)[0] ?? "");
      } catch {
        return undefined;
      }
    }, shape),
  /** The revision at which a page had read what it changes. */
  revision: () => field.whole(0, 2 ** 31 - 1),
};
