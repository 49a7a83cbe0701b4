import { usageOf } from "../../edits/usage.ts";
import type { Mistake } from "./mistake.ts";
import { misreadOf } from "./readMisspelt.ts";

/** A value that is worked out, given a name, and read nowhere. */
export const neverRead: Mistake = {
  id: "step-missing",
  weight: 71,
  find: (context) =>
    [...usageOf(context).unread]
      // Where it is read by a name that is nearly the same, that place is told (readMisspelt.ts).
      .filter(([name]) => !misreadOf(context, name))
      .map(([name, { node }]) => ({
        line: context.lineOf(node.from),
        names: [name],
        why: `“${name}” gets a value here that nothing reads.`,
      })),
  examples: [
    { language: "python", text: "total = 9\noff = 2\nprint(total)\n", line: 2 },
    { language: "c", text: "int f(int a, int b) {\n  int keep = a;\n  a = b;\n  b = a;\n  return b;\n}\n", line: 2 },
  ],
};
