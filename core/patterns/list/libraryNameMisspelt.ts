import { example, inMain } from "../example.ts";
import { byEdit, byMessage } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";
import { isMember, isOwn } from "../shape.ts";

/** A function or module that comes with the language is misspelt or written in another letter case. */
export const libraryNameMisspelt: Pattern = {
  id: "library-name-misspelt",
  name: "A name of the library misspelt",
  says: "A function or module that comes with the language is misspelt or written in another letter case.",
  mends: "Write it as the library has it.",
  cause: "The language knows its own functions by their exact letters.",
  avoid: "Let the editor complete the name, or copy it from a program that runs.",
  fault: true,
  grounds: [
    byEdit("name", (change, evidence) => !isOwn(change, evidence) && !isMember(change), 1),
    byEdit("other-forms", ({ before, after }) => before === "" && /^\w+$/.test(after) && !/^\w+_$/.test(after), 3),
    byMessage("unknown name", { words: /did you mean/i }),
  ],
  examples: [
    example(
      "python",
      `loads = [12, 7, 20]
print(«max¦mxa»(loads))
`,
    ),
    inMain(
      "java",
      `System.out.«println¦printn»("Tern leaves");
`,
    ),
    inMain(
      "c",
      `«printf¦prinft»("Tern leaves\\n");
`,
    ),
    inMain(
      "csharp",
      `Console.«WriteLine¦WritLine»("Tern leaves");
`,
    ),
    example(
      "pascal",
      `begin
  «writeln¦wirteln»('Tern leaves');
end.
`,
    ),
    example(
      "octave",
      `«printf¦pritnf»("Tern leaves\\n");
`,
    ),
    example(
      "pseudocode",
      `ferry <- "Tern"
OUTPUT «LENGTH¦LENGHT»(ferry)
`,
    ),
    inMain(
      "basic-macro",
      `MsgBox «UCase¦UCaes»("tern")
`,
    ),
    example(
      "sketch",
      `void setup() {
  size(100, 80);
  «ellipse¦elipse»(50, 40, 20, 20);
}
`,
    ),
    inMain(
      "basic-forms",
      `Console.WriteLine(Math.«Sqrt¦Sqr»(16))
`,
    ),
  ],
};
