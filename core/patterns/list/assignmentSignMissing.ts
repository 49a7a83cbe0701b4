import { change } from "../../edits/edit.ts";
import { example, inMain } from "../example.ts";
import { byEdit } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A name and its value stand side by side without the sign that gives it. */
export const assignmentSignMissing: Pattern = {
  id: "assignment-sign-missing",
  name: "No sign between a name and its value",
  says: "A name and its value stand side by side without the sign that gives it.",
  mends: "Put the sign between them.",
  cause: "A declaration reads like a list: kind, name, value.",
  avoid: "Read it as a sentence: “load gets 12”.",
  fault: true,
  grounds: [byEdit("sign", ({ before, after }) => before.trim() === "" && /^\s*(?::?=|<-|←)\s*$/.test(after), 3)],
  examples: [
    inMain(
      "java",
      `int load «= ¦»12;
System.out.println(load);
`,
    ),
    inMain(
      "c",
      `int load «= ¦»12;
printf("%d\\n", load);
`,
    ),
    inMain(
      "csharp",
      `int load «= ¦»12;
Console.WriteLine(load);
`,
    ),
    example(
      "python",
      `load «= ¦»12
print(load)
`,
    ),
    example(
      "pascal",
      `var load: integer;
begin
  load «:= ¦»12;
  writeln(load);
end.
`,
    ),
    example(
      "octave",
      `load_now «= ¦»12;
printf("%d\\n", load_now);
`,
    ),
    example(
      "pseudocode",
      `load «<- ¦»12
OUTPUT load
`,
    ),
    inMain(
      "basic-macro",
      `weight «= ¦»4
MsgBox weight * 2
`,
    ),
    example(
      "sketch",
      `int load «= ¦»12;
println(load);
`,
    ),
    inMain(
      "basic-forms",
      `Dim cars As Integer
cars «= ¦»3
Console.WriteLine(cars)
`,
    ),
  ],
  plants: ({ code, writing }) =>
    code.flatMap((token, at) =>
      token.text === writing.assign.trim() && code[at - 1]?.kind === "name" ? [change(token, "")] : [],
    ),
};
