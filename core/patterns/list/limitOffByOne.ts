import { example, inMain } from "../example.ts";
import { byEdit, byNotice } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";
import { changedEnd, isLimitMoved } from "../shape.ts";

/** A limit is one off: its last value is left out, or one more is taken in. */
export const limitOffByOne: Pattern = {
  id: "limit-off-by-one",
  name: "One too far or not far enough",
  says: "A limit is one off: its last value is left out, or one more is taken in.",
  mends: "Decide whether the limit itself belongs to it.",
  cause: "“Up to” leaves open whether the last one belongs to it.",
  avoid: "Try the limit itself, one below it and one above.",
  fault: true,
  grounds: [
    byEdit("comparison", ({ lineBefore, lineAfter }) => isLimitMoved(lineBefore, lineAfter), 3),
    byEdit(["by-one", "constant"], (change) => changedEnd(change) === "last", 5),
    byEdit(
      "constant",
      ({ lineBefore, before, after }) =>
        /^\s*while\b/i.test(lineBefore) && Math.abs(Number(before) - Number(after)) === 1,
      3,
    ),
    byEdit(["by-one"], () => true, 1),
    byNotice("limit-off-by-one", 1),
  ],
  examples: [
    example(
      "python",
      `age = 14
if age «<=¦<» 14:
    print("child")
else:
    print("adult")
`,
    ),
    example(
      "python",
      `for trip in range(1, «4¦3»):
    print("Trip", trip)
`,
    ),
    inMain(
      "java",
      `for (int trip = 1; trip «<=¦<» 3; trip++)
    System.out.println("Trip " + trip);
`,
    ),
    inMain(
      "c",
      `for (int trip = 1; trip «<=¦<» 3; trip++)
    printf("Trip %d\\n", trip);
`,
    ),
    inMain(
      "csharp",
      `for (int trip = 1; trip «<=¦<» 3; trip++)
    Console.WriteLine("Trip " + trip);
`,
    ),
    example(
      "pascal",
      `var age: integer;
begin
  age := 14;
  if age «<=¦<» 14 then
    writeln('child')
  else
    writeln('adult');
end.
`,
    ),
    example(
      "octave",
      `age = 14;
if age «<=¦<» 14
  printf("child\\n");
else
  printf("adult\\n");
end
`,
    ),
    example(
      "pseudocode",
      `age <- 14
IF age <«=¦» 14 THEN
  OUTPUT "child"
ELSE
  OUTPUT "adult"
ENDIF
`,
    ),
    example(
      "pseudocode",
      `FOR trip <- 1 TO 3«¦ - 1»
  OUTPUT trip
NEXT trip
`,
    ),
    inMain(
      "basic-macro",
      `For car = 1 To «3¦2»
  total = total + 12
Next car
MsgBox total
`,
    ),
    example(
      "sketch",
      `for (int trip = 1; trip «<=¦<» 3; trip++)
    println("Trip " + trip);
`,
    ),
    example(
      "sketch",
      `size(200, 80);
for (int mark = 0; mark «<=¦<» 4; mark++) {
  line(20 + mark * 40, 20, 20 + mark * 40, 60);
}
`,
    ),
    inMain(
      "basic-forms",
      `Dim total As Integer = 0
For car As Integer = 1 To 5«¦ - 1»
  total += car
Next
Console.WriteLine(total)
`,
    ),
  ],
};
