import { mixedBests } from "../../edits/bests.ts";
import type { Mistake } from "./mistake.ts";

/** The best one so far is compared as a value and kept as a place, or the other way round. */
export const bestMixed: Mistake = {
  id: "best-mixed",
  weight: 97,
  find: (context) =>
    mixedBests(context).map(({ name, compared, value, whole, element, isPlace }) =>
      isPlace
        ? {
            line: context.lineOf(compared.from),
            names: [name],
            why: `“${name}” is a place here; compared with an element, it would have to be “${element}”.`,
          }
        : {
            line: context.lineOf(value.from),
            names: [name],
            why: `“${name}” is compared with “${whole}”, and gets “${context.sourceOf(value)}”, which is its place.`,
          },
    ),
  examples: [
    {
      language: "java",
      text: "class M {\n  int best(List<Integer> a) {\n    int best = 0;\n    for (int i = 1; i < a.size(); i++) {\n      if (a.get(i) > best) {\n        best = i;\n      }\n    }\n    return best + 1;\n  }\n}\n",
      line: 5,
    },
    {
      language: "octave",
      text: "top = -Inf;\nfor i = 1:3\n  if values(i) > top\n    top = i;\n  end\nend\ndisp(top)\n",
      line: 4,
    },
    {
      language: "python",
      text: "low = 0\nfor i in range(3):\n    if tides[i] < low:\n        low = i\nprint(tides[low])\n",
      line: 3,
    },
  ],
};
