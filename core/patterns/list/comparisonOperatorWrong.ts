import { example, inMain } from "../example.ts";
import { byChange, byEdit } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A decision compares in another way than is meant. */
export const comparisonOperatorWrong: Pattern = {
  id: "comparison-operator-wrong",
  name: "Another comparison",
  says: "A decision compares in another way than is meant.",
  mends: "Use the comparison that is meant.",
  cause: "Equal and not equal, or two conditions, were taken for each other.",
  avoid: "Try a value for which it must hold and one for which it must not.",
  fault: true,
  grounds: [
    byEdit(
      "comparison",
      ({ before, after }) => /[=!]/.test(before) !== /[=!]/.test(after) && !/[<>]/.test(before + after),
      2,
    ),
    byEdit("comparison"),
    // Both signs of one comparison in another order: `=>`.
    byEdit("sign", ({ before, after }) => /^=[<>]$/.test(before.trim()) && /[<>]/.test(after), 7),
    byChange(
      ({ lineBefore, lineAfter }) => lineBefore !== lineAfter && lineBefore.replace(/=([<>])/g, "$1=") === lineAfter,
      7,
    ),
  ],
  examples: [
    example(
      "python",
      `state = "open"
if state «==¦!=» "open":
    print("go aboard")
else:
    print("wait")
`,
    ),
    inMain(
      "java",
      `int bags = 0;
if (bags «==¦!=» 0)
    System.out.println("no bags");
else
    System.out.println("bags");
`,
    ),
    inMain(
      "c",
      `int bags = 0;
if (bags «==¦!=» 0)
    printf("no bags\\n");
else
    printf("bags\\n");
`,
    ),
    inMain(
      "csharp",
      `int bags = 0;
if (bags «==¦!=» 0)
    Console.WriteLine("no bags");
else
    Console.WriteLine("bags");
`,
    ),
    example(
      "pascal",
      `var bags: integer;
begin
  bags := 0;
  if bags «=¦<>» 0 then
    writeln('no bags')
  else
    writeln('bags');
end.
`,
    ),
    example(
      "octave",
      `bags = 0;
if bags «==¦~=» 0
  printf("no bags\\n");
else
  printf("bags\\n");
end
`,
    ),
    example(
      "pseudocode",
      `bags <- 0
IF bags «=¦<>» 0 THEN
  OUTPUT "no bags"
ELSE
  OUTPUT "bags"
ENDIF
`,
    ),
    inMain(
      "basic-macro",
      `tide = 3
If tide «>=¦>» 3 Then
  MsgBox "sail"
Else
  MsgBox "wait"
End If
`,
    ),
    example(
      "sketch",
      `int bags = 0;
if (bags «==¦!=» 0)
    println("no bags");
else
    println("bags");
`,
    ),
    inMain(
      "basic-forms",
      `Dim booked As Integer = 40
If booked «>=¦>» 40 Then
  Console.WriteLine("full")
Else
  Console.WriteLine("free")
End If
`,
    ),
  ],
};
