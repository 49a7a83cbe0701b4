/** The text of a form field with the line ends that programs are kept with; browsers send CR LF for each. "" if there is none. */
export function formText(form: FormData, name: string): string {
  const value = form.get(name);
  return typeof value === "string" ? value.replaceAll("\r\n", "\n") : "";
}
