import { byEdit, byMessage } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A value is too large for the type of its variable, and wraps or is refused. */
export const numberTypeTooSmall: Pattern = {
  id: "number-type-too-small",
  name: "A number too large for its type",
  says: "A value is too large for the type of its variable, and wraps or is refused.",
  mends: "Use a larger type.",
  fault: true,
  grounds: [byMessage("overflow", { more: 3 }), byEdit("declaration", ({ after }) => /long|int64/i.test(after), 3)],
};
