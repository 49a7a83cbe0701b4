import { isUnknown } from "../../expressions/known.ts";
import type { Answer } from "../../expressions/rules.ts";
import type { Language } from "../../languages/language.ts";
import { lineAt, lineStarts } from "../../syntax/placed.ts";
import { nodesOf, part } from "../../syntax/tree.ts";
import { createEvaluator, nameFolding } from "./machine.ts";
import { readCell } from "./readCell.ts";

/** What a line gives a variable by some values of names; null where that is not worked out. */
export type LineValue = (line: number, name: string, own: (name: string) => string | undefined) => string | null;

/** Works out single lines of a program, for programs that cannot be gone through as a whole. */
export function lineValuesOf(language: Language, text: string): LineValue {
  const tree = language.syntax?.(text);
  const rules = language.values;
  if (!tree || !rules) return () => null;
  const starts = lineStarts(text);
  const fold = nameFolding(language);
  const evaluate = createEvaluator(language);
  const assignments = nodesOf(tree).filter((node) => node.kind === "assignment");
  return (line, name, own) => {
    const [node, other] = assignments.filter(
      (each) =>
        lineAt(starts, each.from) === line &&
        each.children[0]?.kind === "name" &&
        fold(each.children[0].sign ?? "") === fold(name),
    );
    if (!node || other) return null;
    const value = part(node, "value");
    const expression = value ? text.slice(value.from, value.to) : "1";
    const used = new Map<string, Answer>();
    for (const each of nodesOf(node))
      if (each.kind === "name") {
        const written = own(each.sign ?? "");
        if (written !== undefined) used.set(fold(each.sign ?? ""), readCell(language, written));
      }
    const given = evaluate(expression, used);
    if (isUnknown(given)) return null;
    const sign = node.sign ?? "=";
    const operator = sign === "++" ? "+" : sign === "--" ? "-" : /^[^=:]+=$/.test(sign) ? sign.slice(0, -1) : null;
    if (operator === null) return rules.write(given);
    const former = used.get(fold(name));
    if (!former || isUnknown(former)) return null;
    const result = rules.binary(operator, former, given);
    return isUnknown(result) ? null : rules.write(result);
  };
}
