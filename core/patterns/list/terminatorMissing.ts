import { example, inMain } from "../example.ts";
import { byEdit, byMessage, putsIn } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A statement is not ended as the language asks, so the next line is read as part of it. */
export const terminatorMissing: Pattern = {
  id: "terminator-missing",
  name: "The sign that ends a statement",
  says: "A statement is not ended as the language asks, so the next line is read as part of it.",
  mends: "End the statement.",
  cause: "The next line is read as part of the statement, so it is often the next line that is named.",
  avoid: "Look at the end of the line above the one that is named.",
  fault: true,
  grounds: [byEdit("terminator", putsIn, 2), byMessage("sign missing", { words: /['"‘];['"’]/, more: 2 })],
  examples: [
    inMain(
      "java",
      `int load = 12«;¦»
System.out.println(load);
`,
    ),
    inMain(
      "c",
      `int load = 12«;¦»
printf("%d\\n", load);
`,
    ),
    inMain(
      "csharp",
      `int load = 12«;¦»
Console.WriteLine(load);
`,
    ),
    example(
      "pascal",
      `var load: integer;
begin
  load := 12«;¦»
  writeln(load);
end.
`,
    ),
    example(
      "sketch",
      `int load = 12«;¦»
println(load);
`,
    ),
    example(
      "sketch",
      `void setup() {
  size(100, 80)«;¦»
}
void draw() {
  line(0, 0, width, height);
}
`,
    ),
  ],
};
