import { example, inMain } from "../example.ts";
import { byEdit, byText } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";
import { firstLineWith, namedLines } from "../shape.ts";

/** And takes hold before or, and the condition means something else than it says. */
export const andOrWithoutBrackets: Pattern = {
  id: "and-or-without-brackets",
  name: "And and or without brackets",
  says: "And takes hold before or, and the condition means something else than it says.",
  mends: "Put brackets around what belongs together.",
  cause: "And takes hold before or.",
  avoid: "Put brackets wherever both words stand in one condition.",
  fault: true,
  grounds: [
    byEdit("formula-brackets", ({ lineBefore }) => /\b(?:and|or)\b|&&|\|\|/.test(lineBefore), 4),
    byEdit(
      "logic-word",
      // Where one of the two words is left alone by the mending, it was the wrong word.
      ({ lineBefore, lineAfter }) =>
        [lineBefore, lineAfter].every((line) => /\band\b|&&/.test(line) && /\bor\b|\|\|/.test(line)) &&
        !/\([^()]*(?:\bor\b|\|\||\band\b|&&)[^()]*\)\s*(?:and|or|&&|\|\|)/.test(lineBefore),
      5,
    ),
    // Where the words bind more than what compares, a program is refused without brackets around each comparison.
    byText((evidence) =>
      evidence.class === "syntax" && evidence.language.writing?.logicBindsFirst
        ? firstLineWith(
            evidence,
            namedLines(evidence).slice(0, 1),
            /^(?!.*\)\s*(?:and|or)\b)(?:.*[=<>][^()]*\b(?:and|or)\b|.*\b(?:and|or)\b[^()]*[=<>])/i,
            "The word between two comparisons holds what stands next to it before they are compared.",
          )
        : null,
    ),
  ],
  examples: [
    example(
      "python",
      `age = 10
islander = False
early = False
if «(age < 14 or islander) and early¦age < 14 or islander and early»:
    print("free")
else:
    print("fare")
`,
    ),
    inMain(
      "java",
      `int age = 10;
boolean islander = false, early = false;
if («(age < 14 || islander) && early¦age < 14 || islander && early»)
    System.out.println("free");
else
    System.out.println("fare");
`,
    ),
    inMain(
      "c",
      `int age = 10, islander = 0, early = 0;
if («(age < 14 || islander) && early¦age < 14 || islander && early»)
    printf("free\\n");
else
    printf("fare\\n");
`,
    ),
    example(
      "octave",
      `age = 10;
islander = false;
early = false;
if «(age < 14 || islander) && early¦age < 14 || islander && early»
  printf("free\\n");
else
  printf("fare\\n");
end
`,
    ),
    example(
      "pseudocode",
      `age <- 10
islander <- FALSE
early <- FALSE
IF «(age < 14 OR islander)¦age < 14 OR islander» AND early THEN
  OUTPUT "free"
ELSE
  OUTPUT "fare"
ENDIF
`,
    ),
    inMain(
      "basic-macro",
      `tide = 4
wind = 9
If tide > 3 Or «(¦»wind < 4 And tide < 2«)¦» Then
  MsgBox "sail"
Else
  MsgBox "wait"
End If
`,
    ),
    example(
      "sketch",
      `int age = 10;
boolean islander = false, early = false;
if («(age < 14 || islander) && early¦age < 14 || islander && early»)
    println("free");
else
    println("fare");
`,
    ),
    inMain(
      "basic-forms",
      `Dim cars As Integer = 3, bikes As Integer = 0, full As Boolean = True
If «(cars > 2 Or bikes > 2)¦cars > 2 Or bikes > 2» And Not full Then
  Console.WriteLine("wait")
Else
  Console.WriteLine("drive on")
End If
`,
    ),
  ],
};
