import { example, inMain } from "../example.ts";
import { byEdit, byMessage, byNotice, byText, sure } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";
import { firstLineWith, lookedAt } from "../shape.ts";

/** Numbers are joined to a text one by one where their sum is meant. */
export const sumJoinedToText: Pattern = {
  id: "sum-joined-to-text",
  name: "A sum joined to a text",
  says: "Numbers are joined to a text one by one where their sum is meant.",
  mends: "Put the sum in brackets.",
  cause: "From left to right the text comes first, so every number behind it is joined to it.",
  avoid: "Work the sum out in a line of its own.",
  fault: true,
  grounds: [
    byEdit("formula-brackets", ({ lineBefore }) => /["']\s*\+|\+\s*["']/.test(lineBefore), 4),
    byNotice("sum-joined-to-text", 4),
    // A number cannot be taken from what was joined to a text before.
    byMessage("type mismatch", {
      words: /operand types for binary operator '-'[\s\S]*first type:\s+String/,
      more: sure + 2,
    }),
    byText((evidence) =>
      evidence.class === "logic" && evidence.changes.length === 0
        ? firstLineWith(
            evidence,
            lookedAt(evidence),
            /str\(\w+\)\s*\+\s*str\(\w+\)/,
            "Each number is made a text by itself, and the texts are joined.",
          )
        : null,
    ),
  ],
  examples: [
    inMain(
      "java",
      `int adults = 2, children = 3;
System.out.println("Aboard: " + «(adults + children)¦adults + children»);
`,
    ),
    inMain(
      "csharp",
      `int adults = 2, children = 3;
Console.WriteLine("Aboard: " + «(adults + children)¦adults + children»);
`,
    ),
    example(
      "python",
      `adults = 2
children = 3
print("Aboard: " + «str(adults + children)¦str(adults) + str(children)»)
`,
    ),
    inMain(
      "basic-macro",
      `cars = 4
MsgBox "Total: " + «(¦»cars + 2«)¦»
`,
    ),
    example(
      "sketch",
      `int adults = 2, children = 3;
println("Aboard: " + «(adults + children)¦adults + children»);
`,
    ),
    inMain(
      "basic-forms",
      `Dim cars As Integer = 3
Console.WriteLine("Cars: " & «(cars + 1)¦cars & 1»)
`,
    ),
  ],
};
