import { example, inMain } from "../example.ts";
import { byEdit, byMessage } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A format says another kind of value, or other digits, than it is given. */
export const formatLetterWrong: Pattern = {
  id: "format-letter-wrong",
  name: "Another letter in a format",
  says: "A format says another kind of value, or other digits, than it is given.",
  mends: "Use the letter of the value's kind.",
  cause: "Each kind of value has its own letter.",
  avoid: "Look at the declaration while writing the format.",
  fault: true,
  grounds: [byEdit("format-letter", () => true, 2), byMessage("format mismatch", { more: 2 })],
  examples: [
    inMain(
      "c",
      `double tide = 3.5;
printf("«%.1f¦%d»\\n", tide);
`,
    ),
    example(
      "python",
      `tide = 3.5
print("%«.1f¦d»" % tide)
`,
    ),
    inMain(
      "java",
      `double tide = 3.5;
System.out.printf("%«.1f¦d»%n", tide);
`,
    ),
    example(
      "octave",
      `name = "tern";
printf("%«s¦d»\\n", name);
`,
    ),
  ],
};
