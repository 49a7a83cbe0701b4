import { example, inMain } from "../example.ts";
import { byEdit, byNotice } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A name stands in quotes, so that its letters are used and not its value. */
export const namePrintedAsText: Pattern = {
  id: "name-printed-as-text",
  name: "A name in quotes",
  says: "A name stands in quotes, so that its letters are used and not its value.",
  mends: "Take the quotes away.",
  cause: "In quotes a name is only its letters.",
  avoid: "Quotes are for words that are to appear as they are.",
  fault: true,
  grounds: [
    byNotice("name-printed-as-text", 5),
    byEdit("filled-in", () => true, 6),
    byEdit(["text-or-number", "quote"], ({ before, after }) => /["'][A-Za-z_]/.test(before) && !/["']/.test(after), 4),
  ],
  examples: [
    example(
      "python",
      `load = 12
print(«f¦»"{load} t on board")
`,
    ),
    inMain(
      "csharp",
      `int load = 12;
Console.WriteLine(«$¦»"{load} t on board");
`,
    ),
    example(
      "python",
      `load = 12
print(«load¦"load"»)
`,
    ),
    inMain(
      "java",
      `int load = 12;
System.out.println(«load¦"load"»);
`,
    ),
    inMain(
      "csharp",
      `int load = 12;
Console.WriteLine(«load¦"load"»);
`,
    ),
    example(
      "pascal",
      `var load: integer;
begin
  load := 12;
  writeln(«load¦'load'»);
end.
`,
    ),
    inMain(
      "basic-macro",
      `weight = 12
MsgBox «weight¦"weight"»
`,
    ),
    example(
      "sketch",
      `int load = 12;
println(«load¦"load"»);
`,
    ),
    inMain(
      "basic-forms",
      `Dim fare As Integer = 12
Console.WriteLine(«fare¦"fare"»)
`,
    ),
  ],
};
