import { example, inMain } from "../example.ts";
import { byEdit, byNotice } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A condition holds, or fails, whatever its values are. */
export const conditionAlwaysTrue: Pattern = {
  id: "condition-always-true",
  name: "A condition that always holds",
  says: "A condition holds, or fails, whatever its values are.",
  mends: "Compare each value with what it is to be compared with.",
  cause: "A value stands for a condition by itself, or two limits exclude nothing.",
  avoid: "Look for a value for which it must fail.",
  fault: true,
  grounds: [byEdit("comparison-left-out", () => true, 4), byNotice("range-test-on-text", 5)],
  examples: [
    example(
      "python",
      `ferry = "gull"
if ferry == "tern" or «ferry == ¦»"puffin":
    print("leaves")
else:
    print("unknown")
`,
    ),
    inMain(
      "java",
      `int age = 30;
if (age < 14 «&&¦||» age > 2)
    System.out.println("child");
else
    System.out.println("other");
`,
    ),
    inMain(
      "c",
      `int deck = 3;
if (deck == 1 || «deck == ¦»2)
    printf("below\\n");
else
    printf("above\\n");
`,
    ),
    inMain(
      "basic-macro",
      `turn = 3
If turn = 6 Or «turn = ¦»7 Then
  MsgBox "short crossing"
Else
  MsgBox "usual crossing"
End If
`,
    ),
    example(
      "sketch",
      `int age = 30;
if (age < 14 «&&¦||» age > 2)
    println("child");
else
    println("other");
`,
    ),
    inMain(
      "basic-forms",
      `Dim deck As Integer = 3
If deck = 1 Or «deck = 2¦2» Then
  Console.WriteLine("below")
Else
  Console.WriteLine("above")
End If
`,
    ),
  ],
};
