import { byEdit } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A sign that ends statements stands behind a header, which then heads nothing. */
export const semicolonAfterHeader: Pattern = {
  id: "semicolon-after-header",
  name: "A sign behind a header",
  says: "A sign that ends statements stands behind a header, which then heads nothing.",
  mends: "Take it away.",
  fault: true,
  grounds: [byEdit("empty-body", () => true, 4)],
};
