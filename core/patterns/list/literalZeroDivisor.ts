import { change } from "../../edits/edit.ts";
import { ofKind } from "../../edits/places.ts";
import { part } from "../../syntax/tree.ts";
import { example, inMain } from "../example.ts";
import { byMessage, sure } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** The divisor is a zero that stands in the text. */
export const literalZeroDivisor: Pattern = {
  id: "literal-zero-divisor",
  name: "Divided by a plain zero",
  says: "The divisor is a zero that stands in the text.",
  mends: "Divide by what is meant.",
  cause: "A number was mistyped, or stands for one that was still to be found.",
  avoid: "Give the number a name, so that a zero looks wrong.",
  fault: true,
  grounds: [
    byMessage("division by zero", {
      more: sure + 4,
      test: ({ lines, message }) => {
        const named = message?.line ? [lines[message.line - 1] ?? ""] : lines;
        return named.some((line) => /(?:\/|%|\bdiv\b|\bmod\b)\s*0(?![.\d\w])/.test(line));
      },
    }),
  ],
  examples: [
    example(
      "python",
      `load = 12
print(load // «4¦0»)
`,
    ),
    inMain(
      "java",
      `int load = 12;
System.out.println(load / «4¦0»);
`,
    ),
    inMain(
      "csharp",
      `int load = 12;
Console.WriteLine(load / «4¦0»);
`,
    ),
    inMain(
      "c",
      `int load = 12;
printf("%d\\n", load / «4¦0»);
`,
    ),
    example(
      "pascal",
      `var load: integer;
begin
  load := 12;
  writeln(load div «4¦0»);
end.
`,
    ),
    example(
      "pseudocode",
      `load <- 12
OUTPUT load DIV «4¦0»
`,
    ),
    inMain(
      "basic-macro",
      `MsgBox 12 / «4¦0»
`,
    ),
    example(
      "sketch",
      `int load = 12;
println(load / «4¦0»);
`,
    ),
    inMain(
      "basic-forms",
      `Dim cars As Integer = 12
Console.WriteLine(cars \\ «3¦0»)
`,
    ),
  ],
  plants: (context) =>
    ofKind(context, "binary").flatMap(({ node }) => {
      const right = part(node, "right");
      return ["/", "//", "%", "div", "mod"].includes(node.sign ?? "") && right ? [change(right, "0")] : [];
    }),
};
