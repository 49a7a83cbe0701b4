import { byEdit, byMessage } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A line is indented too far or not far enough for the block it belongs to, and the language minds. */
export const lineIndentedWrongly: Pattern = {
  id: "line-indented-wrongly",
  name: "A line that is indented wrongly",
  says: "A line is indented too far or not far enough for the block it belongs to, and the language minds.",
  mends: "Indent it as the other lines of its block.",
  fault: true,
  grounds: [byEdit("indentation", (_, { class: of }) => of === "syntax", 1), byMessage("indentation")],
};
