import { example, inMain } from "../example.ts";
import { byEdit } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** What the condition waits for moves away from the value that would end the loop. */
export const loopMovesAway: Pattern = {
  id: "loop-moves-away",
  name: "A loop that goes away from its goal",
  says: "What the condition waits for moves away from the value that would end the loop.",
  mends: "Let it move towards it.",
  cause: "It counts up where it must count down, or the condition looks to the other side.",
  avoid: "Write down the first three values by hand.",
  fault: true,
  grounds: [
    byEdit(
      ["direction", "arithmetic"],
      ({ before, after }, { message }) => /[-+]/.test(before) && /[-+]/.test(after) && message === null,
    ),
  ],
  examples: [
    example(
      "python",
      `seats = 3
while seats > 0:
    print(seats)
    seats = seats «-¦+» 1
`,
    ),
    inMain(
      "c",
      `int seats = 3;
while (seats > 0) {
    printf("%d\\n", seats);
    seats«--¦++»;
}
`,
    ),
    example(
      "pascal",
      `var seats: integer;
begin
  seats := 3;
  while seats > 0 do
  begin
    writeln(seats);
    seats := seats «-¦+» 1;
  end;
end.
`,
    ),
    example(
      "octave",
      `seats = 3;
while seats > 0
  printf("%d\\n", seats);
  seats = seats «-¦+» 1;
end
`,
    ),
    inMain(
      "csharp",
      `int seats = 3;
while (seats > 0)
{
    Console.WriteLine(seats);
    seats = seats «-¦+» 1;
}
`,
    ),
  ],
};
