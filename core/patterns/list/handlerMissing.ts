import { byMessage } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** Something can fail in a way that the language wants handled, and is not. */
export const handlerMissing: Pattern = {
  id: "handler-missing",
  name: "An error that must be handled",
  says: "Something can fail in a way that the language wants handled, and is not.",
  mends: "Handle or declare it.",
  fault: true,
  grounds: [byMessage("not handled", { more: 4 })],
};
