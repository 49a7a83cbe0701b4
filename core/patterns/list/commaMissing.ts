import { example, inMain } from "../example.ts";
import { byEdit, byMessage, byNotice } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** Two values of a list or a call have no comma between them. */
export const commaMissing: Pattern = {
  id: "comma-missing",
  name: "A comma that is missing",
  says: "Two values of a list or a call have no comma between them.",
  mends: "Put it there.",
  cause: "A list reads like words side by side.",
  avoid: "Count the elements and the signs between them.",
  fault: true,
  grounds: [
    byEdit("sign", ({ before, after }) => before.trim() === "" && after.trim() === ",", 4),
    byEdit("texts-beside", undefined, 4),
    byNotice("comma-missing", 2),
    byMessage("sign missing", { words: /comma/i, more: 3 }),
  ],
  examples: [
    example(
      "python",
      `loads = [12«,¦» 7]
print(loads)
`,
    ),
    inMain(
      "java",
      `int[] loads = {12«,¦» 7};
System.out.println(loads.length);
`,
    ),
    inMain(
      "c",
      `int loads[2] = {12«,¦» 7};
printf("%d\\n", loads[1]);
`,
    ),
    inMain(
      "csharp",
      `int[] loads = {12«,¦» 7};
Console.WriteLine(loads.Length);
`,
    ),
    example(
      "pascal",
      `var load: integer;
begin
  load := 12;
  writeln('Load '«,¦» load);
end.
`,
    ),
    example(
      "pseudocode",
      `load <- 12
OUTPUT "Load "«,¦» load
`,
    ),
    inMain(
      "basic-macro",
      `MsgBox Left("ferry"«,¦» 2)
`,
    ),
    example(
      "sketch",
      `int[] loads = {12«,¦» 7};
println(loads.length);
`,
    ),
    inMain(
      "basic-forms",
      `Console.WriteLine(Math.Max(4«,¦» 7))
`,
    ),
  ],
};
