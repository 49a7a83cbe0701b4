import type { ComparedRow, FlaggedWhen } from "./compareReadings.ts";

const order: readonly FlaggedWhen[] = ["writing", "translating", "running"];
const whenWords: Readonly<Record<FlaggedWhen, string>> = {
  writing: "while the text is being written",
  translating: "when the text is translated, before anything runs",
  running: "only when the run reaches it",
};

/** True where the words for an output's origin name an editor or its checker, whose marks stand before anything is translated. */
export function isCheckerOrigin(origin: string): boolean {
  return /\b(?:editor|checker|linter|lint|while typing|underlin|squiggl|ide)(?:s|es|ed|ing|e)?\b/i.test(origin);
}

/** When a message of a stage is told, by an output that is a checker's or not; null where nothing tells it. */
export function flaggedWhen(stage: string, isChecker: boolean): FlaggedWhen | null {
  if (isChecker) return "writing";
  return stage === "translation" ? "translating" : stage === "run" ? "running" : null;
}

/**
 * Sentences about what one output flags earlier than another, and about what a checker alone marks. `titles`: one for
 * each output, in the order of the cells; `lineWords` writes a line (1-based in the text) as the page numbers it.
 */
export function flaggedEarlier(
  rows: readonly ComparedRow[],
  titles: readonly string[],
  lineWords: (line: number) => string,
): string[] {
  return rows.flatMap(({ cells }) => {
    const said = cells.flatMap((cell, at) =>
      cell?.when ? [{ line: cell.line, message: cell.title, when: cell.when, title: titles[at] ?? "" }] : [],
    );
    const [first, ...others] = said.sort((one, other) => order.indexOf(one.when) - order.indexOf(other.when));
    const last = others.at(-1);
    if (!first) return [];
    const place = first.line === null ? "Something" : lineWords(first.line);
    const named =
      last && last.line !== first.line && last.line !== null ? `, at ${lineWords(last.line).toLowerCase()}` : "";
    if (last && last.when !== first.when)
      return [
        `${place}: “${first.title}” flags it ${whenWords[first.when]}, “${last.title}” ${whenWords[last.when]}${named}${first.message === last.message ? "" : ", in other words"}.`,
      ];
    if (first.when === "writing" && others.length === 0)
      return [
        `${place}: only “${first.title}” says something of it; a checker goes on where a translator or a run ends.`,
      ];
    return [];
  });
}
