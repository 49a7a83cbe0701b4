import { byEdit, byMessage } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** An element is asked for behind the last one or before the first one. */
export const indexPastEnd: Pattern = {
  id: "index-past-end",
  name: "A position past the end",
  says: "An element is asked for behind the last one or before the first one.",
  mends: "Let the position stay inside of what is there.",
  fault: true,
  grounds: [
    byEdit(["by-one", "constant", "comparison"], (_, { message }) => message?.kind === "index out of range", 5),
    byMessage("index out of range", { more: 2 }),
    byMessage("memory misused"),
  ],
};
