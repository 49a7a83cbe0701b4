import { example, inMain } from "../example.ts";
import { byEdit, byText } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";
import { isPlainStart, movedStatement } from "../shape.ts";

/** A value that is to begin anew in every pass keeps what the pass before left. */
export const restartMissing: Pattern = {
  id: "restart-missing",
  name: "Not begun anew",
  says: "A value that is to begin anew in every pass keeps what the pass before left.",
  mends: "Set it back at the beginning of the pass.",
  cause: "What was gathered for one is still there for the next.",
  avoid: "Ask what must be fresh at the beginning of each pass.",
  fault: true,
  grounds: [
    byEdit("begun-anew", undefined, 4),
    byText(({ changes, class: of }) => {
      const moved = of === "logic" ? movedStatement(changes) : null;
      return moved && isPlainStart(moved.text) && moved.after > moved.before
        ? { line: changes[0]?.line ?? null, why: "What is to begin anew in every pass is set before the loop only." }
        : null;
    }, 7),
  ],
  examples: [
    example(
      "python",
      `«¦count = 0
»for deck in ["AB", "C"]:
«    count = 0
¦»    for car in deck:
        count = count + 1
    print(count)
`,
    ),
    inMain(
      "java",
      `«¦int count = 0;
»for (int deck = 1; deck <= 2; deck++) {
«    int count = 0;
¦»    for (int car = 0; car < 2; car++)
        count++;
    System.out.println(count);
}
`,
    ),
    inMain(
      "c",
      `«¦int count = 0;
»for (int deck = 1; deck <= 2; deck++) {
«    int count = 0;
¦»    for (int car = 0; car < 2; car++)
        count++;
    printf("%d\\n", count);
}
`,
    ),
    example(
      "pseudocode",
      `«¦count <- 0
»FOR deck <- 1 TO 2
«  count <- 0
¦»  FOR car <- 1 TO deck
    count <- count + 1
  NEXT car
  OUTPUT count
NEXT deck
`,
    ),
    example(
      "sketch",
      `«¦int count = 0;
»for (int deck = 1; deck <= 2; deck++) {
«    int count = 0;
¦»    for (int car = 0; car < 2; car++)
        count++;
    println(count);
}
`,
    ),
  ],
};
