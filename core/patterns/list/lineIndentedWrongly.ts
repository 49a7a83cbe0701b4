import { example } from "../example.ts";
import { byEdit, byMessage } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A line is indented too far or not far enough for the block it belongs to, and the language minds. */
export const lineIndentedWrongly: Pattern = {
  id: "line-indented-wrongly",
  name: "A line that is indented wrongly",
  says: "A line is indented too far or not far enough for the block it belongs to, and the language minds.",
  mends: "Indent it as the other lines of its block.",
  cause: "Lines of one block must stand exactly below each other where the indentation is read.",
  avoid: "Indent with one key only, and never by blanks and tabs in one program.",
  fault: true,
  grounds: [byEdit("indentation", (_, { class: of }) => of === "syntax", 1), byMessage("indentation")],
  examples: [
    example(
      "python",
      `for trip in range(2):
    print("Trip", trip)
    «¦ »print("leaves")
`,
    ),
  ],
};
