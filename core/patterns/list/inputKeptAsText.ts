import { example, inMain } from "../example.ts";
import { byEdit, byNotice } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";
import { readsInput } from "../shape.ts";

/** What was typed in is used as a text where a number is meant. */
export const inputKeptAsText: Pattern = {
  id: "input-kept-as-text",
  name: "Typed input stays text",
  says: "What was typed in is used as a text where a number is meant.",
  mends: "Make it a number once it is read.",
  cause: "What is typed in arrives as a text in some languages, also where it looks like a number.",
  avoid: "Make it a number in the very line that reads it.",
  fault: true,
  grounds: [
    byEdit(
      "conversion",
      ({ lineAfter, lineBefore }, { message }) => readsInput(lineBefore + lineAfter) && message?.kind !== "conversion",
      4,
    ),
    byNotice("input-kept-as-text", 6),
  ],
  examples: [
    example(
      "python",
      `load = «int(input())¦input()»
print(load * 2)
`,
      "12\n",
    ),
    example(
      "python",
      `bags = «int(input())¦input()»
print(9 + bags)
`,
      "3\n",
    ),
    example(
      "octave",
      `load_now = input(""«¦, "s"»);
printf("%d\\n", load_now * 2);
`,
      "12\n",
    ),
    inMain(
      "basic-macro",
      `cars = «CInt(¦»InputBox("Cars?")«)¦»
MsgBox cars + 2
`,
      "4\n",
    ),
    inMain(
      "basic-forms",
      `Dim cars As «Integer = CInt(Console.ReadLine())¦String = Console.ReadLine()»
Dim more As «Integer = CInt(Console.ReadLine())¦String = Console.ReadLine()»
Console.WriteLine(cars + more)
`,
      "3\n4\n",
    ),
  ],
};
