import { byEdit, byMessage } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A text and a number are put together by an operator that cannot take both. */
export const textAndNumberMixed: Pattern = {
  id: "text-and-number-mixed",
  name: "Text and number in one calculation",
  says: "A text and a number are put together by an operator that cannot take both.",
  mends: "Make one of them the kind of the other.",
  fault: true,
  grounds: [
    byEdit("conversion", (_, { class: of, message }) => of !== "logic" && message?.kind === "type mismatch", 2),
    byMessage("type mismatch", { words: /str|text|String|char/ }),
    byEdit("declaration", () => true, -4),
    byEdit(["conversion", "text-or-number"], () => true, -4),
  ],
};
