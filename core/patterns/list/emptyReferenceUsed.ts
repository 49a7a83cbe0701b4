import { change } from "../../edits/edit.ts";
import { example, inMain } from "../example.ts";
import { byEdit, byMessage, sure } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A variable holds no object, and something of that object is asked for. */
export const emptyReferenceUsed: Pattern = {
  id: "empty-reference-used",
  name: "Something that is not there is used",
  says: "A variable holds no object, and something of that object is asked for.",
  mends: "Make the object first, or ask whether it is there.",
  cause: "The variable was never given an object, or what was looked for was not found.",
  avoid: "After every search ask first whether anything was found.",
  fault: true,
  grounds: [
    byMessage("empty reference", { more: sure }),
    byEdit("empty-test", () => true, 4),
    byEdit("pointed-at", ({ after }) => after.startsWith("&"), 4),
    byEdit("guard-left-out", ({ after }) => /\b(?:null|NULL|None)\b/.test(after), 4),
    byMessage("memory misused", {
      more: 3,
      test: ({ program }) => /\*\s*\w+\s*=\s*(?:\w*find\w*|str\w+|malloc|fopen|NULL)\b|\bNULL\b/.test(program),
    }),
    byMessage("memory misused"),
  ],
  examples: [
    example(
      "python",
      `names = {"tern": 12}
load = names.get("«tern¦gull»")
print(load + 1)
`,
    ),
    inMain(
      "java",
      `String ferry = «"tern"¦null»;
System.out.println(ferry.length());
`,
    ),
    inMain(
      "csharp",
      `string ferry = «"tern"¦null»;
Console.WriteLine(ferry.Length);
`,
    ),
    inMain(
      "c",
      `char *found = strchr("tern", '«r¦x»');
printf("%c\\n", *found);
`,
    ),
    inMain(
      "basic-macro",
      `Dim sheet As Object
«sheet = ThisComponent.Sheets.getByIndex(0)
¦»MsgBox sheet.Name
`,
    ),
    example(
      "sketch",
      `String ferry = «"tern"¦null»;
println(ferry.length());
`,
    ),
    inMain(
      "basic-forms",
      `Dim boats As List(Of String)« = New List(Of String)¦»
boats.Add("Tern")
Console.WriteLine(boats.Count)
`,
    ),
  ],
  plants: ({ code, writing, sourceOf }) =>
    code.flatMap((token, at) => {
      const next = code[at + 1];
      const ends = next === undefined || next.text === ";" || next.line !== token.line;
      return writing.nothing &&
        token.kind === "text" &&
        code[at - 1]?.text === writing.assign.trim() &&
        ends &&
        sourceOf(token).length > 2
        ? [change(token, writing.nothing)]
        : [];
    }),
};
