import { example, inMain } from "../example.ts";
import { byEdit, byNotice } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A case is not left at its end. */
export const caseFallsThrough: Pattern = {
  id: "case-falls-through",
  name: "A case that goes on into the next",
  says: "A case is not left at its end.",
  mends: "Leave it there.",
  cause: "A case ends only where it is left.",
  avoid: "Write the sign that leaves it together with the case.",
  fault: true,
  grounds: [byEdit("leaving", ({ after }) => /break/.test(after), 2), byNotice("case-falls-through", 5)],
  examples: [
    inMain(
      "java",
      `int deck = 1;
switch (deck) {
    case 1:
        System.out.println("cars");
«        break;
¦»    case 2:
        System.out.println("people");
        break;
}
`,
    ),
    inMain(
      "c",
      `int deck = 1;
switch (deck) {
    case 1:
        printf("cars\\n");
«        break;
¦»    case 2:
        printf("people\\n");
        break;
}
`,
    ),
    example(
      "sketch",
      `int deck = 1;
switch (deck) {
    case 1:
        println("cars");
«        break;
¦»    case 2:
        println("people");
        break;
}
`,
    ),
  ],
};
