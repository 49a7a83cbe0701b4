import { gatherings } from "../edits/gathered.ts";
import { ofKind } from "../edits/places.ts";
import { beforeReported, type LeadRule } from "./lead.ts";
import { notSetIn } from "./notSet.ts";

/**
 * A name that may have no value yet where a translator refuses it: where it is declared and given none. That comes first
 * where the refused line adds something to it, and behind the refused line where it is only read.
 */
export const declaredWithoutValue: LeadRule = (given) => {
  const found = notSetIn(given);
  if (!found) return [];
  const { context, name, reported } = found;
  const declared = ofKind(context, "name").findLast(
    ({ node, around }) =>
      node.sign === name &&
      node.role === "definition" &&
      context.lineOf(node.from) < reported &&
      around.at(-1)?.kind === "declaration",
  );
  if (!declared) return [];
  const adds = gatherings(context).some(
    ({ name: gathered, placed }) => gathered === name && context.lineOf(placed.node.from) === reported,
  );
  const why = `“${name}” is declared here and given no value${adds ? " to begin with" : ""}.`;
  return [{ line: context.lineOf(declared.node.from), why, weight: adds ? beforeReported : 88 }];
};
