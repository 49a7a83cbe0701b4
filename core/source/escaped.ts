/** A text as a part of a regular expression that stands for itself. */
export function escaped(text: string): string {
  return text.replace(/[.*+?^${}()|[\]\\]/g, "\\$&");
}

/**
 * A name as a regular expression, whichever way a text writes its accents: in one piece with their letters, or behind them (systems
 * differ in that, in names of files above all). `between`: what may stand where the name has blanks; absent: just those.
 */
export function escapedName(name: string, between?: string): string {
  const forms = [...new Set([name.normalize("NFC"), name.normalize("NFD")])].map(escaped);
  const pattern = forms.length === 1 ? (forms[0] ?? "") : `(?:${forms.join("|")})`;
  return between === undefined ? pattern : pattern.replace(/\s+/g, between);
}
