import { editContext } from "../edits/context.ts";
import { ofKind } from "../edits/places.ts";
import { explain } from "../reading/explain.ts";
import { part } from "../syntax/tree.ts";
import type { LeadRule } from "./lead.ts";

/** A value of another kind than a name takes, refused: where the name is declared. */
export const declaredOtherwise: LeadRule = ({ verdict, language, program, text }) => {
  const { diagnostic } = verdict;
  if (verdict.class !== "syntax" || !diagnostic?.line || verdict.reportedFile !== null) return [];
  const kind = explain(language, diagnostic, text)?.kind;
  if (kind !== "type mismatch" && kind !== "precision lost") return [];
  const context = editContext(language, program);
  const reported = diagnostic.line;
  const given = context
    ? ofKind(context, "assignment").filter(({ node }) => context.lineOf(node.from) === reported)
    : [];
  return given.flatMap(({ node }) => {
    const target = part(node, "target");
    const declared = context?.nodes.findLast(
      (each) =>
        each.node.kind === "name" &&
        each.node.role === "definition" &&
        each.node.sign === target?.sign &&
        each.node.from < node.from &&
        each.around.at(-1)?.kind !== "function",
    );
    const line = declared && context ? context.lineOf(declared.node.from) : reported;
    if (target?.kind !== "name" || line === reported) return [];
    return [{ line, why: `“${target.sign}” is declared here as a kind that does not take this value.`, weight: 88 }];
  });
};
