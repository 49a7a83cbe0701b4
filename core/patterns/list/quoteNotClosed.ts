import { byEdit, byMessage } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A text is opened with a quote and not closed with the same one on its line. */
export const quoteNotClosed: Pattern = {
  id: "quote-not-closed",
  name: "A text that is not closed",
  says: "A text is opened with a quote and not closed with the same one on its line.",
  mends: "Close the text with the quote that opened it.",
  fault: true,
  grounds: [byEdit("quote"), byMessage("text not closed")],
};
