import { byEdit } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A name stands in quotes, so that its letters are used and not its value. */
export const namePrintedAsText: Pattern = {
  id: "name-printed-as-text",
  name: "A name in quotes",
  says: "A name stands in quotes, so that its letters are used and not its value.",
  mends: "Take the quotes away.",
  fault: true,
  grounds: [byEdit(["text-or-number", "quote"], ({ before, after }) => /["']/.test(before) && !/["']/.test(after), 4)],
};
