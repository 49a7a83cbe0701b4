import * as z from "zod";

/**
 * How outputs are compared. A key that is absent is decided by whoever is asked next: a check's rules stand before
 * those of its assignment, and these before what always holds (line ends never count; blanks at line ends and blank
 * lines at the end do not).
 */
export const comparisonSchema = z.strictObject({
  /** "ignored": what a program writes before it reads is left aside, on both sides. */
  prompts: z.enum(["compared", "ignored"]).optional(),
  /** "exact": those at line ends count, too. "ignored": a stretch of blanks is one blank, and none begins a line. */
  blanks: z.enum(["compared", "exact", "ignored"]).optional(),
  letterCase: z.enum(["compared", "ignored"]).optional(),
  /** Numbers may differ by this much; null: they are compared as they are written. */
  numbers: z.number().min(0).max(1_000_000_000).nullable().optional(),
  order: z.enum(["kept", "free"]).optional(),
  /** "ignored": only the intended lines matter; other lines may be printed as well. */
  otherLines: z.enum(["counted", "ignored"]).optional(),
});
export type Comparison = z.infer<typeof comparisonSchema>;

/** The rules that hold for a check: its own before its assignment's. */
export function mergeComparison(assignment: Comparison, check: Comparison): Comparison {
  const own = Object.fromEntries(Object.entries(check).filter(([, rule]) => rule !== undefined));
  return { ...assignment, ...own };
}

/** What holds where nobody says a rule. */
const otherwise: Required<Comparison> = {
  ...{ prompts: "compared", blanks: "compared", letterCase: "compared", numbers: null },
  ...{ order: "kept", otherLines: "counted" },
};

/** The rules of an assignment without those that would hold anyway, so that equal rules are written alike. */
export function ownRules(comparison: Comparison): Comparison {
  const differs = ([rule, value]: [string, unknown]) => otherwise[rule as keyof Comparison] !== value;
  return Object.fromEntries(Object.entries(comparison).filter(differs));
}

/** Every rule that holds, one sentence each, for a person. */
export function comparisonWords(comparison: Comparison): string[] {
  const { prompts, blanks, letterCase, numbers, order, otherLines } = comparison;
  const blankWords = {
    exact: "Every blank counts, also at line ends; blank lines at the end count.",
    compared: "Blanks count, but not at line ends; blank lines at the end do not count.",
    ignored: "How many blanks stand between words does not matter.",
  } as const;
  return [
    prompts === "ignored"
      ? "Prompts do not count: what is written directly before something is typed in is left aside where that helps."
      : "Prompts count.",
    blankWords[blanks ?? "compared"],
    letterCase === "ignored" ? "Capital and small letters are the same." : "Capital and small letters differ.",
    typeof numbers === "number"
      ? `Numbers may differ by ${numbers} at most; how they are written does not matter.`
      : "Numbers are compared as they are written.",
    order === "free" ? "The lines may come in any order." : "The lines come in their order.",
    otherLines === "ignored" ? "Only the intended lines matter; other lines may be there, too." : "Every line counts.",
  ];
}

/** A text as its lines for comparing. */
export function linesFor(text: string, comparison: Comparison): string[] {
  const lines = text.split(/\r\n|\n|\r/);
  if (comparison.blanks === "exact") return lines.at(-1) === "" ? lines.slice(0, -1) : lines;
  const trimmed = lines.map((line) => line.trimEnd());
  while (trimmed.at(-1) === "") trimmed.pop();
  return trimmed;
}

/** A number with its sign, not one that is part of a name or follows a point or a digit. */
const number = /(?<![\p{L}\p{N}_.])[-+]?(?:\d+(?:\.\d*)?|\.\d+)(?:[eE][-+]?\d+)?(?![\p{L}\p{N}_])/gu;

/** Whether two lines count as the same one under the rules. */
export function sameLine(first: string, second: string, comparison: Comparison): boolean {
  if (first === second) return true;
  const [one, other] = [prepared(first, comparison), prepared(second, comparison)];
  if (one === other) return true;
  const { numbers } = comparison;
  if (typeof numbers !== "number" || one.replace(number, "#") !== other.replace(number, "#")) return false;
  const [left, right] = [one.match(number) ?? [], other.match(number) ?? []];
  return left.length === right.length && left.every((text, index) => isNear(text, right[index] ?? "", numbers));
}

const whole = /^[-+]?\d+$/;
const exactly = (text: string) => BigInt(text.replace("+", ""));

function isNear(first: string, second: string, most: number): boolean {
  const [one, other] = [Number(first), Number(second)];
  // Whole numbers have digits that a decimal one of the machine has no room for.
  if (whole.test(first) && whole.test(second)) {
    const off = exactly(first) - exactly(second);
    return (off < 0n ? -off : off) <= BigInt(Math.floor(most));
  }
  // What two decimal fractions differ by is no exact binary number: a few units in the last place are let go.
  return Math.abs(one - other) <= most + 4 * Number.EPSILON * Math.max(Math.abs(one), Math.abs(other));
}

function prepared(line: string, { blanks, letterCase }: Comparison): string {
  const spaced = blanks === "exact" ? line : blanks === "ignored" ? line.trim().replace(/\s+/g, " ") : line.trimEnd();
  return letterCase === "ignored" ? spaced.toLowerCase() : spaced;
}

/** How many characters two lines share at their beginning and their end: to say which line was meant for which. */
export function likeness(first: string, second: string): number {
  const shorter = Math.min(first.length, second.length);
  let start = 0;
  while (start < shorter && first[start] === second[start]) start++;
  let end = 0;
  while (end < shorter - start && first.at(-1 - end) === second.at(-1 - end)) end++;
  return start + end;
}
