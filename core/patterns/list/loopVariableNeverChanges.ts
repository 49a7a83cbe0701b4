import { escaped } from "../../source/escaped.ts";
import { example, inMain } from "../example.ts";
import { byEdit, byNotice } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";
import { count } from "../shape.ts";

const wholeWord = (word: string) => new RegExp(String.raw`\b${escaped(word)}\b`);

/** Nothing in the loop moves what its condition waits for. */
export const loopVariableNeverChanges: Pattern = {
  id: "loop-variable-never-changes",
  name: "A loop in which nothing changes",
  says: "Nothing in the loop moves what its condition waits for.",
  mends: "Change it in every pass.",
  cause: "The line that would change it is missing, or changes another name.",
  avoid: "Ask of every loop: where does it begin, when does it end, what moves?",
  fault: true,
  grounds: [
    byEdit("loop-change", () => true, 3),
    byNotice("loop-variable-never-changes", 4),
    // A line that gives it another value is put in.
    byEdit(
      ["step-left-out", "call-left-out"],
      ({ after }, { noticed }) =>
        noticed.some(
          ({ id, names = [] }) =>
            id === "loop-variable-never-changes" && names.some((name) => count(after, wholeWord(name)) > 0),
        ),
      7,
    ),
    // The result goes to another name than the one that the loop asks for.
    byEdit(
      ["other-name", "name"],
      ({ lineBefore, lineAfter }, { noticed }) =>
        noticed.some(
          ({ id, names = [] }) =>
            id === "loop-variable-never-changes" &&
            names.some((name) => count(lineAfter, wholeWord(name)) > count(lineBefore, wholeWord(name))),
        ),
      7,
    ),
  ],
  examples: [
    example(
      "python",
      `trip = 1
while trip <= 3:
    print("Trip", trip)
«    trip = trip + 1
¦»
`,
    ),
    inMain(
      "java",
      `int trip = 1;
while (trip <= 3) {
    System.out.println("Trip " + trip);
«    trip++;
¦»}
`,
    ),
    inMain(
      "c",
      `int trip = 1;
while (trip <= 3) {
    printf("Trip %d\\n", trip);
«    trip++;
¦»}
`,
    ),
    inMain(
      "csharp",
      `int trip = 1;
while (trip <= 3)
{
    Console.WriteLine("Trip " + trip);
«    trip++;
¦»}
`,
    ),
    example(
      "pascal",
      `var trip: integer;
begin
  trip := 1;
  while trip <= 3 do
  begin
    writeln('Trip ', trip);
«    trip := trip + 1;
¦»  end;
end.
`,
    ),
    example(
      "octave",
      `trip = 1;
while trip <= 3
  printf("Trip %d\\n", trip);
«  trip = trip + 1;
¦»end
`,
    ),
    example(
      "pseudocode",
      `trip <- 1
WHILE trip <= 3
  OUTPUT "Trip ", trip
«  trip <- trip + 1
¦»ENDWHILE
`,
    ),
    inMain(
      "basic-macro",
      `cars = 0
While cars < 3
  total = total + 12
«  cars = cars + 1
¦»Wend
MsgBox total
`,
    ),
    example(
      "sketch",
      `int trip = 1;
while (trip <= 3) {
    println("Trip " + trip);
«    trip++;
¦»}
`,
    ),
    inMain(
      "basic-forms",
      `Dim cars As Integer = 3
Do While cars > 0
  Console.WriteLine(cars)
«  cars -= 1
¦»Loop
`,
    ),
  ],
};
