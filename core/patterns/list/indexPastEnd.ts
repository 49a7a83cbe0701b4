import { change } from "../../edits/edit.ts";
import { ofKind } from "../../edits/places.ts";
import { example, inMain } from "../example.ts";
import { byEdit, byMessage } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** An element is asked for behind the last one or before the first one. */
export const indexPastEnd: Pattern = {
  id: "index-past-end",
  name: "A position past the end",
  says: "An element is asked for behind the last one or before the first one.",
  mends: "Let the position stay inside of what is there.",
  cause:
    "The last element has the number of elements less one where counting begins at 0; or the list is shorter than was thought.",
  avoid: "Let the list itself say how long it is.",
  fault: true,
  grounds: [
    byEdit(["by-one", "constant", "comparison"], (_, { message }) => message?.kind === "index out of range", 5),
    byEdit("guard-left-out", ({ after }) => /(?:[Ll]ength|Count|len\(|numel\().*> \d/.test(after), 3),
    byMessage("index out of range", { more: 23 }),
    byMessage("memory misused"),
  ],
  examples: [
    example(
      "python",
      `loads = [12, 7, 20]
print(loads[«2¦3»])
`,
    ),
    inMain(
      "java",
      `int[] loads = {12, 7, 20};
for (int at = 0; at «<¦<=» loads.length; at++)
    System.out.println(loads[at]);
`,
    ),
    inMain(
      "csharp",
      `int[] loads = {12, 7, 20};
for (int at = 0; at «<¦<=» loads.Length; at++)
    Console.WriteLine(loads[at]);
`,
    ),
    example(
      "octave",
      `loads = [12, 7, 20];
printf("%d\\n", loads(«3¦4»));
`,
    ),
    inMain(
      "c",
      `int loads[3] = {12, 7, 20};
int sum = 0;
for (int at = 0; at < «3¦300000»; at++)
    sum += loads[at];
printf("%d\\n", sum);
`,
    ),
    example(
      "pascal",
      `var loads: array[1..3] of integer; at: integer;
begin
  {$R+}
  for at := 1 to «3¦4» do
    loads[at] := at * 10;
  writeln(loads[3]);
end.
`,
    ),
    example(
      "pseudocode",
      `loads <- [12, 7, 20]
OUTPUT loads[«3¦4»]
`,
    ),
    inMain(
      "basic-macro",
      `Dim loads(2) As Integer
For place = 0 To «2¦3»
  loads(place) = place * 4
Next place
MsgBox loads(2)
`,
    ),
    example(
      "sketch",
      `int[] loads = {12, 7, 20};
for (int at = 0; at «<¦<=» loads.length; at++)
    println(loads[at]);
`,
    ),
    example(
      "sketch",
      `int[] buoys = { 40, 90, 150 };
int next = 0;
float x = 0;
void setup() {
  size(200, 80);
}
void draw() {
  x = x + 5;
  if («next < buoys.length && ¦»x > buoys[next]) {
    circle(buoys[next], 40, 8);
    next = next + 1;
  }
}
`,
    ),
    inMain(
      "basic-forms",
      `Dim loads() As Integer = {12, 7, 20}
For place As Integer = 0 To loads.Length«  - 1¦»
  Console.WriteLine(loads(place))
Next
`,
    ),
  ],
  plants: (context) =>
    ofKind(context, "index").flatMap(({ node }) => {
      const at = node.children.find((child) => child.kind === "number");
      return at ? [change(at, `${Number(context.sourceOf(at)) + 90}`)] : [];
    }),
};
