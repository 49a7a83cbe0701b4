import { part, type SyntaxNode } from "../../syntax/tree.ts";
import { change, type EditContext, type EditFamily, type Proposal } from "../edit.ts";
import { ofKind, signPlace } from "../places.ts";

/** True where a quotient is compared with 0 or 1, as what is left over is: `n / 2 == 0`. */
function asksForRest(around: readonly SyntaxNode[]): boolean {
  const outer = around.filter((each) => each.kind !== "group").at(-1);
  if (outer?.kind !== "binary" || !/^(?:[=!~]=|<>|=|===)$/.test(outer.sign ?? "")) return false;
  return outer.children.some(({ kind, sign }) => kind === "number" && /^[01]$/.test(sign ?? ""));
}

/** Operators of calculation, each for the others. */
function otherOperators(context: EditContext): Proposal[] {
  const { divides, otherOperators: groups } = context.writing;
  const division = [divides.decimal, divides.whole, divides.rest].filter(
    (each): each is string => each !== null && (each !== "mod" || divides.whole !== null),
  );
  return ofKind(context, "binary").flatMap(({ node, around }) => {
    const sign = node.sign ?? "";
    const place = signPlace(context, node);
    if (!place) return [];
    const others = new Map<string, number>();
    const add = (other: string, likely: number) => other !== sign && !others.has(other) && others.set(other, likely);
    for (const group of groups) if (group.includes(sign)) for (const other of group) add(other, 0.9);
    const text = part(node, "left")?.kind === "text" || part(node, "right")?.kind === "text";
    if (sign === "+" && !text) for (const other of ["-", "*"]) add(other, other === "-" ? 0.9 : 0.4);
    // Where there are signs that work element by element, one of those may be meant.
    const byElement = groups.flat().filter((other) => other.startsWith("."));
    if (/^[-+]$/.test(sign)) for (const other of byElement) add(other, 0.4);
    if (sign === "-") for (const other of ["+", "*", ...division]) add(other, other === "+" ? 0.9 : 0.2);
    if (sign === "*") for (const other of ["+", ...division, "-"]) add(other, other === "+" ? 0.5 : 0.35);
    if (division.some((each) => each.toLowerCase() === sign.toLowerCase()))
      for (const other of [...division, "*", "-"])
        add(other, other === divides.rest && asksForRest(around) ? 2 : division.includes(other) ? 0.9 : 0.4);
    return [...others].map(([other, likely]) => {
      const blanks = /\w/.test(other) && context.text[place.from - 1] !== " ";
      return change(place, blanks ? ` ${other} ` : other, { before: sign, after: other }, likely);
    });
  });
}

export const arithmetic: EditFamily = {
  id: "arithmetic",
  says: "another operator in a calculation",
  weight: 8,
  reads: "tree",
  mends: otherOperators,
  plants: otherOperators,
  examples: [
    { language: "python", right: "fare = adults * price\n", faulty: "fare = adults + price\n" },
    { language: "python", right: "hours = minutes // 60\n", faulty: "hours = minutes / 60\n" },
    {
      language: "java",
      right: "class Main { int f(int m) { return m % 60; } }",
      faulty: "class Main { int f(int m) { return m / 60; } }",
    },
    { language: "c", right: "int f(int m) { return m - 60; }", faulty: "int f(int m) { return m + 60; }" },
    {
      language: "csharp",
      right: "class P { int F(int m) { return m * 60; } }",
      faulty: "class P { int F(int m) { return m + 60; } }",
    },
    { language: "pseudocode", right: "h <- m DIV 60\n", faulty: "h <- m MOD 60\n" },
    { language: "pascal", right: "begin\n  h := m div 60;\nend.", faulty: "begin\n  h := m mod 60;\nend." },
    { language: "octave", right: "total = cars .* weight;\n", faulty: "total = cars * weight;\n" },
  ],
};
