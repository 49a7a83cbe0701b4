import { editContext } from "../edits/context.ts";
import { ofKind } from "../edits/places.ts";
import { explain } from "../reading/explain.ts";
import { part } from "../syntax/tree.ts";
import { beforeReported, type LeadRule } from "./lead.ts";

/** A function that does not give its result back on every way, told of its head: its end, where what is missing would stand. */
export const endOfFunction: LeadRule = ({ verdict, language, program, text }) => {
  const { diagnostic } = verdict;
  if (verdict.class !== "syntax" || !diagnostic?.line || verdict.reportedFile !== null) return [];
  if (explain(language, diagnostic, text)?.kind !== "return missing") return [];
  const context = editContext(language, program);
  const reported = diagnostic.line;
  const named = context
    ? ofKind(context, "function").find(({ node }) => {
        const name = node.children.find((child) => child.role === "definition");
        return name !== undefined && context.lineOf(name.from) === reported;
      })
    : undefined;
  const body = named && part(named.node, "body");
  const line = context && body ? context.lineOf(body.to - 1) : reported;
  if (line === reported) return [];
  return [
    { line, why: "The function ends here, and on some way to its end nothing is given back.", weight: beforeReported },
  ];
};
