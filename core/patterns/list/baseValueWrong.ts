import { example, inMain } from "../example.ts";
import { byEdit } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A number or text that stands fixed in the program is not the one that is meant. */
export const baseValueWrong: Pattern = {
  id: "base-value-wrong",
  name: "A wrong fixed value",
  says: "A number or text that stands fixed in the program is not the one that is meant.",
  mends: "Write the right one.",
  cause: "A number of the task was mistyped or forgotten.",
  avoid: "Give fixed numbers a name, and write them once.",
  fault: true,
  grounds: [
    byEdit("constant", () => true, 1),
    // The answer of what compares texts, asked for another number than the one for equal ones.
    byEdit("equal-texts", ({ before }) => /^\d+$/.test(before)),
  ],
  examples: [
    example(
      "python",
      `def fare(age):
    if age < 14:
        return «4¦5»
    return 9

print(fare(10))
`,
    ),
    example(
      "c",
      `#include <stdio.h>
int ways(int steps) {
    if (steps == 0) return «1¦0»;
    return 2 * ways(steps - 1);
}
int main(void) {
    printf("%d\\n", ways(3));
    return 0;
}
`,
    ),
    inMain(
      "java",
      `int age = 10;
int fare = 9;
if (age < 14)
    fare = «4¦5»;
System.out.println(fare);
`,
    ),
    example(
      "pascal",
      `var fare: integer;
begin
  fare := 9 * «3¦2»;
  writeln(fare);
end.
`,
    ),
    inMain(
      "csharp",
      `int fare = 9 * «3¦2»;
Console.WriteLine(fare);
`,
    ),
    example(
      "octave",
      `fare = 9 * «3¦2»;
printf("%d\\n", fare);
`,
    ),
    example(
      "pseudocode",
      `fare <- 9 * «3¦2»
OUTPUT fare
`,
    ),
    example(
      "sketch",
      `int age = 10;
int fare = 9;
if (age < 14)
    fare = «4¦5»;
println(fare);
`,
    ),
  ],
};
