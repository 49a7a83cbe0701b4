import { example } from "../example.ts";
import { byMessage, byNotice } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A line shows its result because its end does not say otherwise. That is no fault by itself. */
export const outputNotSuppressed: Pattern = {
  id: "output-not-suppressed",
  name: "A result that is shown unasked",
  says: "A line shows its result because its end does not say otherwise. That is no fault by itself.",
  mends: "End the line so that nothing is shown.",
  cause: "A line without its ending sign shows what it worked out.",
  avoid: "End lines that only work something out with that sign.",
  fault: false,
  grounds: [byMessage("unsuppressed output", { more: 2 }), byNotice("unsuppressed output", 0, true)],
  examples: [
    example(
      "octave",
      `load_now = 12«;¦»
printf("%d\\n", load_now);
`,
    ),
  ],
};
