import { change } from "../../edits/edit.ts";
import { example, inMain } from "../example.ts";
import { byEdit, byText, takesAway } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";
import { firstLineWith, namedLines } from "../shape.ts";

/** Whether what stands below a line (from 1) is indented further, as the rest of an expression is. */
function goesOnBelow(lines: readonly string[], line: number): boolean {
  const indent = (text: string) => text.search(/\S/);
  const next = lines.slice(line).find((each) => each.trim() !== "");
  return next !== undefined && indent(next) > indent(lines[line - 1] ?? "");
}

/** An expression breaks off behind an operator. */
export const operatorAtLineEnd: Pattern = {
  id: "operator-at-line-end",
  name: "A line that ends with an operator",
  says: "An expression breaks off behind an operator.",
  mends: "Write the rest of the expression, or take the operator away.",
  cause: "A line was meant to go on, or an operator stands in the place of the sign that ends it.",
  avoid: "Read the end of each line aloud.",
  fault: true,
  grounds: [
    byEdit(
      "sign",
      (change) =>
        takesAway(change) &&
        /^\s*[-+*/.&|]\s*$/.test(change.before) &&
        change.lineBefore.trimEnd().endsWith(change.before.trim()),
      2,
    ),
    byText(
      (evidence) =>
        evidence.class === "syntax"
          ? firstLineWith(
              evidence,
              namedLines(evidence).filter((line) => !goesOnBelow(evidence.lines, line)),
              /[\w)\]"']\s*[-+*/%]\s*$/,
              "The line ends with an operator.",
            )
          : null,
      8,
    ),
  ],
  examples: [
    inMain(
      "java",
      `int load = 12 + 7«;¦+»
System.out.println(load);
`,
    ),
    inMain(
      "c",
      `int load = 12 + 7«;¦ +»
printf("%d\\n", load);
`,
    ),
    example(
      "python",
      `load = 12 + 7«¦ +»
print(load)
`,
    ),
    inMain(
      "csharp",
      `int load = 12 + 7«;¦ -»
Console.WriteLine(load);
`,
    ),
    example(
      "pseudocode",
      `load <- 12 + 7«¦ +»
OUTPUT load
`,
    ),
    example(
      "sketch",
      `int load = 12 + 7«;¦+»
println(load);
`,
    ),
  ],
  plants: ({ code, writing }) =>
    writing.statementEnd === ";"
      ? code.flatMap((token, at) =>
          token.text === ";" && /^(?:name|number)$/.test(code[at - 1]?.kind ?? "") && code[at + 1]?.line !== token.line
            ? [change(token, " +")]
            : [],
        )
      : [],
};
