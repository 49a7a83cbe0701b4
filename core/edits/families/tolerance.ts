import { escaped } from "../../source/escaped.ts";
import { part } from "../../syntax/tree.ts";
import { decimalsCompared } from "../decimals.ts";
import { change, type EditContext, type EditFamily, type Proposal } from "../edit.ts";
import { ofKind } from "../places.ts";

/** How far apart two decimals may be that are taken for the same. */
const near = "0.001";

/** `abs(a - b) < 0.001` for `a == b`, where they are decimals. */
function mends(context: EditContext): Proposal[] {
  const distance = context.writing.worksOut?.distances.at(-1);
  if (distance === undefined) return [];
  return decimalsCompared(context).flatMap((node) => {
    const [left, right] = [part(node, "left"), part(node, "right")];
    if (!left || !right) return [];
    const [one, other] = [left, right].map((side) =>
      side.kind === "binary" ? `(${context.sourceOf(side)})` : context.sourceOf(side),
    );
    const sign = node.sign === context.writing.equal ? "<" : ">=";
    const text = `${distance.replace("_", `${one} - ${other}`)} ${sign} ${near}`;
    return [change(node, text, { one: one ?? "", other: other ?? "" }, 1.5)];
  });
}

/** The other way: what is asked to be small is asked to be nothing. */
function plants(context: EditContext): Proposal[] {
  const distance = context.writing.worksOut?.distances.at(-1);
  if (distance === undefined) return [];
  const form = new RegExp(`^${escaped(distance).replace("_", "([^()]+) - ([^()]+)")}$`);
  return ofKind(context, "binary").flatMap(({ node }) => {
    const [left, right] = [part(node, "left"), part(node, "right")];
    const read = left && form.exec(context.sourceOf(left));
    const limit = right?.kind === "number" ? Number(right.sign) : Number.NaN;
    if (!read || !(limit > 0 && limit < 0.1) || (node.sign !== "<" && node.sign !== ">=")) return [];
    const sign = node.sign === "<" ? context.writing.equal : context.writing.unequal;
    const [, one = "", other = ""] = read;
    return [change(node, `${one} ${sign} ${other}`, { one, other })];
  });
}

/** Decimals that are asked whether they are exactly the same. */
export const tolerance: EditFamily = {
  id: "tolerance",
  says: "two decimals that are compared exactly",
  weight: 4,
  reads: "tree",
  mends,
  plants,
  examples: [
    {
      language: "python",
      right: "tide = 0.1 + 0.2\nif abs(tide - 0.3) < 0.001:\n    sail()\n",
      faulty: "tide = 0.1 + 0.2\nif tide == 0.3:\n    sail()\n",
    },
    {
      language: "java",
      right: "class Main { boolean f(double a, double b) { return Math.abs(a - b) < 0.001; } }",
      faulty: "class Main { boolean f(double a, double b) { return a == b; } }",
    },
    {
      language: "c",
      right: "int f(double a, double b) { return fabs(a - b) >= 0.001; }",
      faulty: "int f(double a, double b) { return a != b; }",
    },
    {
      language: "csharp",
      right: "class P { bool F(double a, double b) { return Math.Abs(a - b) < 0.001; } }",
      faulty: "class P { bool F(double a, double b) { return a == b; } }",
    },
    {
      language: "pascal",
      right: "var a: real;\nbegin\n  if abs(a - 0.3) < 0.001 then\n    n := 1;\nend.\n",
      faulty: "var a: real;\nbegin\n  if a = 0.3 then\n    n := 1;\nend.\n",
    },
    {
      language: "octave",
      right: "tide = 0.1 + 0.2;\nif abs(tide - 0.3) < 0.001\n  n = 1;\nend\n",
      faulty: "tide = 0.1 + 0.2;\nif tide == 0.3\n  n = 1;\nend\n",
    },
  ],
};
