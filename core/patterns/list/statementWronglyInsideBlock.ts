import { byEdit } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A statement that is to be done once stands in the block of a loop or decision. */
export const statementWronglyInsideBlock: Pattern = {
  id: "statement-wrongly-inside-block",
  name: "A statement inside of a block where it does not belong",
  says: "A statement that is to be done once stands in the block of a loop or decision.",
  mends: "Put it behind the block.",
  fault: true,
  grounds: [
    byEdit(
      "indentation",
      (change, { class: of }) => of !== "syntax" && change.lineAfter.search(/\S/) < change.lineBefore.search(/\S/),
      3,
    ),
  ],
};
