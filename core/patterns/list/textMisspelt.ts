import { example, inMain } from "../example.ts";
import { byEdit, byText } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";
import { misspeltOutput } from "../shape.ts";

/** What is printed differs from what is asked for by letters, blanks or signs. */
export const textMisspelt: Pattern = {
  id: "text-misspelt",
  name: "A text that is misspelt",
  says: "What is printed differs from what is asked for by letters, blanks or signs.",
  mends: "Write it as it is asked for.",
  cause: "The machine prints letters as they stand there.",
  avoid: "Compare with the text of the task letter by letter.",
  fault: true,
  grounds: [
    byEdit("text-literal", () => true, 3),
    byEdit("separator", () => true, 3),
    byEdit("printing"),
    byText(
      (evidence) => (evidence.class === "logic" && evidence.changes.length === 0 ? misspeltOutput(evidence) : null),
      6,
    ),
  ],
  examples: [
    example(
      "python",
      `print("Tern «leaves¦laeves»")
`,
    ),
    inMain(
      "java",
      `System.out.println("Tern «leaves¦laeves»");
`,
    ),
    inMain(
      "c",
      `printf("Tern «leaves¦laeves»\\n");
`,
    ),
    inMain(
      "csharp",
      `Console.WriteLine("Tern «leaves¦laeves»");
`,
    ),
    example(
      "pascal",
      `begin
  writeln('Tern «leaves¦laeves»');
end.
`,
    ),
    example(
      "octave",
      `printf("Tern «leaves¦laeves»\\n");
`,
    ),
    example(
      "pseudocode",
      `OUTPUT "Tern «leaves¦laeves»"
`,
    ),
    inMain(
      "basic-macro",
      `word = "sail"
If word = "«sail¦sial»" Then
  MsgBox "off"
Else
  MsgBox "stay"
End If
`,
    ),
    example(
      "sketch",
      `println("Tern «leaves¦laeves»");
`,
    ),
    inMain(
      "basic-forms",
      `Dim answer As String = "yes"
If answer = "«yes¦yse»" Then
  Console.WriteLine("on board")
Else
  Console.WriteLine("ashore")
End If
`,
    ),
  ],
};
