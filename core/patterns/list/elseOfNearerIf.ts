import { danglingElse } from "../../warnings/layout.ts";
import { example, inMain } from "../example.ts";
import { byEdit, byText } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** An else belongs to another decision than its layout shows. */
export const elseOfNearerIf: Pattern = {
  id: "else-of-nearer-if",
  name: "An else of the nearer if",
  says: "An else belongs to another decision than its layout shows.",
  mends: "Mark the block of the inner decision.",
  cause: "An else belongs to the nearest if, however it is indented.",
  avoid: "Mark the inner block.",
  fault: true,
  grounds: [
    byEdit(["chain", "indentation", "block-marks"], ({ lineBefore }) => /\belse\b/.test(lineBefore), 1),
    byText(({ noticed }) => {
      const found = noticed.find(
        ({ id, why, rank }) => id === "misleading layout" && /else/.test(why) && rank !== null && rank < 4,
      );
      return found ? { line: found.line, why: found.why } : null;
    }, 6),
    // Where the translator itself warns of it, nothing of ours does.
    byText((evidence) => {
      if (evidence.class !== "logic" || evidence.language.writing?.blocks.by !== "braces") return null;
      const code = evidence.language.tokens(evidence.program).filter((token) => token.kind !== "comment");
      const [found] = danglingElse({ code });
      return found ? { line: found.line, why: found.says } : null;
    }, 6),
  ],
  examples: [
    inMain(
      "java",
      `int age = 30;
boolean islander = false;
if (age < 14) «{¦»
    if (islander)
        System.out.println("free");
«} ¦»else
    System.out.println("full fare");
`,
    ),
    inMain(
      "c",
      `int age = 30, islander = 0;
if (age < 14) «{¦»
    if (islander)
        printf("free\\n");
«} ¦»else
    printf("full fare\\n");
`,
    ),
    inMain(
      "csharp",
      `int age = 30;
bool islander = false;
if (age < 14) «{¦»
    if (islander)
        Console.WriteLine("free");
«} ¦»else
    Console.WriteLine("full fare");
`,
    ),
    example(
      "sketch",
      `int age = 30;
boolean islander = false;
if (age < 14) «{¦»
    if (islander)
        println("free");
«} ¦»else
    println("full fare");
`,
    ),
  ],
};
