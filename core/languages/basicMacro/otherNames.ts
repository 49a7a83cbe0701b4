import { macroTokens } from "./tokens.ts";

/**
 * Names of objects that macros of another office have and this one knows with its compatibility option only. Programs that use them are
 * run with that option; nothing of ours is written with them.
 */
export const otherNames: ReadonlySet<string> = new Set(
  "activecell activesheet activeworkbook application cells range rows columns selection sheets thisworkbook workbooks worksheetfunction worksheets union intersect".split(
    " ",
  ),
);

/** Names that a program uses without them are its own. */
const also: ReadonlySet<string> = new Set([
  "rows",
  "columns",
  "selection",
  "sheets",
  "application",
  "union",
  "intersect",
]);

/** True for a program that is to be run with the compatibility option: it asks for the objects of another office by their names. */
export function isForOtherOffice(texts: readonly string[]): boolean {
  return texts.some((text) => {
    const tokens = macroTokens(text).filter((token) => token.kind !== "comment");
    return tokens.some((token, index) => {
      const name = token.text.toLowerCase();
      if (token.kind !== "name" || !otherNames.has(name) || tokens[index - 1]?.text === ".") return false;
      const next = tokens[index + 1]?.text;
      // The last few may be anybody's names: here they are asked for a part, or picked from.
      if (also.has(name)) return next === ".";
      return next === "." || next === "(" || next === "=" || name.startsWith("active");
    });
  });
}
