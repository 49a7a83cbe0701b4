import { byEdit } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A function is named and not called, or a call's brackets are left off. */
export const callBracketsMissing: Pattern = {
  id: "call-brackets-missing",
  name: "A call without its brackets",
  says: "A function is named and not called, or a call's brackets are left off.",
  mends: "Put the brackets behind the name.",
  fault: true,
  grounds: [byEdit("call-brackets")],
};
