import { escaped } from "../../source/escaped.ts";
import { example, inMain } from "../example.ts";
import { byEdit } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A piece of a list or text has one element too many or too few. */
export const sliceOffByOne: Pattern = {
  id: "slice-off-by-one",
  name: "A slice one off",
  says: "A piece of a list or text has one element too many or too few.",
  mends: "Look at whether its end belongs to it.",
  cause: "The end of a slice is the first one that does not belong to it.",
  avoid: "End less beginning is the number of elements.",
  fault: true,
  grounds: [
    byEdit("by-one", ({ after }) => /^:|:$/.test(after), 6),
    byEdit(
      ["by-one", "constant"],
      ({ lineBefore }) => /\[[^\]]*:[^\]]*\]|substring|substr|Copy\s*\(|\b(?:LEFT|RIGHT|MID)\(/i.test(lineBefore),
      4,
    ),
    // Where pieces are taken in round brackets.
    byEdit(
      ["by-one", "constant"],
      ({ lineBefore, before }) =>
        /^\d+$/.test(before) &&
        new RegExp(`\\w\\((?:${escaped(before)}\\s*:\\s*\\w+|\\w+\\s*:\\s*${escaped(before)})\\)`).test(lineBefore),
      4,
    ),
  ],
  examples: [
    example(
      "python",
      `ferry = "tern-08"
print(ferry[:«4¦3»])
`,
    ),
    inMain(
      "java",
      `String ferry = "tern-08";
System.out.println(ferry.substring(0, «4¦3»));
`,
    ),
    example(
      "octave",
      `ferry = "tern-08";
printf("%s\\n", ferry(1:«4¦3»));
`,
    ),
    example(
      "pascal",
      `var ferry: string;
begin
  ferry := 'tern-08';
  writeln(copy(ferry, 1, «4¦3»));
end.
`,
    ),
    inMain(
      "csharp",
      `string ferry = "tern-08";
Console.WriteLine(ferry.Substring(0, «4¦3»));
`,
    ),
    example(
      "pseudocode",
      `ferry <- "tern-08"
OUTPUT LEFT(ferry, «4¦3»)
`,
    ),
    inMain(
      "basic-macro",
      `MsgBox Mid("ferry", 1, «3¦2»)
`,
    ),
    example(
      "sketch",
      `String ferry = "tern-08";
println(ferry.substring(0, «4¦3»));
`,
    ),
    inMain(
      "basic-forms",
      `Dim name As String = "Kittiwake"
Console.WriteLine(Mid(name, «1¦2», 4))
`,
    ),
  ],
};
