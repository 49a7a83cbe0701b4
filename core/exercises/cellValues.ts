/**
 * How a written value is compared with a printed one: numbers by value (5 equals 5.0), quotes may be written or left
 * out and may be of either kind, blanks at the ends and around commas, colons and brackets do not count, nor do the
 * brackets around a list. Letter case counts, but in truths (True, true).
 */
export const cellRule =
  "Values count, not how they are written: 5 and 5.0 are the same, quotes may be left out, blanks at the ends and after commas do not matter.";

/** The same where a text with digits and a number have to be told apart. */
export const quotesRule =
  "Values count, not how they are written: 5 and 5.0 are the same, blanks at the ends and after commas do not matter. Quotes count here: 5 is a number and “5” with quotes is a text.";

/** `quotesCount`: a text of digits is another value than the number. */
export type CellReading = { quotesCount?: boolean };

const numeric = /^[+-]?(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d+)?$/i;
const signs = "[](){},:;";

/** A number without what its value does not depend on: zeros at its ends, a plus. Whole ones keep every digit. */
function normalNumber(text: string): string {
  const whole = /^([+-]?\d+)(?:\.0*)?$/.exec(text)?.[1];
  if (whole !== undefined) return BigInt(whole.replace("+", "")).toString();
  const number = Number(text);
  return Number.isInteger(number) ? BigInt(number).toString() : String(number);
}

/** One form for all ways of writing the same value; "" for an empty cell. */
export function normalValue(written: string, reading: CellReading = {}): string {
  const text = written.trim();
  if (numeric.test(text)) return normalNumber(text);
  const inner = /^(["'“”‘’])(.*)["'“”‘’]$/s.exec(text)?.[2];
  if (inner !== undefined && !/["“”]/.test(inner)) {
    const plain = normalPlain(inner);
    return reading.quotesCount && numeric.test(inner.trim()) ? `"${plain}"` : plain;
  }
  if (/^[[({]/.test(text)) {
    // Numbers inside a list are compared by value too; texts inside lose their quotes and outer blanks.
    const parts = text
      .split(/([[\](){},:;])/)
      .map((part) => (part.length === 1 && signs.includes(part) ? part : normalValue(part, reading)));
    // What ends a list with one more comma says no more.
    return parts.join("").replace(/,(?=[\])}])/g, "");
  }
  return normalPlain(text);
}

function normalPlain(text: string): string {
  const trimmed = text.trim();
  if (/^(?:true|false)$/i.test(trimmed)) return trimmed.toLowerCase();
  return numeric.test(trimmed) ? normalNumber(trimmed) : trimmed;
}

/** A list in its brackets, whose elements may stand there without them. */
const bracketed = /^[[({].*[\])}]$/s;

/** True if two cells say the same; the brackets around a list may be left out in one of them, and be of another kind. */
export function sameValue(one: string, other: string, reading: CellReading = {}): boolean {
  const [first, second] = [normalValue(one, reading), normalValue(other, reading)];
  if (first === second) return true;
  if (!bracketed.test(first) && !bracketed.test(second)) return false;
  const [bare, against] = [bareList(first, reading), bareList(second, reading)];
  return bare !== "" && bare === against;
}

/** The elements of a list of one level without what stands around it; of others the text as it is. */
function bareList(text: string, reading: CellReading): string {
  const inner = bracketed.test(text) ? text.slice(1, -1) : text;
  if (/[[\](){}]/.test(inner)) return text;
  const parts = inner.includes(",") || /["“”]/.test(inner) ? inner.split(",") : inner.trim().split(/\s+/);
  return parts.map((part) => normalValue(part, reading)).join(",");
}

/** Signs by which people say that a cell holds nothing. */
const nothing = /^(?:[-–—―_]+|\?+|\/|\.{1,3}|…)$/;

/** True for a cell that holds nothing: left blank, or with one of the signs for that. */
export function isNothing(written: string): boolean {
  const text = written.trim();
  return text === "" || nothing.test(text);
}

/** True if two cells that say the same are written in different notations: truths, or lists without their brackets. */
export function otherNotation(own: string, key: string): boolean {
  const [first, second] = [own.trim(), key.trim()];
  if (/^(?:true|false)$/i.test(second)) return first !== second;
  return bracketed.test(second) && (first[0] !== second[0] || first.at(-1) !== second.at(-1));
}

/** True if a table's cells hold a text of digits, so that it has to be told apart from a number. */
export function holdsTextOfDigits(cells: readonly string[]): boolean {
  return cells.some((cell) => /["']\s*[+-]?\d+(?:\.\d+)?\s*["']/.test(cell));
}
