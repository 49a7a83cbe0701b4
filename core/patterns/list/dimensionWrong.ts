import { change } from "../../edits/edit.ts";
import { ofKind } from "../../edits/places.ts";
import { escaped } from "../../source/escaped.ts";
import { part } from "../../syntax/tree.ts";
import { example, inMain } from "../example.ts";
import { byChange, byEdit } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

const otherDirection = (word: string) => (word === "rows" ? "columns" : "rows");

/** A length or an element is asked for in the wrong direction of an array. */
export const dimensionWrong: Pattern = {
  id: "dimension-wrong",
  name: "The other dimension",
  says: "A length or an element is asked for in the wrong direction of an array.",
  mends: "Ask for the one that is meant.",
  cause: "Rows and columns were taken for each other.",
  avoid: "Draw the array, and say which number is which.",
  fault: true,
  grounds: [
    byEdit("along", () => true, 6),
    byEdit(
      "other-name",
      ({ lineBefore, lineAfter }) =>
        lineBefore !== lineAfter && lineAfter === lineBefore.replace(/\b(?:rows|columns)(?=\()/, otherDirection),
      7,
    ),
    byEdit(
      ["constant", "by-one"],
      ({ before, after, lineBefore }, { language }) =>
        /^[12]$/.test(before) &&
        /^[12]$/.test(after) &&
        (language.writing?.along ?? []).some(({ names }) =>
          names.some((name) => new RegExp(`\\b${escaped(name)}\\(.*,\\s*${escaped(before)}\\)`).test(lineBefore)),
        ),
      8,
    ),
    byChange(({ lineBefore, family }) => family === "constant" && /\b(?:size|shape|GetLength)\b/.test(lineBefore), 6),
  ],
  examples: [
    example(
      "octave",
      `seats = [1, 2, 3; 4, 5, 6];
printf("%d\\n", size(seats, «2¦1»));
`,
    ),
    example(
      "python",
      `seats = [[1, 2, 3], [4, 5, 6]]
print(len(seats«[0]¦»))
`,
    ),
    inMain(
      "java",
      `int[][] seats = {{1, 2, 3}, {4, 5, 6}};
System.out.println(seats«[0]¦».length);
`,
    ),
    example(
      "sketch",
      `int[][] seats = {{1, 2, 3}, {4, 5, 6}};
println(seats«[0]¦».length);
`,
    ),
  ],
  plants: (context) =>
    ofKind(context, "call").flatMap(({ node }) => {
      const [, which] = node.children.filter((child) => child.role === "argument");
      const source = which ? context.sourceOf(which) : "";
      return /^(?:size|shape)$/.test(part(node, "callee")?.sign ?? "") && which && /^[12]$/.test(source)
        ? [change(which, source === "1" ? "2" : "1")]
        : [];
    }),
};
