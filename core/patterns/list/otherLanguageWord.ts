import { change } from "../../edits/edit.ts";
import { example, inMain } from "../example.ts";
import { byEdit, byNotice, byText } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";
import { foreignWord, isOther, namedLines } from "../shape.ts";

/** True for a form that another language has: not for what this one asks for and lacks, nor for another name. */
function isForeignForm({ before, after }: { before: string; after: string }): boolean {
  return /[a-z]/i.test(before) && !/^strcpy|\w_$/.test(after) && !/_(?:\W|$)/.test(after);
}

/** A word or sign stands there that another language has and this one has not. */
export const otherLanguageWord: Pattern = {
  id: "other-language-word",
  name: "A word of another language",
  says: "A word or sign stands there that another language has and this one has not.",
  mends: "Use this language's own.",
  cause: "Another language was learnt before.",
  avoid: "Keep a list of the words that differ.",
  fault: true,
  grounds: [
    byEdit(
      "chain",
      ({ lineBefore, lineAfter }) => /\belse if\b/i.test(lineBefore) && /\b(?:elseif|elif)\b/i.test(lineAfter),
      7,
    ),
    byNotice("else-if-apart", 6),
    byEdit("other-blocks", () => true, 7),
    byEdit("other-forms", isForeignForm, 8),
    byEdit(
      ["word", "sign", "logic-word"],
      (change, evidence) =>
        evidence.class === "syntax" && isOther(change.before) && foreignWord(evidence, change.lineBefore) !== null,
      5,
    ),
    byText((evidence) => {
      if (evidence.class !== "syntax") return null;
      for (const line of namedLines(evidence)) {
        const word = foreignWord(evidence, evidence.lines[line - 1] ?? "");
        if (word !== null) return { line, why: `“${word}” is written otherwise in this language.` };
      }
      return null;
    }, 7),
  ],
  examples: [
    example(
      "python",
      `load = 12
if load > 40:
    print("heavy")
«elif¦else if» load > 10:
    print("fine")
`,
    ),
    example(
      "python",
      `load = 12
if load > 10 «and¦&&» load < 40:
    print("fine")
`,
    ),
    example(
      "python",
      `load = 12
if load > 10«:¦ then»
    print("fine")
`,
    ),
    example(
      "octave",
      `load = 12;
if load > 10«¦ then»
  disp("fine");
end
`,
    ),
    inMain(
      "java",
      `int load = 12;
if (load > 10 «&&¦and» load < 40)
    System.out.println("fine");
`,
    ),
    inMain(
      "c",
      `int load = 12;
if (load > 10 «&&¦and» load < 40)
    printf("fine\\n");
`,
    ),
    inMain(
      "csharp",
      `int load = 12;
«bool¦boolean» heavy = load > 40;
Console.WriteLine(heavy);
`,
    ),
    example(
      "pascal",
      `var load: integer;
begin
  load := 12;
  if (load > 10) «and¦&&» (load < 40) then
    writeln('fine');
end.
`,
    ),
    example(
      "python",
      `load = 12
load« += 1¦++»
print(load)
`,
    ),
    example(
      "pseudocode",
      `load <- 12
IF load > 10 «AND¦&&» load < 40 THEN
  OUTPUT "fine"
ENDIF
`,
    ),
    inMain(
      "basic-macro",
      `weight = 4
weight «= weight + 1¦+= 1»
MsgBox weight
`,
    ),
    example(
      "sketch",
      `int load = 12;
if (load > 10 «&&¦and» load < 40)
    println("fine");
`,
    ),
    inMain(
      "basic-forms",
      `Dim cars As Integer = 3
If cars «=¦==» 3 Then
  Console.WriteLine("three")
End If
`,
    ),
  ],
  plants: ({ code, writing }) => {
    const other = new Map(
      writing.and.trim() === "and"
        ? [
            ["and", "&&"],
            ["or", "||"],
          ]
        : [
            ["&&", " and "],
            ["||", " or "],
          ],
    );
    return code.flatMap((token) => {
      const word = other.get(token.text);
      return word ? [change(token, word)] : [];
    });
  },
};
