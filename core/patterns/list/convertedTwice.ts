import { example } from "../example.ts";
import { byText } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";
import { lineWith } from "../shape.ts";

/** The same conversion around itself: int(int(text)), (double) (double) load. */
const twice =
  /\b(int|float|str|double|round|String\.valueOf)\s*\(\s*\1\s*\(|\((int|double|float|long)\)\s*\(?\s*\(\2\)/;

/** A value is made the kind that it has already. That is no fault by itself. */
export const convertedTwice: Pattern = {
  id: "converted-twice",
  name: "Made another kind twice",
  says: "A value is made the kind that it has already. That is no fault by itself.",
  mends: "Do it once.",
  cause: "One was not sure what kind the value has.",
  avoid: "Know the kind of each name.",
  fault: false,
  grounds: [
    byText(
      ({ lines }) => lineWith(lines, twice, "A value is made here what it has just been made."),
      // No fault: whatever else there is comes before it.
      -25,
    ),
  ],
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
