/** A text as a part of a regular expression that stands for itself. */
export function escaped(text: string): string {
  return text.replace(/[.*+?^${}()|[\]\\]/g, "\\$&");
}
