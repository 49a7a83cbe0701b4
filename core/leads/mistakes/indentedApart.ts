import { misplacedByIndent } from "../../edits/indented.ts";
import type { Mistake } from "./mistake.ts";

/** A statement that is indented as though it stood in another block than it does. */
export const indentedApart: Mistake = {
  id: "statement-outside-block",
  weight: 92,
  find: (context) =>
    misplacedByIndent(context).map(({ statement, inside }) => ({
      line: context.lineOf(statement.from),
      why: inside
        ? "It is indented as though it stood in the block above, which ends before it."
        : "It is indented as though it stood behind the block, which ends after it.",
    })),
  examples: [
    {
      language: "java",
      text: "class Main {\n    void f(int[] a) {\n        int most = 0;\n        for (int each : a) {\n            int load = each;\n        }\n            if (most < 3) {\n                most = 3;\n            }\n        g(most);\n    }\n}\n",
      line: 7,
    },
    {
      language: "pascal",
      text: "begin\n  for i := 1 to 9 do\n  begin\n    load := load + i;\n  writeln(load);\n  end;\nend.\n",
      line: 5,
    },
  ],
};
