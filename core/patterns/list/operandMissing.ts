import { byEdit } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** An operator stands there with nothing on one of its sides. */
export const operandMissing: Pattern = {
  id: "operand-missing",
  name: "An operator without a value",
  says: "An operator stands there with nothing on one of its sides.",
  mends: "Write the value that is missing.",
  fault: true,
  grounds: [
    byEdit("sign", ({ before }) => /^\s*[-+*/<>=]+\s*$/.test(before)),
    // Of a sign that is missing between two values, where no other kind of mistake says more.
    byEdit("sign", () => true, -5),
  ],
};
