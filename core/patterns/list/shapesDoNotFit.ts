import { example } from "../example.ts";
import { byMessage, sure } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** Two arrays of different shapes are put together. */
export const shapesDoNotFit: Pattern = {
  id: "shapes-do-not-fit",
  name: "Shapes that do not fit",
  says: "Two arrays of different shapes are put together.",
  mends: "Give them the same shape.",
  cause: "Arrays are put together element by element and need the same shape.",
  avoid: "Look at the sizes of both.",
  fault: true,
  grounds: [
    byMessage(["type mismatch", "wrong arguments", "value not allowed"], { words: /nonconformant/i, more: sure }),
  ],
  examples: [
    example(
      "octave",
      `morning = [12, 7, 20];
evening = [3, 4«, 5¦»];
printf("%d\\n", morning + evening);
`,
    ),
    example(
      "octave",
      `fares = [9; 4];
seats = [2, 3];
printf("%d\\n", «seats * fares¦[seats, 1] * fares»);
`,
    ),
  ],
};
