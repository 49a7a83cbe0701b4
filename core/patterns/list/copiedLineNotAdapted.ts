import { example, inMain } from "../example.ts";
import { byChange, byEdit, byNotice } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";
import { isCopied } from "../shape.ts";

/** A line was copied and still uses a name or value of the one that it was copied from. */
export const copiedLineNotAdapted: Pattern = {
  id: "copied-line-not-adapted",
  name: "A copied line that was not adapted",
  says: "A line was copied and still uses a name or value of the one that it was copied from.",
  mends: "Change what differs.",
  cause: "A copy is right in all but one place, and the eye takes it for the line above.",
  avoid: "After copying, look at every name and number of the copy.",
  fault: true,
  grounds: [
    byNotice("copied-line-same-element", 7),
    byEdit("other-name", () => true, 1),
    byEdit("counterpart", () => true, 1),
    byChange(
      (change, evidence) =>
        evidence.class === "logic" &&
        ["constant", "by-one", "other-name"].includes(change.family) &&
        isCopied(change, evidence),
      5,
    ),
  ],
  examples: [
    example(
      "octave",
      `tides = [3, 5, 4];
first = tides(1);
second = tides(«2¦1»);
printf("%d %d\\n", first, second);
`,
    ),
    example(
      "python",
      `tides = [3, 5, 4]
first = tides[0]
second = tides[«1¦0»]
print(first, second)
`,
    ),
    inMain(
      "java",
      `int[] tides = {3, 5, 4};
int first = tides[0];
int second = tides[«1¦0»];
System.out.println(first + " " + second);
`,
    ),
    inMain(
      "c",
      `int adults = 2, children = 3;
printf("adults %d\\n", adults);
printf("children %d\\n", «children¦adults»);
`,
    ),
    example(
      "pseudocode",
      `tides <- [3, 5, 4]
first <- tides[1]
second <- tides[«2¦1»]
OUTPUT first, " ", second
`,
    ),
    example(
      "sketch",
      `int[] tides = {3, 5, 4};
int first = tides[0];
int second = tides[«1¦0»];
println(first + " " + second);
`,
    ),
  ],
};
