import { example, inMain } from "../example.ts";
import { byEdit, byMessage } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A round, square or curly bracket of an expression is opened and not closed, or closed once too often. */
export const bracketNotClosed: Pattern = {
  id: "bracket-not-closed",
  name: "A bracket that is not closed",
  says: "A round, square or curly bracket of an expression is opened and not closed, or closed once too often.",
  mends: "Give every bracket its partner.",
  cause: "A bracket inside another one is easily counted as its partner.",
  avoid: "Write both brackets at once and then what stands between them.",
  fault: true,
  grounds: [byEdit("bracket", ({ before, after }) => /^[^{}]*$/.test(before + after)), byMessage("bracket not closed")],
  examples: [
    example(
      "python",
      `loads = [12, 7, 20]
print("Load", sum(loads«)¦»)
print("done")
`,
    ),
    inMain(
      "java",
      `int load = 12;
System.out.println("Load " + (load + 7«)¦»);
`,
    ),
    inMain(
      "c",
      `int load = 12;
printf("Load %d\\n", (load + 7«)¦»);
`,
    ),
    inMain(
      "csharp",
      `int load = 12;
Console.WriteLine("Load " + (load + 7«)¦»);
`,
    ),
    example(
      "pascal",
      `var load: integer;
begin
  load := 12;
  writeln('Load ', (load + 7«)¦»);
end.
`,
    ),
    example(
      "octave",
      `load_now = 12;
printf("Load %d\\n", (load_now + 7«)¦»);
`,
    ),
    example(
      "pseudocode",
      `load <- 12
OUTPUT "Load ", (load + 7«)¦»
`,
    ),
    inMain(
      "basic-macro",
      `tide = 4.5
total = (tide + 2«)¦»
MsgBox total
`,
    ),
    example(
      "sketch",
      `int load = 12;
println("Load " + (load + 7«)¦»);
`,
    ),
    inMain(
      "basic-forms",
      `Dim cars As Integer = 3
Console.WriteLine((cars + 1) * 2«)¦»
`,
    ),
  ],
};
