import { part, type SyntaxNode } from "../syntax/tree.ts";
import type { EditContext } from "./edit.ts";
import { isOrder, ofKind } from "./places.ts";

/** A branch of a decision that asks again where the one before does not hold. */
export type Branch = { node: SyntaxNode; condition: SyntaxNode; body: SyntaxNode };

/** The branches of each decision in their order; a last one without a condition is none of them. */
export function chainsOf(context: EditContext): Branch[][] {
  return ofKind(context, "if").flatMap(({ node }) => {
    if (node.role === "otherwise") return [];
    const chain: Branch[] = [];
    for (let at: SyntaxNode | undefined = node; at?.kind === "if"; at = part(at, "otherwise")) {
      const [condition, body] = [part(at, "condition"), part(at, "body")];
      if (!condition || !body) break;
      chain.push({ node: at, condition, body });
    }
    return chain.length > 1 ? [chain] : [];
  });
}

const turned: Readonly<Record<string, string>> = { "<": ">", ">": "<", "<=": ">=", ">=": "<=" };

/** A comparison of something with a number, the something on the left: its text, the sign and the number. */
function limitOf(context: EditContext, condition: SyntaxNode): { of: string; sign: string; limit: number } | null {
  const inside = condition.kind === "group" ? condition.children[0] : condition;
  const [left, right] = inside ? [part(inside, "left"), part(inside, "right")] : [];
  const sign = (inside?.sign ?? "").replace("=<", "<=").replace("=>", ">=");
  if (inside?.kind !== "binary" || !left || !right || !isOrder(inside.sign)) return null;
  if (right.kind === "number") return { of: context.sourceOf(left), sign, limit: Number(right.sign) };
  const other = turned[sign];
  if (left.kind === "number" && other) return { of: context.sourceOf(right), sign: other, limit: Number(left.sign) };
  return null;
}

/** Branches that are never taken, since an earlier one of the chain holds wherever they do: both, the earlier one first. */
export function coveredBranches(context: EditContext): Array<{ earlier: Branch; later: Branch }> {
  return chainsOf(context).flatMap((chain) =>
    chain.flatMap((later, at) => {
      const asked = limitOf(context, later.condition);
      const earlier = chain.slice(0, at).find((branch) => {
        const before = limitOf(context, branch.condition);
        if (!asked || !before || before.of !== asked.of || before.sign[0] !== asked.sign[0]) return false;
        const isUp = asked.sign.startsWith(">");
        if (asked.limit === before.limit) return before.sign.endsWith("=") || before.sign === asked.sign;
        return isUp ? asked.limit > before.limit : asked.limit < before.limit;
      });
      return earlier ? [{ earlier, later }] : [];
    }),
  );
}

/** `else if` in two words where a language has one for it, so that the second opens a decision of its own, which needs an end of its own. */
export function elseIfsApart(context: EditContext): Array<{ from: number; to: number }> {
  if (context.writing.blocks.by !== "end word" || context.writing.chained.includes(" ")) return [];
  return ofKind(context, "if").flatMap(({ node, around }) => {
    const parent = around.at(-1);
    if (parent?.kind !== "block" || parent.role !== "otherwise" || parent.children[0] !== node) return [];
    const at = context.code.findIndex((token) => token.from === node.from);
    const [word, own] = [context.code[at - 1], context.code[at]];
    if (!word || !own || word.line !== own.line || word.text.toLowerCase() !== "else") return [];
    return [{ from: word.from, to: own.to }];
  });
}
