import { inMain } from "../example.ts";
import { byMessage } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A text or array gets more than there is room for. */
export const bufferTooSmall: Pattern = {
  id: "buffer-too-small",
  name: "A place that is too small",
  says: "A text or array gets more than there is room for.",
  mends: "Make it large enough for the end mark as well.",
  cause: "A text needs one place more than it has letters.",
  avoid: "Let the room grow with what is put in.",
  fault: true,
  grounds: [byMessage("memory misused", { words: /smash|overflow/i, more: 3 })],
  examples: [
    inMain(
      "c",
      `char ferry[«20¦4»];
char deck[] = "AAAA";
strcpy(ferry, "kittiwake crossing");
printf("%s %s\\n", ferry, deck);
`,
    ),
  ],
};
