import { example, inMain } from "../example.ts";
import { byEdit } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A name is written in another letter case than where it was made. */
export const nameLetterCase: Pattern = {
  id: "name-letter-case",
  name: "One name in two letter cases",
  says: "A name is written in another letter case than where it was made.",
  mends: "Write it the same everywhere.",
  cause: "For this language two names that differ in one capital are two names.",
  avoid: "Choose one way of writing names and keep to it.",
  fault: true,
  grounds: [
    byEdit(
      "name",
      ({ lineBefore, lineAfter }) => lineBefore !== lineAfter && lineBefore.toLowerCase() === lineAfter.toLowerCase(),
      6,
    ),
  ],
  examples: [
    example(
      "python",
      `load = 12
print(«load¦Load»)
`,
    ),
    inMain(
      "java",
      `int load = 12;
System.out.println(«load¦Load»);
`,
    ),
    inMain(
      "c",
      `int load = 12;
printf("%d\\n", «load¦Load»);
`,
    ),
    inMain(
      "csharp",
      `int load = 12;
Console.WriteLine(«load¦Load»);
`,
    ),
    example(
      "octave",
      `fare = 12;
printf("%d\\n", «fare¦Fare»);
`,
    ),
    example(
      "sketch",
      `int load = 12;
println(«load¦Load»);
`,
    ),
    example(
      "sketch",
      `void setup() {
  size(100, 80);
  «fill¦Fill»(30, 144, 255);
  rect(10, 10, 40, 30);
}
`,
    ),
  ],
};
