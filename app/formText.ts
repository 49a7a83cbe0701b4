import { data } from "react-router";

/** The form of a request. Throws the answer for one that is cut off or is no form. */
export async function readForm(request: Request): Promise<FormData> {
  try {
    return await request.formData();
  } catch {
    throw data("This form did not arrive whole. Go back, and send it again.", { status: 400 });
  }
}

/** The text of a form field with the line ends that programs are kept with; browsers send CR LF for each. "" if there is none. */
export function formText(form: FormData, name: string): string {
  const value = form.get(name);
  return typeof value === "string" ? value.replaceAll("\r\n", "\n") : "";
}

/** A whole number that a form field or an address gives, moved into the bounds; `otherwise` where it is none. */
export function wholeNumber(value: FormDataEntryValue | null, bounds: { from: number; to: number; otherwise: number }): number {
  const number = typeof value === "string" && value.trim() !== "" ? Number(value) : Number.NaN;
  return Number.isFinite(number) ? Math.min(bounds.to, Math.max(bounds.from, Math.trunc(number))) : bounds.otherwise;
}
