import { example, inMain } from "../example.ts";
import { byEdit, byNotice } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";
import { changedEnd } from "../shape.ts";

/** The first pass comes too early or too late. */
export const loopStartWrong: Pattern = {
  id: "loop-start-wrong",
  name: "A loop that begins at the wrong value",
  says: "The first pass comes too early or too late.",
  mends: "Begin with the first one that is meant.",
  cause: "Counting begins at 0 for positions and at 1 for people.",
  avoid: "Say what the first pass must do.",
  fault: true,
  grounds: [
    byNotice("loop-never-entered", 1),
    byEdit(["by-one", "start-value", "constant"], (change) => changedEnd(change) === "first", 6),
  ],
  examples: [
    example(
      "python",
      `for trip in range(«1¦0», 4):
    print("Trip", trip)
`,
    ),
    inMain(
      "java",
      `for (int trip = «1¦0»; trip <= 3; trip++)
    System.out.println("Trip " + trip);
`,
    ),
    inMain(
      "c",
      `for (int trip = «1¦2»; trip <= 3; trip++)
    printf("Trip %d\\n", trip);
`,
    ),
    inMain(
      "csharp",
      `for (int trip = «1¦0»; trip <= 3; trip++)
    Console.WriteLine("Trip " + trip);
`,
    ),
    example(
      "pascal",
      `var trip: integer;
begin
  for trip := «1¦0» to 3 do
    writeln('Trip ', trip);
end.
`,
    ),
    example(
      "octave",
      `for trip = «1¦0»:3
  printf("Trip %d\\n", trip);
end
`,
    ),
    example(
      "pseudocode",
      `FOR trip <- «1¦0» TO 3
  OUTPUT "Trip ", trip
NEXT trip
`,
    ),
    inMain(
      "basic-macro",
      `For car = «1¦2» To 3
  total = total + car
Next car
MsgBox total
`,
    ),
    example(
      "sketch",
      `for (int trip = «1¦0»; trip <= 3; trip++)
    println("Trip " + trip);
`,
    ),
    example(
      "sketch",
      `int pile = «0¦10»;
size(120, 80);
while (pile < 8) {
  line(10 + pile * 14, 10, 10 + pile * 14, 70);
  pile = pile + 1;
}
`,
    ),
    inMain(
      "basic-forms",
      `Dim loads() As Integer = {12, 7, 20}
Dim total As Integer = 0
For place As Integer = «0¦1» To 2
  total += loads(place)
Next
Console.WriteLine(total)
`,
    ),
  ],
};
