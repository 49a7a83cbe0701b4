import { example } from "../example.ts";
import { byEdit, byText } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";
import { firstLineWith, isCondition, lookedAt } from "../shape.ts";

/** True for a line that asks whether a letter is a digit: digits are in the order of their numbers. */
function asksForDigit(line: string): boolean {
  return /["']0["']/.test(line) && /["']9["']/.test(line);
}

/** Whether a value lies in a range is asked of texts, which are ordered by their letters. */
export const rangeTestOnText: Pattern = {
  id: "range-test-on-text",
  name: "A range asked of texts",
  says: "Whether a value lies in a range is asked of texts, which are ordered by their letters.",
  mends: "Make numbers of them first.",
  cause: "Texts are ordered letter by letter: “40” comes before “5”.",
  avoid: "Make a number of it, or compare with a list of what is allowed.",
  fault: true,
  grounds: [
    byEdit("conversion", ({ lineAfter }) => isCondition(lineAfter) && /[<>]/.test(lineAfter), 2),
    byText(
      (evidence) =>
        evidence.class === "logic"
          ? firstLineWith(
              evidence,
              lookedAt(evidence).filter((line) => !asksForDigit(evidence.lines[line - 1] ?? "")),
              /["']\d+["']\s*[<>]=?|[<>]=?\s*["']\d+["']/,
              "A range is asked of texts, which are ordered letter by letter.",
            )
          : null,
      6,
    ),
  ],
  examples: [
    example(
      "python",
      `choice = «int(input())¦input()»
if «4 <= choice <= 7¦"4" <= choice <= "7"»:
    print("deck", choice)
else:
    print("no such deck")
`,
      "40\n",
    ),
  ],
};
