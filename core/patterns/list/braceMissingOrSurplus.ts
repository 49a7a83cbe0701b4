import { example, inMain } from "../example.ts";
import { byEdit, byMessage } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** The sign or word that begins or ends a block is left out, or stands there once too often. */
export const braceMissingOrSurplus: Pattern = {
  id: "brace-missing-or-surplus",
  name: "A block mark missing or too many",
  says: "The sign or word that begins or ends a block is left out, or stands there once too often.",
  mends: "Give every block its beginning and its end, once.",
  cause: "Blocks that are not indented by their depth hide which mark belongs to which.",
  avoid: "Write the end of a block as soon as its beginning stands there, and indent what is between.",
  fault: true,
  grounds: [
    // Where blocks go by another mark, such a sign is a bracket like the others.
    byEdit(
      "bracket",
      ({ before, after }, { language }) => /[{}]/.test(before + after) && language.writing?.blocks.by === "braces",
      2,
    ),
    byEdit("block-end"),
    byEdit("word", ({ before, after }) => before.trim() === "" && /^(?:begin|end)\b/i.test(after.trim()), 3),
    byMessage("block not closed"),
  ],
  examples: [
    inMain(
      "java",
      `for (int trip = 1; trip <= 2; trip++) {
    System.out.println("Trip " + trip);
«}
¦»System.out.println("done");
`,
    ),
    inMain(
      "c",
      `for (int trip = 1; trip <= 2; trip++) {
    printf("Trip %d\\n", trip);
«}
¦»printf("done\\n");
`,
    ),
    inMain(
      "csharp",
      `for (int trip = 1; trip <= 2; trip++)
{
    Console.WriteLine("Trip " + trip);
«}
¦»Console.WriteLine("done");
`,
    ),
    example(
      "pascal",
      `var trip: integer;
begin
  for trip := 1 to 2 do
  begin
    writeln('Trip ', trip);
«  end;
¦»  writeln('done');
end.
`,
    ),
    example(
      "octave",
      `for trip = 1:2
  printf("Trip %d\\n", trip);
«end
¦»printf("done\\n");
`,
    ),
    example(
      "pseudocode",
      `FOR trip <- 1 TO 2
  OUTPUT "Trip ", trip
«NEXT trip
¦»OUTPUT "done"
`,
    ),
    inMain(
      "basic-macro",
      `weight = 4
If weight > 3 Then
  MsgBox "heavy"
«End If
¦»`,
    ),
    example(
      "sketch",
      `for (int trip = 1; trip <= 2; trip++) {
    println("Trip " + trip);
«}
¦»println("done");
`,
    ),
    example(
      "sketch",
      `void setup() {
  size(100, 80);
«}
¦»
void draw() {
  circle(50, 40, 20);
}
`,
    ),
    inMain(
      "basic-forms",
      `For car As Integer = 1 To 3
  If car > 1 Then
    Console.WriteLine(car)
«  End If
¦»Next
`,
    ),
  ],
};
