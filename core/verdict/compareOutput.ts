import type { ConsolePiece } from "../outcome/outcome.ts";
import { consoleText } from "../outcome/outcome.ts";

/**
 * How a result compares with the intended one. `line` and `column` (1-based, UTF-16) are the place of the first
 * difference in the output.
 */
export type OutputComparison =
  | { same: true; promptsIgnored: boolean }
  | {
      same: false;
      line: number;
      column: number;
      intended: string | null;
      actual: string | null;
      onlyPromptsDiffer: boolean;
    };

/** Lines for comparing: line ends, blanks at line ends and blank lines at the end do not count. */
export function comparableLines(text: string): string[] {
  const lines = text.split(/\r\n|\n|\r/).map((line) => line.trimEnd());
  while (lines.length > 0 && lines.at(-1) === "") lines.pop();
  return lines;
}

function sameLines(first: readonly string[], second: readonly string[]): boolean {
  return first.length === second.length && first.every((line, index) => line === second[index]);
}

/** Output without the stretches that stand directly before typed input on the same line (the prompts). */
function withoutPrompts(pieces: readonly ConsolePiece[]): string {
  const kept: string[] = [];
  for (const piece of pieces) {
    if (piece.kind === "out") kept.push(piece.text);
    else if (piece.kind === "in") {
      const joined = kept.join("");
      kept.length = 0;
      kept.push(joined.slice(0, joined.lastIndexOf("\n") + 1));
    }
  }
  return kept.join("");
}

/**
 * Compares what a run printed on standard output with the intended text (rule of the job: compared is standard output
 * with prompts; an intended text that holds the typed values where they were echoed matches too).
 */
export function compareOutput(
  pieces: readonly ConsolePiece[],
  intended: string,
  ignorePrompts = false,
): OutputComparison {
  const wanted = comparableLines(intended);
  const printed = comparableLines(consoleText(pieces, ["out"]));
  if (sameLines(printed, wanted)) return { same: true, promptsIgnored: false };
  if (sameLines(comparableLines(consoleText(pieces, ["out", "in"])), wanted))
    return { same: true, promptsIgnored: false };
  const bare = comparableLines(withoutPrompts(pieces));
  const onlyPromptsDiffer = pieces.some((piece) => piece.kind === "in") && sameLines(bare, wanted);
  if (onlyPromptsDiffer && ignorePrompts) return { same: true, promptsIgnored: true };
  const at = Math.max(
    0,
    Array.from({ length: Math.max(wanted.length, printed.length) }).findIndex(
      (_, index) => wanted[index] !== printed[index],
    ),
  );
  const [wantedLine, printedLine] = [wanted[at] ?? "", printed[at] ?? ""];
  let column = 0;
  while (column < printedLine.length && printedLine[column] === wantedLine[column]) column++;
  return {
    same: false,
    line: at + 1,
    column: column + 1,
    intended: wanted[at] ?? null,
    actual: printed[at] ?? null,
    onlyPromptsDiffer,
  };
}
