import { printsName } from "../../edits/families/textOrNumber.ts";
import { ofKind } from "../../edits/places.ts";
import type { Mistake } from "./mistake.ts";

/** The name of a variable is printed in the place of what it holds. */
export const nameAsText: Mistake = {
  id: "name-printed-as-text",
  weight: 90,
  find: (context) =>
    ofKind(context, "text").flatMap((placed) =>
      printsName(context, placed)
        ? [
            {
              line: context.lineOf(placed.node.from),
              why: `${context.sourceOf(placed.node)} is printed as it stands; a variable of the program has this name.`,
            },
          ]
        : [],
    ),
  examples: [
    { language: "python", text: 'total = 3\nprint("Sold", "total")\n', line: 2 },
    { language: "octave", text: 'boats = 3;\nprintf("Boats %d\\n", "boats");\n', line: 2 },
    { language: "c", text: 'int main(void) {\n  int boats = 3;\n  printf("%d\\n", "boats");\n}\n', line: 3 },
    { language: "pascal", text: "var total: integer;\nbegin\n  writeln('Sold ', 'total');\nend.\n", line: 3 },
  ],
};
