import { byMessage } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A header is followed by nothing that it could head. */
export const blockBodyMissing: Pattern = {
  id: "block-body-missing",
  name: "A header without a body",
  says: "A header is followed by nothing that it could head.",
  mends: "Write the body, or say that it is empty.",
  fault: true,
  grounds: [byMessage("indentation", { words: /expected an indented block/i, more: 2 })],
};
