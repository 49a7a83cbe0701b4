import { coveredBranches } from "../../edits/branches.ts";
import type { Mistake } from "./mistake.ts";

/** A branch that is never taken, since an earlier one holds wherever it does. */
export const branchCovered: Mistake = {
  id: "branch-covered",
  weight: 95,
  find: (context) =>
    coveredBranches(context).map(({ earlier, later }) => ({
      line: context.lineOf(earlier.condition.from),
      why: `Wherever “${context.sourceOf(later.condition)}” (line ${context.lineOf(later.condition.from)}) holds, this holds as well, and is asked first: that branch is never taken.`,
    })),
  examples: [
    { language: "python", text: "if wind > 6:\n    a = 1\nelif wind > 10:\n    a = 2\n", line: 1 },
    {
      language: "c",
      text: "int f(int a) {\n  if (a < 16) {\n    return 2;\n  } else if (a < 6) {\n    return 0;\n  }\n  return 4;\n}\n",
      line: 2,
    },
    {
      language: "pascal",
      text: "begin\n  if 6 <= a then\n    b := 1\n  else if a >= 10 then\n    b := 2;\nend.\n",
      line: 2,
    },
    { language: "octave", text: "if a > 6\n  b = 1;\nelseif a > 9\n  b = 2;\nend\n", line: 1 },
  ],
};
