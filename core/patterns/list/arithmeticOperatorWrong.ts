import { example, inMain } from "../example.ts";
import { byEdit } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A calculation uses another operator than the one that is meant. */
export const arithmeticOperatorWrong: Pattern = {
  id: "arithmetic-operator-wrong",
  name: "Another operator in a calculation",
  says: "A calculation uses another operator than the one that is meant.",
  mends: "Use the one that is meant.",
  cause: "A slip of the key, or the words of the task were taken otherwise.",
  avoid: "Work one example out by hand before the run.",
  fault: true,
  grounds: [
    byEdit("arithmetic", () => true, 1),
    // One more for one less.
    byEdit("accumulation", ({ before }) => /\+\+|--/.test(before)),
    // The rest for the quotient, or the other way round: no fraction is lost.
    byEdit(
      "arithmetic",
      ({ before, after }) => /^(?:%|mod)$/i.test(before.trim()) || /^(?:%|mod)$/i.test(after.trim()),
      4,
    ),
  ],
  examples: [
    example(
      "python",
      `fare = 9
bags = 2
print(fare «+¦*» bags)
`,
    ),
    inMain(
      "java",
      `int fare = 9, bags = 2;
System.out.println(fare «+¦*» bags);
`,
    ),
    inMain(
      "c",
      `int fare = 9, bags = 2;
printf("%d\\n", fare «+¦-» bags);
`,
    ),
    inMain(
      "csharp",
      `int fare = 9, bags = 2;
Console.WriteLine(fare «+¦*» bags);
`,
    ),
    example(
      "pascal",
      `var fare, bags: integer;
begin
  fare := 9;
  bags := 2;
  writeln(fare «+¦*» bags);
end.
`,
    ),
    example(
      "octave",
      `fare = 9;
bags = 2;
printf("%d\\n", fare «+¦*» bags);
`,
    ),
    example(
      "pseudocode",
      `fare <- 9
bags <- 2
OUTPUT fare «+¦*» bags
`,
    ),
    inMain(
      "basic-macro",
      `cars = 4
MsgBox cars «*¦+» 3
`,
    ),
    example(
      "sketch",
      `int fare = 9, bags = 2;
println(fare «+¦*» bags);
`,
    ),
    inMain(
      "basic-forms",
      `Dim cars As Integer = 3
Dim fare As Integer = 12
Console.WriteLine(cars «*¦+» fare)
`,
    ),
  ],
};
