/**
 * How a written value is compared with a printed one: numbers by value (5 equals 5.0), quotes may be written or left
 * out and may be of either kind, blanks at the ends and around commas, colons and brackets do not count. Letter case
 * counts, but in truths (True, true).
 */
export const cellRule =
  "Values count, not how they are written: 5 and 5.0 are the same, quotes may be left out, blanks at the ends and after commas do not matter.";

const numeric = /^[+-]?(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d+)?$/i;

/** One form for all ways of writing the same value; "" for an empty cell. */
export function normalValue(written: string): string {
  const text = written.trim();
  if (numeric.test(text)) return String(Number(text));
  const inner = /^(["'])(.*)\1$/s.exec(text);
  if (inner && !(inner[2] ?? "").includes(inner[1] ?? '"')) return normalPlain(inner[2] ?? "");
  if (/^[[({]/.test(text)) {
    // Numbers inside a list are compared by value too; texts inside lose their quotes and outer blanks.
    return text
      .split(/([[\](){},:])/)
      .map((part) => (part.length === 1 && "[](){},:".includes(part) ? part : normalValue(part)))
      .join("");
  }
  return normalPlain(text);
}

function normalPlain(text: string): string {
  const trimmed = text.trim();
  if (/^(?:true|false)$/i.test(trimmed)) return trimmed.toLowerCase();
  return numeric.test(trimmed) ? String(Number(trimmed)) : trimmed;
}

/** True if two cells say the same. */
export function sameValue(one: string, other: string): boolean {
  return normalValue(one) === normalValue(other);
}
