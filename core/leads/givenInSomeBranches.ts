import { ofKind } from "../edits/places.ts";
import { nodesOf, part, type SyntaxNode } from "../syntax/tree.ts";
import { beforeReported, type LeadRule } from "./lead.ts";
import { notSetIn } from "./notSet.ts";

function gives(node: SyntaxNode | undefined, name: string): boolean {
  return (
    node !== undefined &&
    nodesOf(node).some((each) => each.kind === "name" && each.role === "target" && each.sign === name)
  );
}

/** The branches of a decision, one after another; the last one is undefined where nothing is done otherwise. */
function branchesOf(decision: SyntaxNode): Array<SyntaxNode | undefined> {
  const otherwise = part(decision, "otherwise");
  const next = otherwise?.kind === "block" && otherwise.children.length === 1 ? otherwise.children[0] : otherwise;
  return [part(decision, "body"), ...(next?.kind === "if" ? branchesOf(next) : [otherwise])];
}

/**
 * A name that may have no value yet where a translator refuses it: the end of the decision before it, of which some branches
 * give it one and others do not.
 */
export const givenInSomeBranches: LeadRule = (given) => {
  const found = notSetIn(given);
  if (!found) return [];
  const { context, name, reported } = found;
  const endsBefore = (node: SyntaxNode) => context.lineOf(node.to - 1) < reported;
  // The whole decision: one in a branch of it gives a value on a part of that branch alone.
  const decision = ofKind(context, "if")
    .filter(({ node, around }) => endsBefore(node) && !around.some((each) => each.kind === "if" && endsBefore(each)))
    .map(({ node }) => node)
    .findLast((node) => gives(node, name));
  const branches = decision ? branchesOf(decision) : [];
  if (!decision || branches.every((branch) => gives(branch, name))) return [];
  const line = context.lineOf(decision.to - 1);
  const why = `The decision that ends here gives “${name}” a value in some of its branches and none in the others.`;
  return [{ line, why, weight: beforeReported }];
};
