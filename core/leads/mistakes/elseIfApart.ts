import { elseIfsApart } from "../../edits/branches.ts";
import type { Mistake } from "./mistake.ts";

/** `else if` where a language has one word for it. */
export const elseIfApart: Mistake = {
  id: "else-if-apart",
  weight: 98,
  find: (context) =>
    elseIfsApart(context).map(({ from }) => ({
      line: context.lineOf(from),
      why: `“else if” in two words begins a decision inside the else, which needs an end of its own; the one word is “${context.writing.chained}”.`,
    })),
  examples: [{ language: "octave", text: "if a < 6\n  b = 0;\nelse if a < 16\n  b = 2;\nend\nend\n", line: 3 }],
};
