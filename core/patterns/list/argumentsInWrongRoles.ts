import { example, inMain } from "../example.ts";
import { byEdit } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** Two values are used for each other: one is divided by the other, or taken from it, the wrong way round. */
export const argumentsInWrongRoles: Pattern = {
  id: "arguments-in-wrong-roles",
  name: "Values in the wrong roles",
  says: "Two values are used for each other: one is divided by the other, or taken from it, the wrong way round.",
  mends: "Change their places.",
  cause: "Both are numbers, so nobody complains.",
  avoid: "Say what each value is before writing the line.",
  fault: true,
  grounds: [byEdit("swapped", ({ lineBefore, before }) => /[-/%]/.test(lineBefore) && !before.includes(","), 5)],
  examples: [
    example(
      "python",
      `passengers = 40
trips = 8
print(«passengers / trips¦trips / passengers»)
`,
    ),
    inMain(
      "java",
      `int passengers = 40, trips = 8;
System.out.println(«passengers / trips¦trips / passengers»);
`,
    ),
    example(
      "octave",
      `passengers = 40;
trips = 8;
printf("%d\\n", «passengers / trips¦trips / passengers»);
`,
    ),
    inMain(
      "c",
      `int arrives = 50, leaves = 20;
printf("%d\\n", «arrives - leaves¦leaves - arrives»);
`,
    ),
    example(
      "pseudocode",
      `passengers <- 40
trips <- 8
OUTPUT «passengers / trips¦trips / passengers»
`,
    ),
    example(
      "sketch",
      `int passengers = 40, trips = 8;
println(«passengers / trips¦trips / passengers»);
`,
    ),
  ],
};
