import { example, inMain } from "../example.ts";
import { byEdit, byNotice, byText } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";
import { movedStatement } from "../shape.ts";

/** A statement that belongs into a block stands behind it. */
export const statementOutsideBlock: Pattern = {
  id: "statement-outside-block",
  name: "A statement outside of its block",
  says: "A statement that belongs into a block stands behind it.",
  mends: "Put it into the block.",
  cause: "Without marks or indentation only the first statement belongs to the header.",
  avoid: "Mark the block even around one statement.",
  fault: true,
  grounds: [
    byEdit("block-marks", () => true, 1),
    byEdit(
      ["indentation", "moved"],
      (change, { class: of }) =>
        of !== "syntax" &&
        change.lineAfter.search(/\S/) > change.lineBefore.search(/\S/) &&
        (change.family === "indentation" || change.lineAfter.trim() === change.lineBefore.trim()),
      3,
    ),
    // What was meant for the other case of a decision is done in any.
    byEdit("chain", ({ after }) => /^\s*else\b(?!\s*if)/.test(after), 4),
    byText(({ changes, class: of }) => {
      const moved = of === "logic" ? movedStatement(changes) : null;
      return moved && moved.after > moved.before
        ? { line: changes[0]?.line ?? null, why: "The statement belongs into the block before it." }
        : null;
    }, 5),
    (evidence) => {
      const isMoved = evidence.changes.some(({ family }) => family === "moved");
      return isMoved
        ? byNotice("statement-outside-block", 12)(evidence)
        : byNotice("statement-outside-block")(evidence);
    },
    byText(({ noticed, changes }) => {
      const found = noticed.find(
        ({ id, why, rank }) => id === "misleading layout" && !/else/.test(why) && rank !== null && rank < 3,
      );
      return found && changes.length === 0 ? { line: found.line, why: found.why } : null;
    }),
  ],
  examples: [
    inMain(
      "java",
      `int load = 12;
if (load > 40) «{¦»
    System.out.println("heavy");
    System.out.println("call the mate");
«}
¦»System.out.println("done");
`,
    ),
    inMain(
      "c",
      `int load = 12;
if (load > 40) «{¦»
    printf("heavy\\n");
    printf("call the mate\\n");
«}
¦»printf("done\\n");
`,
    ),
    example(
      "python",
      `total = 0
for load in [12, 7]:
    print(load)
«    total = total + load¦total = total + load»
print(total)
`,
    ),
    example(
      "pascal",
      `var load: integer;
begin
  load := 12;
  if load > 40 then
«  begin
¦»    writeln('heavy');
    writeln('call the mate');
«  end;
¦»  writeln('done');
end.
`,
    ),
    example(
      "pseudocode",
      `load <- 12
IF load > 40 THEN
  OUTPUT "heavy"
«  OUTPUT "call the mate"
ENDIF¦ENDIF
  OUTPUT "call the mate"»
OUTPUT "done"
`,
    ),
    inMain(
      "basic-macro",
      `For car = 1 To 3
  total = total + car
«  MsgBox total
Next car
¦Next car
MsgBox total
»`,
    ),
    example(
      "sketch",
      `int load = 12;
if (load > 40) «{¦»
    println("heavy");
    println("call the mate");
«}
¦»println("done");
`,
    ),
    inMain(
      "basic-forms",
      `Dim total As Integer = 0
For car As Integer = 1 To 3
«  total += car
Next
¦Next
total += 1
»Console.WriteLine(total)
`,
    ),
  ],
};
