import { change } from "../../edits/edit.ts";
import { example, inMain } from "../example.ts";
import { byEdit, byMessage } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";
import { isMember } from "../shape.ts";

/** An object is asked for a method or field under a name that it has not. */
export const memberMisspelt: Pattern = {
  id: "member-misspelt",
  name: "A part of an object misspelt",
  says: "An object is asked for a method or field under a name that it has not.",
  mends: "Use the name that the object's kind has.",
  cause: "What an object has is known by its exact letters, and often only when the line is reached.",
  avoid: "Let the editor list what the object has.",
  fault: true,
  grounds: [
    byEdit("name", (change) => isMember(change), 4),
    byEdit("own-object", ({ after }) => after.endsWith("."), 1),
    byMessage("unknown member", { more: 21 }),
  ],
  examples: [
    example(
      "python",
      `ferry = "tern"
print(ferry.«upper¦uper»())
`,
    ),
    example(
      "java",
      `public class Main {
    static class Ferry {
        int load = 12;
    }
    public static void main(String[] args) {
        Ferry tern = new Ferry();
        System.out.println(tern.«load¦laod»);
    }
}
`,
    ),
    example(
      "csharp",
      `using System;
class Ferry
{
    public int Load = 12;
}
class Program
{
    static void Main()
    {
        Ferry tern = new Ferry();
        Console.WriteLine(tern.«Load¦Laod»);
    }
}
`,
    ),
    inMain(
      "c",
      `struct ferry { int load; };
struct ferry tern = { 12 };
printf("%d\\n", tern.«load¦laod»);
`,
    ),
    example(
      "python",
      `class Ferry:
    def __init__(self, load):
        self.load = load

print(Ferry(12).«load¦laod»)
`,
    ),
    inMain(
      "basic-macro",
      `sheet = ThisComponent.Sheets.getByIndex(0)
sheet.getCellRangeByName("A1").«Value¦Vaule» = 4
MsgBox "written"
`,
    ),
    example(
      "sketch",
      `class Boat {
  int load;
}
void setup() {
  Boat tern = new Boat();
  tern.«load¦laod» = 4;
  println(tern.load);
}
`,
    ),
    inMain(
      "basic-forms",
      `Dim boats As New List(Of String)
boats.Add("Tern")
Console.WriteLine(boats.«Count¦Cuont»)
`,
    ),
  ],
  plants: ({ code, writing, functions }) =>
    code.flatMap((token, at) =>
      token.kind === "name" &&
      token.text.length > 3 &&
      writing.members.includes(code[at - 1]?.text ?? "") &&
      (functions.includes(token.text) || writing.variables === "by assignment")
        ? [change(token, `${token.text.slice(0, -2)}${token.text.at(-1)}${token.text.at(-2)}`)]
        : [],
    ),
};
