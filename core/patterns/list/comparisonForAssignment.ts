import { example, inMain } from "../example.ts";
import { byChange, byEdit, byNotice } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";
import { count, isCondition, isSignChanged } from "../shape.ts";

/** Two signs of equality stand where a variable is to get a value, so nothing is kept. */
export const comparisonForAssignment: Pattern = {
  id: "comparison-for-assignment",
  name: "Compared where a value is to be given",
  says: "Two signs of equality stand where a variable is to get a value, so nothing is kept.",
  mends: "Use the sign that gives a value.",
  cause: "In mathematics one sign does both.",
  avoid: "Say it aloud: “gets” has another sign than “equals”.",
  fault: true,
  grounds: [
    byEdit(
      "equality-sign",
      ({ lineBefore, lineAfter }) => count(lineBefore, /==/) > count(lineAfter, /==/) && !isCondition(lineBefore),
      2,
    ),
    byChange((change) => isSignChanged(change, /(?<![:<>=])=(?!=)/, ":="), 6),
    byNotice("comparison-for-assignment", -1),
  ],
  examples: [
    example(
      "pascal",
      `var load: integer;
begin
  load «:=¦=» 12;
  writeln(load);
end.
`,
    ),
    example(
      "python",
      `load = 0
for trip in range(3):
    load «=¦==» load + 4
print(load)
`,
    ),
    inMain(
      "java",
      `int load = 0;
load «=¦==» load + 4;
System.out.println(load);
`,
    ),
    inMain(
      "c",
      `int load = 0;
load «=¦==» load + 4;
printf("%d\\n", load);
`,
    ),
    inMain(
      "csharp",
      `int load = 0;
load «=¦==» load + 4;
Console.WriteLine(load);
`,
    ),
    example(
      "octave",
      `load_now = 0;
load_now «=¦==» load_now + 4;
printf("%d\\n", load_now);
`,
    ),
    example(
      "pseudocode",
      `load <- 0
load «<-¦==» load + 4
OUTPUT load
`,
    ),
    example(
      "sketch",
      `int load = 0;
load «=¦==» load + 4;
println(load);
`,
    ),
  ],
};
