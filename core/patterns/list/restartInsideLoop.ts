import { example, inMain } from "../example.ts";
import { byEdit, byNotice, byText } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";
import { isPlainStart, isTurned, movedStatement } from "../shape.ts";

/** A value that is to grow over all passes is set back inside of the loop. */
export const restartInsideLoop: Pattern = {
  id: "restart-inside-loop",
  name: "Begun anew in every pass",
  says: "A value that is to grow over all passes is set back inside of the loop.",
  mends: "Set it before the loop.",
  cause: "What stands in the loop is done in every pass.",
  avoid: "First values stand before the loop.",
  fault: true,
  grounds: [
    byText(({ changes, class: of }) => {
      const moved = of === "logic" ? movedStatement(changes) : null;
      return moved && isPlainStart(moved.text) && moved.after < moved.before
        ? { line: changes[0]?.line ?? null, why: "What is to grow over all passes is set back in each of them." }
        : null;
    }, 7),
    byEdit(
      "moved",
      ({ lineBefore, lineAfter }, { class: of }) =>
        of !== "syntax" && /^\s*(?:\w+\s+)?\w+\s*:?=\s*[-\d."'[]/m.test(lineBefore + lineAfter),
      4,
    ),
    byEdit("accumulation", (change) => !/\+\+|--/.test(change.before) && !isTurned(change)),
    byNotice("restart-inside-loop", 5),
  ],
  examples: [
    example(
      "python",
      `«total = 0
for load in [12, 7]:
¦for load in [12, 7]:
    total = 0
»    total = total + load
print(total)
`,
    ),
    inMain(
      "java",
      `int total = 0;
for (int load = 1; load <= 3; load++) {
«¦    total = 0;
»    total = total + load;
}
System.out.println(total);
`,
    ),
    inMain(
      "c",
      `int total = 0;
for (int load = 1; load <= 3; load++) {
«¦    total = 0;
»    total = total + load;
}
printf("%d\\n", total);
`,
    ),
    inMain(
      "csharp",
      `int total = 0;
for (int load = 1; load <= 3; load++)
{
«¦    total = 0;
»    total = total + load;
}
Console.WriteLine(total);
`,
    ),
    example(
      "pascal",
      `var total, load: integer;
begin
  total := 0;
  for load := 1 to 3 do
  begin
«¦    total := 0;
»    total := total + load;
  end;
  writeln(total);
end.
`,
    ),
    example(
      "octave",
      `total = 0;
for load_now = 1:3
«¦  total = 0;
»  total = total + load_now;
end
printf("%d\\n", total);
`,
    ),
    example(
      "pseudocode",
      `total <- 0
FOR load <- 1 TO 3
«¦  total <- 0
»  total <- total + load
NEXT load
OUTPUT total
`,
    ),
    inMain(
      "basic-macro",
      `«total = 0
¦»For Each weight In Array(12, 7)
«¦  total = 0
»  total = total + weight
Next weight
MsgBox total
`,
    ),
    example(
      "sketch",
      `int total = 0;
for (int load = 1; load <= 3; load++) {
«¦    total = 0;
»    total = total + load;
}
println(total);
`,
    ),
    example(
      "sketch",
      `«float x = 10;
¦»void setup() {
  size(200, 80);
}
void draw() {
«¦  float x = 10;
»  background(255);
  x = x + 2;
  circle(x, 40, 10);
}
`,
    ),
    inMain(
      "basic-forms",
      `Dim total As Integer = 0
For car As Integer = 1 To 3
«¦  total = 0
»  total += car
Next
Console.WriteLine(total)
`,
    ),
  ],
};
