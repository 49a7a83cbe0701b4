import { equalTextsFamily } from "../../edits/families/equalTexts.ts";
import type { Mistake } from "./mistake.ts";

/** What compares texts answers with a number, 0 for equal ones; it is taken for the truth, or asked for another number. */
export const answerOfTexts: Mistake = {
  id: "answer-of-texts",
  weight: 97,
  find: (context) =>
    equalTextsFamily.mends(context).flatMap(({ from, parameters }) =>
      parameters.asks === "the answer"
        ? [
            {
              line: context.lineOf(from),
              why: `What compares the texts answers ${parameters.other} where they are equal, and another number where they are not.`,
            },
          ]
        : [],
    ),
  examples: [
    { language: "c", text: 'int f(char *a) {\n  if (strcmp(a, "Tern"))\n    return 1;\n  return 0;\n}\n', line: 2 },
    { language: "c", text: 'int f(char *a) {\n  return strcmp(a, "Tern") == 1;\n}\n', line: 2 },
  ],
};
