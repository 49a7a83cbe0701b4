import { newEmpty } from "../../warnings/newEmpty.ts";
import { example, inMain } from "../example.ts";
import { byEdit, byNotice } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A name is misspelt where a value is given, and the language makes another variable of it. */
export const misspeltNameIsNew: Pattern = {
  id: "misspelt-name-is-new",
  name: "A misspelt name that makes a new variable",
  says: "A name is misspelt where a value is given, and the language makes another variable of it.",
  mends: "Write the name as it is elsewhere.",
  cause: "Giving a value to a misspelt name makes a second variable, and nobody complains.",
  avoid: "Copy long names; ask the language to insist on declarations where it can.",
  fault: true,
  grounds: [
    byEdit("name", (_, { class: of }) => of === "logic", 7),
    byNotice("misspelt-name-is-new", 4),
    // Where a name that nothing gives a value is a new empty one.
    (evidence) => (evidence.language.ownWarnings?.includes(newEmpty) ? byNotice("not set", 4)(evidence) : null),
  ],
  examples: [
    example(
      "python",
      `total = 0
for load in [12, 7]:
    «total¦totl» = total + load
print(total)
`,
    ),
    example(
      "octave",
      `total = 0;
for load_now = [12, 7]
  «total¦totl» = total + load_now;
end
printf("%d\\n", total);
`,
    ),
    example(
      "pseudocode",
      `total <- 0
FOR EACH load IN [12, 7]
  «total¦totl» <- total + load
NEXT
OUTPUT total
`,
    ),
    inMain(
      "basic-macro",
      `For Each weight In Array(12, 7)
  «total¦totl» = total + weight
Next weight
MsgBox total
`,
    ),
    example(
      "basic-forms",
      `Option Explicit Off
Module Deck
  Sub Main()
    total = 4
    «total¦totl» = total + 8
    Console.WriteLine(total)
  End Sub
End Module
`,
    ),
  ],
};
