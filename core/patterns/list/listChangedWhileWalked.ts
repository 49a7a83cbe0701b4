import { example, inMain } from "../example.ts";
import { byEdit, byMessage, byNotice, sure } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** Elements are taken out or put in while a loop goes over the same list. */
export const listChangedWhileWalked: Pattern = {
  id: "list-changed-while-walked",
  name: "A list changed while it is walked",
  says: "Elements are taken out or put in while a loop goes over the same list.",
  mends: "Go over a copy, or build another list.",
  cause: "The loop goes by positions, and taking one out moves all that follow.",
  avoid: "Build a new list of what is to stay.",
  fault: true,
  grounds: [
    byEdit("copied", ({ lineBefore }) => /^\s*for/.test(lineBefore), 4),
    byMessage("changed while looping", { more: sure }),
    byNotice("list-changed-while-walked", 4),
  ],
  examples: [
    example(
      "python",
      `loads = [50, 60, 7]
for load in «list(loads)¦loads»:
    if load > 40:
        loads.remove(load)
print(loads)
`,
    ),
    inMain(
      "java",
      `List<Integer> loads = new ArrayList<>(List.of(50, 60, 7));
for (Integer load : «new ArrayList<>(loads)¦loads»)
    if (load > 40)
        loads.remove(load);
System.out.println(loads);
`,
    ),
    inMain(
      "csharp",
      `var loads = new List<int> { 50, 60, 7 };
foreach (int load in «new List<int>(loads)¦loads»)
    if (load > 40)
        loads.Remove(load);
Console.WriteLine(loads.Count);
`,
    ),
    inMain(
      "basic-forms",
      `Dim boats As New List(Of Integer) From {4, 9, 7}
For Each boat As Integer In «boats.ToList()¦boats»
  If boat > 8 Then boats.Remove(boat)
Next
Console.WriteLine(boats.Count)
`,
    ),
  ],
};
