import { example } from "../example.ts";
import { byEdit, byMessage } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** The header of a block has no colon at its end, or another sign in its place. */
export const colonMissing: Pattern = {
  id: "colon-missing",
  name: "The colon behind a header",
  says: "The header of a block has no colon at its end, or another sign in its place.",
  mends: "Put the colon at the end of the header.",
  cause: "The header reads like a whole sentence without it.",
  avoid: "Compare with the other headers of the program: each ends in the same sign.",
  fault: true,
  grounds: [
    byEdit("colon"),
    byEdit("other-forms", ({ after }) => after === ":", 5),
    byMessage("sign missing", { words: /':'/, more: 2 }),
  ],
  examples: [
    example(
      "python",
      `for trip in range(3)«:¦»
    print("Trip", trip)
`,
    ),
  ],
};
