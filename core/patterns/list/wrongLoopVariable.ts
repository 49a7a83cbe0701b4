import { example, inMain } from "../example.ts";
import { byEdit } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** In loops inside each other the variable of the wrong one is used. */
export const wrongLoopVariable: Pattern = {
  id: "wrong-loop-variable",
  name: "The other loop's variable",
  says: "In loops inside each other the variable of the wrong one is used.",
  mends: "Use the one that is meant.",
  cause: "Short names of loops look alike.",
  avoid: "Name loop variables by what they count.",
  fault: true,
  grounds: [byEdit("other-name", ({ before, after }) => /^\w$/.test(before.trim()) && /^\w$/.test(after.trim()), 3)],
  examples: [
    example(
      "python",
      `for row in range(2):
    for seat in range(3):
        print(row, «seat¦row»)
`,
    ),
    inMain(
      "java",
      `for (int row = 0; row < 2; row++)
    for (int seat = 0; seat < 3; seat++)
        System.out.println(row + " " + «seat¦row»);
`,
    ),
    inMain(
      "c",
      `for (int row = 0; row < 2; row++)
    for (int seat = 0; seat < 3; «seat¦row»++)
        printf("%d %d\\n", row, seat);
`,
    ),
    inMain(
      "csharp",
      `for (int row = 0; row < 2; row++)
    for (int seat = 0; seat < 3; seat++)
        Console.WriteLine(row + " " + «seat¦row»);
`,
    ),
    example(
      "pascal",
      `var row, seat: integer;
begin
  for row := 0 to 1 do
    for seat := 0 to 2 do
      writeln(row, ' ', «seat¦row»);
end.
`,
    ),
    example(
      "octave",
      `for row = 1:2
  for seat = 1:3
    printf("%d %d\\n", row, «seat¦row»);
  end
end
`,
    ),
  ],
};
