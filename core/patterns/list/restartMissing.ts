import type { Pattern } from "../pattern.ts";

/** A value that is to begin anew in every pass keeps what the pass before left. */
export const restartMissing: Pattern = {
  id: "restart-missing",
  name: "Not begun anew",
  says: "A value that is to begin anew in every pass keeps what the pass before left.",
  mends: "Set it back at the beginning of the pass.",
  fault: true,
  grounds: [],
};
