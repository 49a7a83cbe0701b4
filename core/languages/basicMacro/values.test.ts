import { expect, test } from "vitest";
import { findLanguage } from "../languages.ts";

const language = findLanguage("basic-macro");

import { isUnknown } from "../../expressions/known.ts";
import { nodesOf, part } from "../../syntax/tree.ts";

/** The value of an expression of literals, as the office's own runs gave it. */
function worked(source: string): string {
  const rules = language?.values;
  const tree = language?.syntax?.(`Sub Main\nx = ${source}\nEnd Sub\n`);
  const given = tree && nodesOf(tree).find((node) => node.kind === "assignment");
  const value = given && part(given, "value");
  if (!rules || !value) throw new Error(source);
  const work = (node: typeof value): ReturnType<typeof rules.literal> => {
    const inner = node.children.map((child) => (child.role === "callee" ? rules.literal(child) : work(child)));
    const [first, second] = inner;
    if (node.kind === "group") return first ?? rules.literal(node);
    if (node.kind === "binary" && first && second && !isUnknown(first) && !isUnknown(second))
      return rules.binary(node.sign ?? "", first, second);
    if (node.kind === "unary" && first && !isUnknown(first)) return rules.unary(node.sign ?? "", first);
    if (node.kind === "call") {
      const known = inner.slice(1).flatMap((each) => (isUnknown(each) ? [] : [each]));
      return rules.call(node.children[0]?.sign ?? "", known) ?? { kind: "unknown", why: "no such function" };
    }
    return rules.literal(node);
  };
  const found = work(value);
  return isUnknown(found) ? `? ${found.why}` : rules.write(found);
}

/** What LibreOffice 7.4 printed for each. */
test.each([
  ["True Or False And False", "False"],
  ["-2 ^ 2", "4"],
  ["Not 5", "-6"],
  ["7 \\ 2", "3"],
  ["-7 \\ 2", "-3"],
  ["-7 Mod 3", "-1"],
  ["7.6 \\ 2", "4"],
  ["5 Mod 2.5", "2"],
  ['"5" + "3"', '"53"'],
  ['"5" & 3', '"53"'],
  ["1 / 3", "0.333333333333333"],
  ["2 ^ 10", "1024"],
  ["30000 + 30000", "60000"],
  ["100000 * 100000", "10000000000"],
  ["CInt(2.5)", "3"],
  ["Int(-2.5)", "-3"],
  ["Fix(-2.5)", "-2"],
  ['Mid("ferry", 2, 3)', '"err"'],
  ['Right("ferry", 2)', '"ry"'],
  ["(5 > 3) + 1", "0"],
  ["5 And 3", "1"],
  ["5 Xor 3", "6"],
  ["0.1 + 0.2", "0.3"],
  ["2 * 3 \\ 4", "1"],
  ["8 \\ 2 * 2", "2"],
  ["7 Mod 4 * 2", "7"],
  ["2 ^ 3 ^ 2", "64"],
  ["Empty + 1", "1"],
  ['"B" < "a"', "True"],
  ["1e20", "1E+020"],
])("%s comes to %s", (source, expected) => {
  expect(worked(source)).toBe(expected);
});

test("what stops the office stops here, and what is not sure is not guessed", () => {
  expect(worked("CInt(70000)")).toContain("Overflow");
  expect(worked("4 \\ 0.2")).toContain("Division by zero");
  expect(worked('"abc" * 2')).toContain("not worked out");
  expect(worked('"10" < 9')).toContain("What comparing these gives");
});
