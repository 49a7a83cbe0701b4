import type { Surroundings } from "../cases/surroundings.ts";
import { comparableLines } from "./compareOutput.ts";
import type { Comparison } from "./comparison.ts";
import { type IntendedPiece, textOfResults } from "./intended.ts";

/** What combining needs of a check. `expected` null: what is intended is not known. */
export type CombinedCheck = {
  input: string;
  surroundings: Surroundings;
  expected: string | null;
  pieces: IntendedPiece[] | null;
  comparison: Comparison;
  handed_in: boolean;
  of_assignment: boolean;
  /** What was recorded as intended before anything else was asked. */
  recorded: string | null;
  /** Where the intended output that judges comes from, if it is not the recorded one. */
  from: "assignment" | "model" | null;
  /** True where the recorded intended output says something else than the assignment does. */
  conflict: boolean;
};

/** Whether two checks are of the same run: the same is typed in, and the same lies beside the program. */
export function sameSetting(
  one: Pick<CombinedCheck, "input" | "surroundings">,
  other: Pick<CombinedCheck, "input" | "surroundings">,
): boolean {
  const beside = (surroundings: Surroundings) => JSON.stringify(Object.entries(surroundings).sort());
  return (
    comparableLines(one.input).join("\n") === comparableLines(other.input).join("\n") &&
    beside(one.surroundings) === beside(other.surroundings)
  );
}

/**
 * Checks that contradict one another: the same is typed in, and another output is intended. Each with the check that it
 * contradicts first, by their places in the list; what nobody said contradicts nothing.
 */
export function contradictions(
  checks: ReadonlyArray<Pick<CombinedCheck, "input" | "surroundings" | "expected">>,
): Map<number, number> {
  const found = new Map<number, number>();
  for (const [place, check] of checks.entries()) {
    const other = checks.findIndex(
      (each) =>
        each !== check &&
        each.expected !== null &&
        check.expected !== null &&
        sameSetting(each, check) &&
        comparableLines(each.expected).join("\n") !== comparableLines(check.expected).join("\n"),
    );
    if (other >= 0) found.set(place, other);
  }
  return found;
}

/**
 * The checks of a case in the order in which they judge: the run as handed in, those of its assignment, its own. Where
 * the same is typed in the assignment counts, and what was recorded otherwise is a conflict. What a run as handed in
 * was to give is taken from `answer`, what a model gives for its input, if nobody said.
 */
export function combineChecks<Check extends CombinedCheck>(
  checks: readonly Check[],
  answer: IntendedPiece[] | null,
): Check[] {
  const ofAssignment = checks.filter((check) => check.of_assignment);
  const own = (check: Check): Check => {
    const same = ofAssignment.find((each) => each.expected !== null && sameSetting(each, check));
    if (same) {
      const { expected, pieces, comparison } = same;
      const conflict =
        check.expected !== null &&
        comparableLines(check.expected).join("\n") !== comparableLines(expected ?? "").join("\n");
      return { ...check, expected, pieces, comparison, from: "assignment", conflict };
    }
    if (check.handed_in && check.expected === null && answer)
      return { ...check, expected: textOfResults(answer), pieces: answer, from: "model" };
    return check;
  };
  return [
    ...checks.filter((check) => check.handed_in).map(own),
    ...ofAssignment,
    ...checks.filter((check) => !check.handed_in && !check.of_assignment).map(own),
  ];
}
