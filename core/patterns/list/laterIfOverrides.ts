import { example, inMain } from "../example.ts";
import { byEdit } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** Decisions that are to exclude each other are asked one after the other, and a later one wins. */
export const laterIfOverrides: Pattern = {
  id: "later-if-overrides",
  name: "A later decision that overrides",
  says: "Decisions that are to exclude each other are asked one after the other, and a later one wins.",
  mends: "Ask the later ones only where the earlier ones failed.",
  cause: "Each decision is asked by itself, also after one has held.",
  avoid: "Ask the next only where the former did not hold.",
  fault: true,
  grounds: [byEdit("chain", ({ lineBefore }) => /^\s*if\b/i.test(lineBefore), 5), byEdit("chain", () => true, 3)],
  examples: [
    example(
      "python",
      `age = 10
if age < 14:
    fare = 4
«elif¦if» age < 65:
    fare = 9
print(fare)
`,
    ),
    inMain(
      "java",
      `int age = 10, fare = 0;
if (age < 14)
    fare = 4;
«else ¦»if (age < 65)
    fare = 9;
System.out.println(fare);
`,
    ),
    inMain(
      "c",
      `int age = 10, fare = 0;
if (age < 14)
    fare = 4;
«else ¦»if (age < 65)
    fare = 9;
printf("%d\\n", fare);
`,
    ),
    inMain(
      "csharp",
      `int age = 10, fare = 0;
if (age < 14)
    fare = 4;
«else ¦»if (age < 65)
    fare = 9;
Console.WriteLine(fare);
`,
    ),
    example(
      "pseudocode",
      `age <- 10
IF age < 14 THEN
  fare <- 4
«ELSE IF¦ENDIF
IF» age < 65 THEN
  fare <- 9
ENDIF
OUTPUT fare
`,
    ),
    example(
      "sketch",
      `int age = 10, fare = 0;
if (age < 14)
    fare = 4;
«else ¦»if (age < 65)
    fare = 9;
println(fare);
`,
    ),
    inMain(
      "basic-forms",
      `Dim age As Integer = 2
Dim fare As Integer = 8
If age < 4 Then
  fare = 0
«ElseIf age < 15 Then
  fare = 3
End If
¦End If
If age < 15 Then
  fare = 3
End If
»Console.WriteLine(fare)
`,
    ),
  ],
};
