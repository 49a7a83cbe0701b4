import { example, inMain } from "../example.ts";
import { byEdit } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** The words that join conditions on a line, in their order. */
const joins = (line: string) => (line.toLowerCase().match(/\b(?:and|or)\b|&&|\|\||[&|]/g) ?? []).join(" ");

/** Two conditions are joined by the wrong word, or one of them is turned. */
export const andOrMixedUp: Pattern = {
  id: "and-or-mixed-up",
  name: "And for or, or for and",
  says: "Two conditions are joined by the wrong word, or one of them is turned.",
  mends: "Say it aloud with both words and try a value for each.",
  cause: "Everyday language says “and” where either of two is meant.",
  avoid: "Say when the whole holds, and try each side alone.",
  fault: true,
  grounds: [
    byEdit("logic-word", () => true, 2),
    // A test that lets through what it was to keep away: what stops the run then is told by its message, and is not the mistake.
    byEdit(
      "logic-word",
      ({ lineBefore, lineAfter }, { class: of }) => of === "runtime" && joins(lineBefore) !== joins(lineAfter),
      8,
    ),
  ],
  examples: [
    example(
      "python",
      `age = 70
if age < 14 «or¦and» age > 65:
    print("cheaper")
else:
    print("full fare")
`,
    ),
    inMain(
      "java",
      `int age = 70;
if (age < 14 «||¦&&» age > 65)
    System.out.println("cheaper");
else
    System.out.println("full fare");
`,
    ),
    inMain(
      "c",
      `int age = 70;
if (age < 14 «||¦&&» age > 65)
    printf("cheaper\\n");
else
    printf("full fare\\n");
`,
    ),
    inMain(
      "csharp",
      `int age = 70;
if (age < 14 «||¦&&» age > 65)
    Console.WriteLine("cheaper");
else
    Console.WriteLine("full fare");
`,
    ),
    example(
      "pascal",
      `var age: integer;
begin
  age := 70;
  if (age < 14) «or¦and» (age > 65) then
    writeln('cheaper')
  else
    writeln('full fare');
end.
`,
    ),
    example(
      "octave",
      `age = 70;
if age < 14 «||¦&&» age > 65
  printf("cheaper\\n");
else
  printf("full fare\\n");
end
`,
    ),
    example(
      "pseudocode",
      `age <- 70
IF age < 14 «OR¦AND» age > 65 THEN
  OUTPUT "cheaper"
ELSE
  OUTPUT "full fare"
ENDIF
`,
    ),
    inMain(
      "basic-macro",
      `age = 70
If age < 14 «Or¦And» age > 65 Then
  MsgBox "cheaper"
Else
  MsgBox "full fare"
End If
`,
    ),
    example(
      "sketch",
      `int age = 70;
if (age < 14 «||¦&&» age > 65)
    println("cheaper");
else
    println("full fare");
`,
    ),
    inMain(
      "basic-forms",
      `Dim age As Integer = 70
If age < 4 «Or¦And» age >= 65 Then
  Console.WriteLine("reduced")
Else
  Console.WriteLine("full")
End If
`,
    ),
  ],
};
