import { leaving } from "../../edits/families/leaving.ts";
import type { Mistake } from "./mistake.ts";

/** A case without `break`, where others have one. */
export const caseGoesOn: Mistake = {
  id: "case-falls-through",
  weight: 94,
  find: (context) => {
    if (!context.code.some((token) => token.text === "switch")) return [];
    const places = leaving.mends(context).filter((edit) => edit.odds > 1 && edit.parameters.word === "break");
    return places.map((edit) => ({
      line: context.lineOf(edit.from),
      why: "This case goes on into the next one: nothing leaves it.",
    }));
  },
  examples: [
    {
      language: "java",
      text: "class M {\n  void f(int d) {\n    switch (d) {\n      case 1: s = 4;\n      case 2: s = 5; break;\n    }\n  }\n}\n",
      line: 4,
    },
  ],
};
