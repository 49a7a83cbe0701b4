import { byEdit } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** Two names hold one list, and what is changed by one shows in the other. */
export const listSharedByAlias: Pattern = {
  id: "list-shared-by-alias",
  name: "One list under two names",
  says: "Two names hold one list, and what is changed by one shows in the other.",
  mends: "Make a copy.",
  fault: true,
  grounds: [byEdit("copied", () => true, 2)],
};
