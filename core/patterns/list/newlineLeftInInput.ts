import { byEdit } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A read left the end of the typed line, and the next one takes it. */
export const newlineLeftInInput: Pattern = {
  id: "newline-left-in-input",
  name: "The rest of a typed line",
  says: "A read left the end of the typed line, and the next one takes it.",
  mends: "Read the rest of the line away.",
  fault: true,
  grounds: [byEdit("line-left", () => true, 5), byEdit("format-letter", ({ after }) => / %?c|^ /.test(after), 3)],
};
