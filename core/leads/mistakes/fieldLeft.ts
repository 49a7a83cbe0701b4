import { fieldsLeft } from "../../edits/fieldsLeft.ts";
import type { Mistake } from "./mistake.ts";

/** A part of a record that is counted up or asked for, and that nothing gives a first value. */
export const fieldLeft: Mistake = {
  id: "read-before-set",
  weight: 98,
  find: (context) =>
    fieldsLeft(context).map(({ field, object, last }) => ({
      line: context.lineOf(last.from),
      why: `Other parts of “${object}” are given a value here; “${field}” gets none anywhere, and holds anything.`,
      names: [field],
    })),
  examples: [
    {
      language: "c",
      text: "struct item { int weight; int price; int pieces; };\nint main(void) {\n  struct item items[9];\n  int n = 0;\n  while (g(n)) {\n    items[n].weight = 4;\n    items[n].price = 2;\n    items[n].pieces++;\n    n++;\n  }\n  return items[0].pieces;\n}\n",
      line: 7,
    },
  ],
};
