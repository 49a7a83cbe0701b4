import { example, inMain } from "../example.ts";
import { byChange, byEdit, byNotice, byText } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";
import { count, firstLineWith, isCondition, isSignChanged, namedLines } from "../shape.ts";

/** One sign of equality stands in a condition. */
export const assignmentForComparison: Pattern = {
  id: "assignment-for-comparison",
  name: "A value given where one is to be compared",
  says: "One sign of equality stands in a condition.",
  mends: "Use the sign that compares.",
  cause: "One sign gives a value, two compare.",
  avoid: "In a condition no single sign of equality.",
  fault: true,
  grounds: [
    byEdit("equality-sign", ({ lineBefore, lineAfter }) => count(lineAfter, /==/) > count(lineBefore, /==/), 3),
    byEdit("equality-sign", ({ lineAfter }) => isCondition(lineAfter), 1),
    byChange((change) => isCondition(change.lineBefore) && isSignChanged(change, /(?<![:<>=!])=(?!=)/, "=="), 6),
    byChange((change) => isCondition(change.lineBefore) && isSignChanged(change, /:=/, "="), 6),
    byText(
      (evidence) =>
        evidence.class === "syntax" && evidence.language.writing?.equal !== "="
          ? firstLineWith(
              evidence,
              namedLines(evidence).slice(0, 1),
              /^\s*(?:if|elif|elseif|while)\b[^=<>!:]*[^=<>!:\s]\s*=\s*[^=>]/,
              "One sign of equality stands in a condition.",
            )
          : null,
      6,
    ),
    byNotice("comparison-for-assignment"),
  ],
  examples: [
    example(
      "python",
      `load = 12
if load «==¦=» 12:
    print("twelve")
`,
    ),
    inMain(
      "c",
      `int load = 3;
if (load «==¦=» 12)
    printf("twelve\\n");
else
    printf("other\\n");
`,
    ),
    inMain(
      "java",
      `int load = 3;
if (load «==¦=» 12)
    System.out.println("twelve");
else
    System.out.println("other");
`,
    ),
    inMain(
      "csharp",
      `int load = 3;
if (load «==¦=» 12)
    Console.WriteLine("twelve");
else
    Console.WriteLine("other");
`,
    ),
    example(
      "octave",
      `load_now = 3;
if load_now «==¦=» 12
  printf("twelve\\n");
else
  printf("other\\n");
end
`,
    ),
    example(
      "pascal",
      `var load: integer;
begin
  load := 3;
  if load «=¦:=» 12 then
    writeln('twelve');
  writeln('done');
end.
`,
    ),
    example(
      "pseudocode",
      `load <- 3
IF load «=¦<-» 12 THEN
  OUTPUT "twelve"
ELSE
  OUTPUT "other"
ENDIF
`,
    ),
    example(
      "sketch",
      `int load = 3;
if (load «==¦=» 12)
    println("twelve");
else
    println("other");
`,
    ),
  ],
};
