import { example, inMain } from "../example.ts";
import { byEdit, byNotice, byText } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";
import { firstLineWith, lookedAt } from "../shape.ts";

/** Two decimal numbers are compared for equality, and differ in their last digits. */
export const decimalComparedExactly: Pattern = {
  id: "decimal-compared-exactly",
  name: "Decimals compared exactly",
  says: "Two decimal numbers are compared for equality, and differ in their last digits.",
  mends: "Compare with a tolerance.",
  cause: "Many decimals cannot be kept exactly, so two ways to the same number differ in the last digit.",
  avoid: "Ask whether the difference is small.",
  fault: true,
  grounds: [
    byEdit("tolerance", () => true, 4),
    byNotice("decimal-compared-exactly", 3),
    byText(
      (evidence) =>
        evidence.class === "logic"
          ? firstLineWith(
              evidence,
              lookedAt(evidence),
              /(?:[=!~]=|<>)\s*-?\d+\.\d+|\d+\.\d+\s*(?:[=!~]=|<>)/,
              "A decimal number is compared exactly.",
            )
          : null,
      5,
    ),
  ],
  examples: [
    example(
      "python",
      `tide = 0.1 + 0.2
if «abs(tide - 0.3) < 0.001¦tide == 0.3»:
    print("low")
else:
    print("other")
`,
    ),
    inMain(
      "java",
      `double tide = 0.1 + 0.2;
if («Math.abs(tide - 0.3) < 0.001¦tide == 0.3»)
    System.out.println("low");
else
    System.out.println("other");
`,
    ),
    example(
      "c",
      `#include <stdio.h>
#include <math.h>
int main(void) {
    double tide = 0.1 + 0.2;
    if («fabs(tide - 0.3) < 0.001¦tide == 0.3»)
        printf("low\\n");
    else
        printf("other\\n");
    return 0;
}
`,
    ),
    inMain(
      "csharp",
      `double tide = 0.1 + 0.2;
if («Math.Abs(tide - 0.3) < 0.001¦tide == 0.3»)
    Console.WriteLine("low");
else
    Console.WriteLine("other");
`,
    ),
    example(
      "octave",
      `tide = 0.1 + 0.2;
if «abs(tide - 0.3) < 0.001¦tide == 0.3»
  printf("low\\n");
else
  printf("other\\n");
end
`,
    ),
    example(
      "pseudocode",
      `tide <- 0.1 + 0.2
IF «ABS(tide - 0.3) < 0.001¦tide = 0.3» THEN
  OUTPUT "low"
ELSE
  OUTPUT "other"
ENDIF
`,
    ),
    example(
      "sketch",
      `float tide = 0.3 + 0.4;
if («abs(tide - 0.7) < 0.001¦tide == 0.7»)
    println("low");
else
    println("other");
`,
    ),
    inMain(
      "basic-forms",
      `Dim level As Double = 0
For hour As Integer = 1 To 10
  level += 0.1
Next
If «Math.Abs(level - 1) < 0.000001¦level = 1» Then
  Console.WriteLine("full")
Else
  Console.WriteLine("not yet")
End If
`,
    ),
  ],
};
