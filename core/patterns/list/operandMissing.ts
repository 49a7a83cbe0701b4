import { example, inMain } from "../example.ts";
import { byEdit, byText } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";
import { firstLineWith, namedLines } from "../shape.ts";

/** An operator stands there with nothing on one of its sides. */
export const operandMissing: Pattern = {
  id: "operand-missing",
  name: "An operator without a value",
  says: "An operator stands there with nothing on one of its sides.",
  mends: "Write the value that is missing.",
  cause: "A value was taken out and its operator stayed, or an operator was typed twice.",
  avoid: "Read each operator together with its left and its right side.",
  fault: true,
  grounds: [
    byEdit("sign", ({ before }) => /^\s*[-+*/<>=]+\s*$/.test(before)),
    // Of a sign that is missing between two values, where no other kind of mistake says more.
    byEdit("sign", () => true, -5),
    byText(
      (evidence) =>
        evidence.class === "syntax"
          ? firstLineWith(
              evidence,
              namedLines(evidence),
              /(?:[\w)\]"']\s*[-+*/%](?:\s+[-+])*\s*[*/%;),](?![*/]))|(?:[\w)\]]\s*[*/%]\s*[;)])/,
              "An operator has nothing behind it.",
            )
          : null,
      3,
    ),
  ],
  examples: [
    example(
      "python",
      `load = 12 + «7¦*»
print(load)
`,
    ),
    inMain(
      "java",
      `int load = 12 * «7¦»;
System.out.println(load);
`,
    ),
    inMain(
      "c",
      `int load = 12 * «7¦»;
printf("%d\\n", load);
`,
    ),
    inMain(
      "csharp",
      `int load = 12 * «7¦»;
Console.WriteLine(load);
`,
    ),
    example(
      "pascal",
      `var load: integer;
begin
  load := 12 * «7¦»;
  writeln(load);
end.
`,
    ),
    example(
      "octave",
      `load_now = 12 * «7¦»;
printf("%d\\n", load_now);
`,
    ),
    example(
      "pseudocode",
      `load <- 12 * «7¦»
OUTPUT load
`,
    ),
    inMain(
      "basic-macro",
      `weight = 4
MsgBox weight + «2¦»
`,
    ),
    example(
      "sketch",
      `int load = 12 * «7¦»;
println(load);
`,
    ),
    inMain(
      "basic-forms",
      `Dim cars As Integer = 3
Console.WriteLine(cars * «4¦»)
`,
    ),
  ],
};
