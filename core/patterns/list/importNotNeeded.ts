import { example } from "../example.ts";
import { byMessage } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** Something is made known and never used. That is no fault by itself. */
export const importNotNeeded: Pattern = {
  id: "import-not-needed",
  name: "Something imported and not used",
  says: "Something is made known and never used. That is no fault by itself.",
  mends: "Take it away.",
  cause: "It was needed once, or the editor put it in.",
  avoid: "Take away what the editor greys out.",
  fault: false,
  grounds: [byMessage("unused", { words: /import/i })],
  examples: [
    example(
      "java",
      `«¦import java.util.ArrayList;
»public class Main {
    public static void main(String[] args) {
        System.out.println(12);
    }
}
`,
    ),
    example(
      "python",
      `«¦import math
»print(12)
`,
    ),
  ],
};
