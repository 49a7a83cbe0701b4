import { example, inMain } from "../example.ts";
import { byEdit, byMessage, putsIn, sure } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";
import { hasSimilar, isMade } from "../shape.ts";

/** A variable is used and nowhere declared, where the language asks for it. */
export const variableUndeclared: Pattern = {
  id: "variable-undeclared",
  name: "A variable that is not declared",
  says: "A variable is used and nowhere declared, where the language asks for it.",
  mends: "Declare it before it is used.",
  cause: "These languages want to know each name and its kind before it is used.",
  avoid: "Write the declaration first, then the line that uses it.",
  fault: true,
  grounds: [
    byEdit("declaration", (change) => putsIn(change), 1),
    byMessage("unknown name", { of: "syntax" }),
    byMessage("unknown name", {
      of: "syntax",
      more: sure + 1,
      test: (evidence) => isMade(evidence) && !hasSimilar(evidence),
    }),
    byEdit("declaration", () => true, -5),
  ],
  examples: [
    inMain(
      "java",
      `«int ¦»load = 12;
System.out.println(load);
`,
    ),
    inMain(
      "c",
      `«int ¦»load = 12;
printf("%d\\n", load);
`,
    ),
    inMain(
      "csharp",
      `«int ¦»load = 12;
Console.WriteLine(load);
`,
    ),
    example(
      "pascal",
      `var trip«, load¦»: integer;
begin
  trip := 1;
  load := 12 * trip;
  writeln(load);
end.
`,
    ),
    example(
      "basic-macro",
      `Option Explicit

Sub Main
«  Dim load As Integer
¦»  load = 4
  MsgBox load
End Sub
`,
    ),
    example(
      "sketch",
      `«int ¦»load = 12;
println(load);
`,
    ),
    example(
      "sketch",
      `void setup() {
  size(100, 80);
  «int ¦»mast = 30;
  line(50, 80, 50, 80 - mast);
}
`,
    ),
    inMain(
      "basic-forms",
      `«Dim cars As Integer
¦»cars = 3
Console.WriteLine(cars)
`,
    ),
  ],
};
