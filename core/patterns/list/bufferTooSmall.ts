import { byMessage } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A text or array gets more than there is room for. */
export const bufferTooSmall: Pattern = {
  id: "buffer-too-small",
  name: "A place that is too small",
  says: "A text or array gets more than there is room for.",
  mends: "Make it large enough for the end mark as well.",
  fault: true,
  grounds: [byMessage("memory misused", { words: /smash|overflow/i, more: 3 })],
};
