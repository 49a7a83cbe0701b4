import { nodesOf, part, type SyntaxNode } from "../syntax/tree.ts";
import type { EditContext } from "./edit.ts";
import { firstGivenBy } from "./exchanged.ts";
import { blocksOf, calledName, namesIn } from "./places.ts";

/** A place in a text or list that no longer holds: the statements that work it out, that cut what it is of, and that use it. */
export type StalePosition = { name: string; made: SyntaxNode; cut: SyntaxNode; used: SyntaxNode };

/** Calls that look for a place in a text or list, in one of our languages. */
const looksFor = /^(?:pos|find|rfind|index|indexof|lastindexof|strfind|strstr)$/i;
/** Calls whose result has its pieces at the same places. */
const keepsPlaces = /^(?:upper|lower|touppercase|tolowercase|toupper|tolower|uppercase|lowercase|upcase)$/i;
/** Calls that cut the first value that they are handed. */
const cuts = /^(?:delete|insert|setlength)$/i;

/** The names of what a statement makes another one. */
function changedBy(statement: SyntaxNode): string[] {
  const given = firstGivenBy(statement);
  if (given)
    return given.target.kind === "name" && !keepsPlaces.test(calledName(given.value)) ? [given.target.sign ?? ""] : [];
  const call = nodesOf(statement).find((each) => each.kind === "call" && cuts.test(calledName(each)));
  return [(call && part(call, "argument")?.sign) ?? ""];
}

/** Places that are worked out before what they are of is cut, and used behind that without being worked out again. */
export function stalePositions(context: EditContext): StalePosition[] {
  return blocksOf(context).flatMap(({ statements }) =>
    statements.flatMap((statement, at) => {
      const given = firstGivenBy(statement);
      const name = given?.target.kind === "name" ? (given.target.sign ?? "") : "";
      if (!given || name === "" || given.value.kind !== "call" || !looksFor.test(calledName(given.value))) return [];
      const owner = part(given.value, "callee");
      const texts = [...namesIn(given.value), ...(owner ? namesIn(owner) : [])];
      let cutAt: SyntaxNode | undefined;
      for (const next of statements.slice(at + 1)) {
        const changed = changedBy(next);
        const used = namesIn(next);
        const asks = nodesOf(next).flatMap((each) =>
          each.kind === "call" || each.kind === "index" ? namesIn(each) : [],
        );
        if (cutAt && asks.includes(name) && texts.some((text) => used.includes(text) && !changed.includes(text)))
          return [{ name, cut: cutAt, made: statement, used: next }];
        if (changed.includes(name)) return [];
        if (changed.some((each) => texts.includes(each))) cutAt ??= next;
      }
      return [];
    }),
  );
}
