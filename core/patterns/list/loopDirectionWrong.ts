import { example, inMain } from "../example.ts";
import { byEdit, byNotice } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A loop counts up where it is to count down, or down where it is to count up. */
export const loopDirectionWrong: Pattern = {
  id: "loop-direction-wrong",
  name: "A loop that counts the wrong way",
  says: "A loop counts up where it is to count down, or down where it is to count up.",
  mends: "Turn it.",
  cause: "The beginning is larger than the end, and the loop counts up.",
  avoid: "Say whether it counts up or down.",
  fault: true,
  grounds: [byEdit("direction", () => true, 2), byNotice("loop-direction-wrong", 2)],
  examples: [
    example(
      "python",
      `for seats in range(3, 0«, -1¦»):
    print(seats)
`,
    ),
    example(
      "pascal",
      `var seats: integer;
begin
  for seats := 3 «downto¦to» 1 do
    writeln(seats);
end.
`,
    ),
    example(
      "octave",
      `for seats = 3:«-1:¦»1
  printf("%d\\n", seats);
end
`,
    ),
    example(
      "pseudocode",
      `FOR seats <- 3 TO 1« STEP -1¦»
  OUTPUT seats
NEXT seats
`,
    ),
    inMain(
      "basic-macro",
      `For car = 3 To 1«  Step -1¦»
  MsgBox car
Next car
`,
    ),
    inMain(
      "basic-forms",
      `For tide As Integer = 5 To 1«  Step -1¦»
  Console.Write(tide)
Next
Console.WriteLine()
`,
    ),
  ],
};
