import { byMessage } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A file is opened under a name or at a place where there is none. */
export const fileNotThere: Pattern = {
  id: "file-not-there",
  name: "A file that is not there",
  says: "A file is opened under a name or at a place where there is none.",
  mends: "Name the file that is there, or handle that it is missing.",
  fault: true,
  grounds: [byMessage("file missing", { of: "runtime", more: 25 })],
};
