import { byEdit } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A statement that belongs into a block stands behind it. */
export const statementOutsideBlock: Pattern = {
  id: "statement-outside-block",
  name: "A statement outside of its block",
  says: "A statement that belongs into a block stands behind it.",
  mends: "Put it into the block.",
  fault: true,
  grounds: [
    byEdit("block-marks", () => true, 1),
    byEdit(
      "indentation",
      (change, { class: of }) => of !== "syntax" && change.lineAfter.search(/\S/) > change.lineBefore.search(/\S/),
      3,
    ),
  ],
};
