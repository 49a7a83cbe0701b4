import { putInOnePlace } from "../../edits/prepared.ts";
import type { Mistake } from "./mistake.ts";

/** Elements that are all put into one place, since the name that says where never goes on. */
export const countNeverMoves: Mistake = {
  id: "step-missing",
  weight: 95,
  find: (context) =>
    putInOnePlace(context).map(({ placed, name }) => ({
      line: context.lineOf(placed.node.from),
      names: [name],
      why: `“${name}” says where this is put, and never goes on: everything goes into one place.`,
    })),
  examples: [
    {
      language: "java",
      text: "class Main {\n  static int n = 0;\n  static int[] a = new int[5];\n  static void add(int x) {\n    a[n] = x;\n  }\n}\n",
      line: 5,
    },
  ],
};
