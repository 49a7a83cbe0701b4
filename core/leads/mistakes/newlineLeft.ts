import { calledName, ofKind } from "../../edits/places.ts";
import type { Mistake } from "./mistake.ts";

/** A line is read after a number of which the line's end is still there. */
export const newlineLeft: Mistake = {
  id: "newline-left-in-input",
  weight: 96,
  find: (context) => {
    const reads = ofKind(context, "call").flatMap(({ node }) =>
      /^next(Line|Int|Double|Long|Boolean)?$/.test(calledName(node))
        ? [{ name: calledName(node), line: context.lineOf(node.from) }]
        : [],
    );
    const pair = reads.findIndex(
      (read, at) => read.name !== "nextLine" && reads[at + 1]?.name === "nextLine" && reads[at + 1]?.line !== read.line,
    );
    const [number, next] = [reads[pair], reads[pair + 1]];
    if (!number || !next) return [];
    // A line read away stands alone.
    const line = context.lines[next.line - 1];
    if (/^\s*\w+\.nextLine\(\);/.test(line?.text ?? "")) return [];
    return [
      {
        line: number.line,
        why: "The number is read and the end of its line stays: the next read of a line gets that end, which is an empty text.",
      },
    ];
  },
  examples: [
    {
      language: "java",
      text: "class M {\n  void f(Scanner in) {\n    int n = in.nextInt();\n    String s = in.nextLine();\n  }\n}\n",
      line: 3,
    },
  ],
};
