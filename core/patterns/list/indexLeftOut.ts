import { example, inMain } from "../example.ts";
import { byEdit } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** True for an element and the list or the place that it is picked by: `heights[i]` and `i`. */
function picksOf(name: string, element: string): boolean {
  // Of a change that only puts something in, that is all that is told.
  if (name.trim() === "") return /^[[(]\w+[\])]$/.test(element.trim());
  const found = /^(\w+)[[(](\w+)[\])]$/.exec(element.trim());
  return found !== null && (found[1] === name.trim() || found[2] === name.trim());
}

/** A whole list is calculated with, compared or given away where one of its elements is meant. */
export const indexLeftOut: Pattern = {
  id: "index-left-out",
  name: "The whole list for one of its elements",
  says: "A whole list stands where one of its elements is meant: the place behind its name is missing.",
  mends: "Write the place of the element behind the list's name.",
  cause: "Whoever thinks of “the load” of this pass writes the name of all of them.",
  avoid: "Give lists names in the plural, and read a name in the plural inside a loop as a question: which one?",
  fault: true,
  grounds: [
    byEdit("index-left-out", () => true, 6),
    // The element at a place for the place itself, or the first element for the list.
    byEdit(["other-name", "start-value"], ({ before, after }) => picksOf(before, after) || picksOf(after, before), 7),
  ],
  examples: [
    example(
      "python",
      `loads = [12, 7, 30]
total = 0
for i in range(len(loads)):
    total = total + loads«[i]¦»
print(total)
`,
    ),
    inMain(
      "java",
      `int[] loads = {12, 7, 30};
int total = 0;
for (int i = 0; i < loads.length; i++)
    total = total + loads«[i]¦»;
System.out.println(total);
`,
    ),
    inMain(
      "c",
      `int loads[3] = {12, 7, 30};
int heavy = 0;
for (int i = 0; i < 3; i++)
    if (loads«[i]¦» > 10)
        heavy = heavy + 1;
printf("%d\\n", heavy);
`,
    ),
    inMain(
      "csharp",
      `int[] loads = { 12, 7, 30 };
int total = 0;
for (int i = 0; i < loads.Length; i++)
    total = total + loads«[i]¦»;
Console.WriteLine(total);
`,
    ),
    example(
      "pascal",
      `var
  loads: array[1..3] of integer;
  i, total: integer;
begin
  total := 0;
  for i := 1 to 3 do
  begin
    loads[i] := i * 10;
    total := total + loads«[i]¦»;
  end;
  writeln(total);
end.
`,
    ),
    example(
      "octave",
      `loads = [12 7 30];
total = 0;
for k = 1:numel(loads)
  total = total + loads«(k)¦»;
end
printf("%d\\n", total);
`,
    ),
    example(
      "pseudocode",
      `DECLARE loads : ARRAY[1:3] OF INTEGER
total <- 0
FOR i <- 1 TO 3
  loads[i] <- i * 10
  total <- total + loads«[i]¦»
NEXT i
OUTPUT total
`,
    ),
    inMain(
      "basic-macro",
      `Dim loads(2) As Integer
For i = 0 To 2
  loads(i) = i * 10
  total = total + loads«(i)¦»
Next i
MsgBox total
`,
    ),
    example(
      "sketch",
      `int[] loads = {12, 7, 30};
int total = 0;
for (int i = 0; i < loads.length; i++)
    total = total + loads«[i]¦»;
println(total);
`,
    ),
    inMain(
      "basic-forms",
      `Dim loads() As Integer = {12, 7, 30}
Dim total As Integer = 0
For i As Integer = 0 To 2
  total = total + loads«(i)¦»
Next
Console.WriteLine(total)
`,
    ),
  ],
};
