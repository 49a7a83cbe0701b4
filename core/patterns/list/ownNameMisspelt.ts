import { example, inMain } from "../example.ts";
import { byEdit, byMessage } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";
import { hasSimilar, isMember, isOwn } from "../shape.ts";

/** A name of the program is written in another way than where it was made. */
export const ownNameMisspelt: Pattern = {
  id: "own-name-misspelt",
  name: "A name of one's own misspelt",
  says: "A name of the program is written in another way than where it was made.",
  mends: "Write it as it was made.",
  cause: "A name is known by its exact letters.",
  avoid: "Choose names that are easy to spell, and copy long ones.",
  fault: true,
  grounds: [
    byEdit("name", (change, evidence) => isOwn(change, evidence) && !isMember(change), 4),
    byMessage("unknown name", { more: 1, test: hasSimilar }),
  ],
  examples: [
    example(
      "python",
      `load = 12
print(«load¦laod»)
`,
    ),
    inMain(
      "java",
      `int load = 12;
System.out.println(«load¦laod»);
`,
    ),
    inMain(
      "c",
      `int load = 12;
printf("%d\\n", «load¦laod»);
`,
    ),
    inMain(
      "csharp",
      `int load = 12;
Console.WriteLine(«load¦laod»);
`,
    ),
    example(
      "pascal",
      `var load: integer;
begin
  load := 12;
  writeln(«load¦laod»);
end.
`,
    ),
    example(
      "octave",
      `fare = 12;
printf("%d\\n", «fare¦frae»);
`,
    ),
    example(
      "pseudocode",
      `fare <- 12
OUTPUT «fare¦frae»
`,
    ),
    example(
      "basic-macro",
      `Option Explicit

Sub Main
  Dim load As Integer
  load = 12
  MsgBox «load¦laod»
End Sub
`,
    ),
    example(
      "sketch",
      `int load = 12;
println(«load¦laod»);
`,
    ),
    example(
      "sketch",
      `float level = 40;
void setup() {
  size(100, 80);
}
void draw() {
  rect(0, height - «level¦levle», width, level);
}
`,
    ),
    inMain(
      "basic-forms",
      `Dim total As Integer = 4
Console.WriteLine(«total¦totl»)
`,
    ),
  ],
};
