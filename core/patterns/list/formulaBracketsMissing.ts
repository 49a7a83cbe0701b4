import { example, inMain } from "../example.ts";
import { byEdit, byNotice } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** Operators take hold of their neighbours in another order than is meant. */
export const formulaBracketsMissing: Pattern = {
  id: "formula-brackets-missing",
  name: "A formula without its brackets",
  says: "Operators take hold of their neighbours in another order than is meant.",
  mends: "Put brackets around what is worked out first.",
  cause: "Times and divided by take hold before plus and minus.",
  avoid: "Put brackets around whatever is worked out first.",
  fault: true,
  grounds: [byEdit("formula-brackets", () => true, 2), byNotice("formula-brackets-missing", 2)],
  examples: [
    example(
      "python",
      `print(«(12 + 20)¦12 + 20» / 2)
`,
    ),
    inMain(
      "java",
      `int a = 12, b = 20;
System.out.println(«(a + b)¦a + b» / 2);
`,
    ),
    inMain(
      "c",
      `int a = 12, b = 20;
printf("%d\\n", «(a + b)¦a + b» / 2);
`,
    ),
    inMain(
      "csharp",
      `int a = 12, b = 20;
Console.WriteLine(«(a + b)¦a + b» / 2);
`,
    ),
    example(
      "pascal",
      `var a, b: integer;
begin
  a := 12;
  b := 20;
  writeln(«(a + b)¦a + b» div 2);
end.
`,
    ),
    example(
      "octave",
      `a = 12;
b = 20;
printf("%d\\n", «(a + b)¦a + b» / 2);
`,
    ),
    example(
      "pseudocode",
      `a <- 12
b <- 20
OUTPUT «(a + b)¦a + b» / 2
`,
    ),
    inMain(
      "basic-macro",
      `cars = 4
vans = 3
total = «(¦»cars + vans«)¦» * 2
MsgBox total
`,
    ),
    example(
      "sketch",
      `int a = 12, b = 20;
println(«(a + b)¦a + b» / 2);
`,
    ),
    inMain(
      "basic-forms",
      `Dim adults As Integer = 2, children As Integer = 3
Console.WriteLine(«(adults + children)¦adults + children» * 4)
`,
    ),
  ],
};
