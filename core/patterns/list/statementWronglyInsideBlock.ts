import { example, inMain } from "../example.ts";
import { byEdit, byNotice, byText } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";
import { movedStatement } from "../shape.ts";

/** A statement that is to be done once stands in the block of a loop or decision. */
export const statementWronglyInsideBlock: Pattern = {
  id: "statement-wrongly-inside-block",
  name: "A statement inside of a block where it does not belong",
  says: "A statement that is to be done once stands in the block of a loop or decision.",
  mends: "Put it behind the block.",
  cause: "A line that was added later took over the indentation of the line above.",
  avoid: "Ask of each line: how often is it to be done?",
  fault: true,
  grounds: [
    byNotice("step-in-branch", 6),
    byEdit(
      ["indentation", "moved"],
      (change, { class: of }) =>
        of !== "syntax" &&
        change.lineAfter.search(/\S/) < change.lineBefore.search(/\S/) &&
        change.lineAfter.trim() === change.lineBefore.trim(),
      3,
    ),
    byText(({ changes, class: of }) => {
      const moved = of === "logic" ? movedStatement(changes) : null;
      return moved && moved.after < moved.before
        ? { line: changes[0]?.line ?? null, why: "The statement belongs behind the block in which it stands." }
        : null;
    }, 5),
  ],
  examples: [
    example(
      "python",
      `total = 0
for load in [12, 7]:
    total = total + load
«¦    »print(total)
`,
    ),
    inMain(
      "java",
      `int total = 0;
for (int load = 1; load <= 3; load++) {
    total = total + load;
«}
System.out.println(total);¦    System.out.println(total);
}»
`,
    ),
    inMain(
      "c",
      `int total = 0;
for (int load = 1; load <= 3; load++) {
    total = total + load;
«}
printf("%d\\n", total);¦    printf("%d\\n", total);
}»
`,
    ),
    example(
      "pascal",
      `var total, load: integer;
begin
  total := 0;
  for load := 1 to 3 do
  begin
    total := total + load;
«  end;
  writeln(total);¦    writeln(total);
  end;»
end.
`,
    ),
    example(
      "octave",
      `total = 0;
for load_now = 1:3
  total = total + load_now;
«end
printf("%d\\n", total);¦  printf("%d\\n", total);
end»
`,
    ),
    example(
      "pseudocode",
      `total <- 0
FOR load <- 1 TO 3
  total <- total + load
«NEXT load
OUTPUT total¦  OUTPUT total
NEXT load»
`,
    ),
    inMain(
      "basic-macro",
      `For car = 1 To 3
  total = total + car
«Next car
MsgBox total
¦  MsgBox total
Next car
»`,
    ),
    example(
      "sketch",
      `int total = 0;
for (int load = 1; load <= 3; load++) {
    total = total + load;
«}
println(total);¦    println(total);
}»
`,
    ),
    inMain(
      "basic-forms",
      `For car As Integer = 1 To 3
  Console.Write(car)
«Next
Console.WriteLine(" over")
¦  Console.WriteLine(" over")
Next
»`,
    ),
  ],
};
