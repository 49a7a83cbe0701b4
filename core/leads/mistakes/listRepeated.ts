import { repeated } from "../../edits/families/copied.ts";
import type { Mistake } from "./mistake.ts";

/** One list many times over, where several were meant. */
export const listRepeated: Mistake = {
  id: "list-shared-by-alias",
  weight: 96,
  find: (context) =>
    context.writing.madeAnew
      ? context.nodes.flatMap(({ node }) =>
          repeated(node)
            ? [
                {
                  line: context.lineOf(node.from),
                  why: "This makes one list and puts it in many places: what is changed in one of them shows in all.",
                },
              ]
            : [],
        )
      : [],
  examples: [{ language: "python", text: "rows = 2\ndeck = [[0] * 3] * rows\n", line: 2 }],
};
