import { example, inMain } from "../example.ts";
import { byEdit, byNotice, takesAway } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A sign that ends statements stands behind a header, which then heads nothing. */
export const semicolonAfterHeader: Pattern = {
  id: "semicolon-after-header",
  name: "A sign behind a header",
  says: "A sign that ends statements stands behind a header, which then heads nothing.",
  mends: "Take it away.",
  cause: "The sign is an empty statement, and it is the one that the header heads.",
  avoid: "No such sign behind a closing bracket of a header.",
  fault: true,
  grounds: [
    byEdit("empty-body", () => true, 4),
    // The head of a function with its body behind it.
    byEdit(
      "terminator",
      (change, { lines }) => takesAway(change) && /^\s*\{/.test(lines.slice(change.line).join("\n")),
      4,
    ),
    byNotice("semicolon-after-header", 8),
  ],
  examples: [
    inMain(
      "java",
      `for (int trip = 1; trip <= 3; trip++)«¦;»
    System.out.println("on the way");
`,
    ),
    inMain(
      "c",
      `int load = 12;
if (load > 40)«¦;»
    printf("heavy\\n");
printf("done\\n");
`,
    ),
    inMain(
      "csharp",
      `int load = 12;
if (load > 40)«¦;»
    Console.WriteLine("heavy");
Console.WriteLine("done");
`,
    ),
    example(
      "pascal",
      `var trip: integer;
begin
  for trip := 1 to 3 do«¦;»
    writeln('on the way');
end.
`,
    ),
    example(
      "sketch",
      `for (int trip = 1; trip <= 3; trip++)«¦;»
    println("on the way");
`,
    ),
  ],
};
