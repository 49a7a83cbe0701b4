import { labelsInSwitch } from "../../edits/branches.ts";
import type { Mistake } from "./mistake.ts";

/** A misspelt word in a `switch` is read as a place to jump to, and nothing jumps there. */
export const labelInSwitch: Mistake = {
  id: "label-in-switch",
  weight: 98,
  find: (context) =>
    labelsInSwitch(context).map(({ from, name }) => ({
      line: context.lineOf(from),
      names: [name],
      why: `“${name}:” is read as a place to jump to, and nothing jumps there: it is no case of this switch.`,
    })),
  examples: [
    {
      language: "c",
      text: "int f(int z) {\n  switch (z) {\n  case 1:\n    return 4;\n  defualt:\n    return 10;\n  }\n  return 0;\n}\n",
      line: 5,
    },
    {
      language: "java",
      text: "class Main { int f(int z) {\n  switch (z) {\n  case 1:\n    return 4;\n  Default:\n    return 10;\n  }\n  return 0;\n} }\n",
      line: 5,
    },
  ],
};
