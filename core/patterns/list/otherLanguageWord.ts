import { example, inMain } from "../example.ts";
import { byEdit } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";
import { isOther } from "../shape.ts";

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
    byEdit(["word", "sign", "logic-word"], ({ before }) => isOther(before), 5),
    byEdit(
      "word",
      ({ lineBefore, lineAfter }) =>
        /else\s*if|&&|\|\||\+\+/.test(lineBefore) && !/else\s*if|&&|\|\||\+\+/.test(lineAfter),
      5,
    ),
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
  ],
};
