import { example, inMain } from "../example.ts";
import { byEdit, byNotice } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** True where nothing but the function that gives the least one and the one that gives the greatest one differ. */
function isLeastForGreatest(before: string, after: string): boolean {
  const turned = (line: string) => line.replace(/\bmin(?=\s*\()/gi, "\0").replace(/\bmax(?=\s*\()/gi, "\0");
  return before !== after && /\b(?:min|max)\s*\(/i.test(before) && turned(before) === turned(after);
}

/** Less stands for greater, or greater for less. */
export const comparisonTurned: Pattern = {
  id: "comparison-turned",
  name: "A comparison the wrong way round",
  says: "Less stands for greater, or greater for less.",
  mends: "Turn the sign.",
  cause: "The two signs are each other's mirror image.",
  avoid: "Put a number in for the name and read the comparison aloud.",
  fault: true,
  grounds: [
    byEdit("comparison", ({ before, after }) => /[<>]/.test(before) && /[<>]/.test(after), 2),
    // The least one for the greatest one.
    byEdit("counterpart", ({ lineBefore, lineAfter }) => isLeastForGreatest(lineBefore, lineAfter), 8),
    // The answer of what compares is taken for the truth, which it is the wrong way round.
    byEdit("equal-texts", ({ before, after }) => before !== "" && after.startsWith(before), 5),
    // A loop whose condition looks to the other side; one that makes passes without end is told by another kind.
    (evidence) => (/end/.test(evidence.symptom) ? null : byNotice("loop-moves-away", 2)(evidence)),
  ],
  examples: [
    example(
      "python",
      `load = 50
if load «>¦<» 40:
    print("too heavy")
else:
    print("fine")
`,
    ),
    inMain(
      "java",
      `int load = 50;
if (load «>¦<» 40)
    System.out.println("too heavy");
else
    System.out.println("fine");
`,
    ),
    inMain(
      "c",
      `int load = 50;
if (load «>¦<» 40)
    printf("too heavy\\n");
else
    printf("fine\\n");
`,
    ),
    inMain(
      "csharp",
      `int load = 50;
if (load «>¦<» 40)
    Console.WriteLine("too heavy");
else
    Console.WriteLine("fine");
`,
    ),
    example(
      "pascal",
      `var load: integer;
begin
  load := 50;
  if load «>¦<» 40 then
    writeln('too heavy')
  else
    writeln('fine');
end.
`,
    ),
    example(
      "octave",
      `load_now = 50;
if load_now «>¦<» 40
  printf("too heavy\\n");
else
  printf("fine\\n");
end
`,
    ),
    example(
      "pseudocode",
      `load <- 50
IF load «>¦<» 40 THEN
  OUTPUT "too heavy"
ELSE
  OUTPUT "fine"
ENDIF
`,
    ),
    inMain(
      "basic-macro",
      `weight = 12
If weight «<¦>» 20 Then
  MsgBox "may sail"
Else
  MsgBox "too heavy"
End If
`,
    ),
    example(
      "sketch",
      `int load = 50;
if (load «>¦<» 40)
    println("too heavy");
else
    println("fine");
`,
    ),
    inMain(
      "basic-forms",
      `Dim tide As Integer = 3
If tide «<¦>» 5 Then
  Console.WriteLine("low")
Else
  Console.WriteLine("high")
End If
`,
    ),
  ],
};
