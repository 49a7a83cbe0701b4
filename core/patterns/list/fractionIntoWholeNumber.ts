import { example, inMain } from "../example.ts";
import { byEdit, byMessage, sure } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A decimal value is given to a variable for whole numbers and loses its fraction. */
export const fractionIntoWholeNumber: Pattern = {
  id: "fraction-into-whole-number",
  name: "A fraction put into a whole number",
  says: "A decimal value is given to a variable for whole numbers and loses its fraction.",
  mends: "Use a decimal type, or round on purpose.",
  cause: "A variable for whole numbers has no place behind the point.",
  avoid: "Choose the type by what the value can be.",
  fault: true,
  grounds: [
    byMessage("precision lost", { more: sure }),
    byMessage("type mismatch", {
      words: /got "(?:Real|Single|Double|Extended|Currency)" expected "(?:\w*Int\w*|Byte|Word|Cardinal)"/i,
      more: sure,
    }),
    byMessage("type mismatch", { words: /from (?:double|float) to (?:int|long|short|byte)/, more: sure }),
    byMessage("type mismatch", { words: /`(?:double|float|decimal)' to `(?:int|long|short|byte)'/, more: sure }),
    byEdit(
      "declaration",
      ({ before, after, lineBefore }) =>
        /int/i.test(before) && /double|float|real/i.test(after) && !/=\s*-?\d+\s*[;,]/.test(lineBefore),
      3,
    ),
  ],
  examples: [
    inMain(
      "java",
      `«double¦int» tide = 3.5;
System.out.println(tide);
`,
    ),
    inMain(
      "c",
      `«double¦int» tide = 3.5;
printf("%.1f\\n", «tide¦(double) tide»);
`,
    ),
    inMain(
      "csharp",
      `«double¦int» tide = 3.5;
Console.WriteLine(tide);
`,
    ),
    example(
      "pascal",
      `var tide: «real¦integer»;
begin
  tide := 7 / 2;
  writeln(tide:0:1);
end.
`,
    ),
    example(
      "pseudocode",
      `DECLARE tide : «REAL¦INTEGER»
tide <- 7 / 2
OUTPUT tide
`,
    ),
    inMain(
      "basic-macro",
      `Dim half As «Double¦Integer»
half = 5 / 2
MsgBox half
`,
    ),
    example(
      "sketch",
      `«float¦int» tide = 3.5;
println(tide);
`,
    ),
    example(
      "sketch",
      `«float¦int» level = 2.5;
println(level);
`,
    ),
    inMain(
      "basic-forms",
      `Dim fare As «Double¦Integer» = 2.5
Console.WriteLine(fare * 2)
`,
    ),
  ],
};
