import { example } from "../example.ts";
import type { Pattern } from "../pattern.ts";

/** A value is made the kind that it has already. That is no fault by itself. */
export const convertedTwice: Pattern = {
  id: "converted-twice",
  name: "Made another kind twice",
  says: "A value is made the kind that it has already. That is no fault by itself.",
  mends: "Do it once.",
  cause: "One was not sure what kind the value has.",
  avoid: "Know the kind of each name.",
  fault: false,
  grounds: [],
  examples: [
    example(
      "python",
      `load = int(«input()¦int(input())»)
print(load)
`,
      "12\n",
    ),
  ],
};
