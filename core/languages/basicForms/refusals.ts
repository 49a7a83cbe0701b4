import { type TranslatedBasic, translateBasic } from "./engine/translate.ts";
import type { Problem } from "./engine/tree.ts";

/** Codes of what the language knows and our translator does not run. */
const gaps = "BN";
/** What stands on a form cannot be told: names that are not known would follow from that, and say nothing of the program. */
const unreadForm = "BN30002";

let last: { key: string; made: TranslatedBasic } | null = null;

/** A program looked through by our translator; the last one is remembered, since it is asked for several times in a row. */
export function lookedThrough(files: ReadonlyArray<{ name: string; text: string }>): TranslatedBasic {
  const key = JSON.stringify(files.map(({ name, text }) => [name, text]));
  if (last?.key === key) return last.made;
  const made = translateBasic(files);
  last = { key, made };
  return made;
}

const lineOf = ({ place, code, says, severity, file }: Problem & { file: number }, names: readonly string[]): string =>
  `${names[file] ?? ""}(${place.line},${place.column}): ${severity} ${code}: ${says}\n`;

/** Most messages that are told of one program. */
const mostTold = 100;

/**
 * What is said of a program before it runs, in lines that are read like a translator's. `gap`: what our translator cannot run, where nothing else is
 * wrong; a message beside a real refusal says no more than that.
 */
export function saidBefore(
  problems: TranslatedBasic["problems"],
  names: readonly string[],
): { refused: string; gap: string | null; warned: string } {
  const errors = problems.filter(({ severity, code }) => severity === "error" && !code.startsWith(gaps));
  const unread = problems.find(({ code }) => code === unreadForm);
  const gap = unread ?? problems.find(({ code }) => code.startsWith(gaps));
  const warned = problems
    .filter(({ severity }) => severity === "warning")
    .slice(0, mostTold)
    .map((each) => lineOf(each, names))
    .join("");
  if (unread || errors.length === 0)
    return {
      refused: "",
      gap: gap ? `${gap.file === 0 ? "Line" : `${names[gap.file]}, line`} ${gap.place.line}: ${gap.says}` : null,
      warned,
    };
  // One place has one fault: what follows from it at the same place says nothing new.
  const once = errors.filter(
    (each, at) =>
      !errors
        .slice(0, at)
        .some(
          (before) =>
            before.file === each.file &&
            before.place.line === each.place.line &&
            before.place.column === each.place.column,
        ),
  );
  return {
    refused:
      once
        .slice(0, mostTold)
        .map((each) => lineOf(each, names))
        .join("") + warned,
    gap: null,
    warned,
  };
}
