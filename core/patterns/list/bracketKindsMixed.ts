import { change } from "../../edits/edit.ts";
import { example, inMain } from "../example.ts";
import { byEdit, byText, putsIn, takesAway } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";
import { mixedBracketLine } from "../shape.ts";

/** A bracket is closed by one of another kind, or the wrong kind is used for what is meant. */
export const bracketKindsMixed: Pattern = {
  id: "bracket-kinds-mixed",
  name: "Brackets of two kinds",
  says: "A bracket is closed by one of another kind, or the wrong kind is used for what is meant.",
  mends: "Close each bracket with its own kind.",
  cause: "The keys of the brackets lie side by side, and their shapes are alike.",
  avoid: "Let the editor write the closing bracket, and look at the pairs.",
  fault: true,
  grounds: [
    byEdit(
      "bracket",
      (change) =>
        !putsIn(change) && !takesAway(change) && /[()[\]{}]/.test(change.before) && /[()[\]{}]/.test(change.after),
      3,
    ),
    byEdit("other-forms", ({ before, after }) => /^\[.*\]$/.test(before) && /^\(.*\)$/.test(after), 3),
    byEdit("sign", ({ before, after }) => /^[()[\]{}]+$/.test(before) && /^[()[\]{}]+$/.test(after), 3),
    byText((evidence) => {
      const line = evidence.class === "syntax" ? mixedBracketLine(evidence) : null;
      return line === null ? null : { line, why: "A bracket is closed by one of another kind." };
    }, 5),
  ],
  examples: [
    example(
      "python",
      `loads = [12, 7, 20«]¦)»
print(loads[0])
`,
    ),
    inMain(
      "java",
      `int[] loads = {12, 7, 20};
System.out.println(loads[0«]¦)»);
`,
    ),
    inMain(
      "c",
      `int loads[3] = {12, 7, 20};
printf("%d\\n", loads[0«]¦)»);
`,
    ),
    example(
      "octave",
      `loads = [12, 7, 20«]¦)»;
printf("%d\\n", loads(1));
`,
    ),
    example(
      "pascal",
      `var loads: array[1..3] of integer;
begin
  loads[1«]¦)» := 12;
  writeln(loads[1]);
end.
`,
    ),
    example(
      "pseudocode",
      `loads <- [12, 7, 20«]¦)»
OUTPUT loads[1]
`,
    ),
    example(
      "sketch",
      `int[] loads = {12, 7, 20};
println(loads[0«]¦)»);
`,
    ),
  ],
  plants: ({ code }) =>
    code.flatMap((token) =>
      token.kind === "bracket" && (token.text === ")" || token.text === "]")
        ? [change(token, token.text === ")" ? "]" : ")")]
        : [],
    ),
};
