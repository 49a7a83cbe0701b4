import { escaped } from "../../source/escaped.ts";
import { example, inMain } from "../example.ts";
import { byEdit } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** True for a line that makes a list under a name that is put into another list. */
function isMadeOnce(line: string, program: string): boolean {
  const name = /^\s*(?:[\w<>[\]]+\s+)?(\w+)\s*=\s*(?:\[|\{|new\b|list\(|dict\()/.exec(line)?.[1];
  return name !== undefined && new RegExp(String.raw`\.(?:append|add|Add)\(\s*${escaped(name)}\s*\)`).test(program);
}

/** Two names hold one list, and what is changed by one shows in the other. */
export const listSharedByAlias: Pattern = {
  id: "list-shared-by-alias",
  name: "One list under two names",
  says: "Two names hold one list, and what is changed by one shows in the other.",
  mends: "Make a copy.",
  cause: "Giving a list to a second name copies nothing.",
  avoid: "Draw names and lists as boxes with arrows.",
  fault: true,
  grounds: [
    byEdit("copied", () => true, 2),
    // One list is made before the loop that puts it in again and again.
    byEdit("moved", ({ lineBefore, lineAfter }, { program }) => isMadeOnce(lineBefore || lineAfter, program), 9),
  ],
  examples: [
    example(
      "python",
      `morning = [12, 7]
evening = «list(morning)¦morning»
evening.append(20)
print(morning)
`,
    ),
    inMain(
      "java",
      `int[] morning = {12, 7};
int[] evening = morning«.clone()¦»;
evening[0] = 20;
System.out.println(morning[0]);
`,
    ),
    inMain(
      "csharp",
      `var morning = new List<int> { 12, 7 };
var evening = «new List<int>(morning)¦morning»;
evening.Add(20);
Console.WriteLine(morning.Count);
`,
    ),
    example(
      "sketch",
      `int[] morning = {12, 7};
int[] evening = morning«.clone()¦»;
evening[0] = 20;
println(morning[0]);
`,
    ),
    inMain(
      "basic-forms",
      `Dim loads() As Integer = {4, 9}
Dim kept() As Integer = «CType(loads.Clone(), Integer())¦loads»
loads(0) = 0
Console.WriteLine(kept(0))
`,
    ),
  ],
};
