import { ownOf } from "../source/ownOf.ts";
import { part, type SyntaxNode } from "../syntax/tree.ts";
import type { EditContext } from "./edit.ts";
import { firstGivenBy } from "./exchanged.ts";
import { blocksOf, namesIn } from "./places.ts";

type Fixed = number | string | boolean;

/** The value of what is written out: a number, a text without signs that mean another, a truth. */
function fixedValue(node: SyntaxNode): Fixed | undefined {
  const sign = node.sign ?? "";
  if (node.kind === "number") return /^\d+(\.\d+)?$/.test(sign) ? Number(sign) : undefined;
  if (node.kind === "text") return /^(["'])[^\\]*\1$/.test(sign) ? sign.slice(1, -1) : undefined;
  if (node.kind === "constant" || node.kind === "name") return ownOf({ true: true, false: false }, sign.toLowerCase());
  const operand = node.kind === "unary" && node.sign === "-" ? part(node, "operand") : undefined;
  const inner = operand && fixedValue(operand);
  return typeof inner === "number" ? -inner : undefined;
}

/** What a condition is where some names have fixed values; undefined where that does not tell. */
function conditionValue(node: SyntaxNode, values: ReadonlyMap<string, Fixed>): Fixed | undefined {
  if (node.kind === "group" && node.children.length === 1 && node.children[0])
    return conditionValue(node.children[0], values);
  if (node.kind === "name" && values.has(node.sign ?? "")) return values.get(node.sign ?? "");
  const operand = part(node, "operand");
  if (node.kind === "unary" && operand && /^(?:!|~|not)$/i.test(node.sign ?? "")) {
    const inner = conditionValue(operand, values);
    return typeof inner === "boolean" ? !inner : undefined;
  }
  const [left, right] = [part(node, "left"), part(node, "right")];
  if (node.kind !== "binary" || !left || !right) return fixedValue(node);
  const [one, other] = [conditionValue(left, values), conditionValue(right, values)];
  const sign = (node.sign ?? "").toLowerCase();
  if (sign === "and" || sign === "&&") return one === false || other === false ? false : undefined;
  if (one === undefined || other === undefined || typeof one !== typeof other) return undefined;
  if (/^(?:==|=|===)$/.test(sign)) return one === other;
  if (/^(?:!=|<>|~=)$/.test(sign)) return one !== other;
  if (typeof one !== "number" || typeof other !== "number") return undefined;
  return { "<": one < other, ">": one > other, "<=": one <= other, ">=": one >= other }[sign];
}

/** Fixed values that names have where a statement begins, by the statements right before it in its block, the last one of each. */
function fixedBefore(before: readonly SyntaxNode[], names: readonly string[]) {
  const found = new Map<string, { value: Fixed; node: SyntaxNode; place: SyntaxNode }>();
  for (const statement of before.toReversed()) {
    const given = firstGivenBy(statement);
    if (!given) {
      // Whatever else may give one of them a value ends the search.
      const isHarmless = statement.kind === "statement" && !namesIn(statement).some((name) => names.includes(name));
      if (isHarmless) continue;
      break;
    }
    const name = given.target.sign ?? "";
    if (given.target.kind !== "name" || !names.includes(name) || found.has(name)) continue;
    const value = fixedValue(given.value);
    if (value === undefined) break;
    found.set(name, { value, node: given.value, place: statement });
  }
  return found;
}

/** A loop whose condition does not hold where it begins, and the value written out that makes it so. */
export type NeverEntered = { loop: SyntaxNode; name: string; value: SyntaxNode; place: SyntaxNode };

/** Loops with a condition that are never gone through: what stands fixed right before them makes it false. */
export function neverEntered(context: EditContext): NeverEntered[] {
  return blocksOf(context).flatMap(({ statements }) =>
    statements.flatMap((loop, at) => {
      const condition = loop.kind === "while" ? part(loop, "condition") : undefined;
      if (!condition) return [];
      const fixed = fixedBefore(statements.slice(0, at), namesIn(condition));
      const values = new Map([...fixed].map(([name, { value }]) => [name, value]));
      if (fixed.size === 0 || conditionValue(condition, values) !== false) return [];
      const [[name, { node, place }] = ["", { node: loop, place: loop }]] = fixed;
      return [{ loop, name, value: node, place }];
    }),
  );
}
