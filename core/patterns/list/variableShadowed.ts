import { example, inMain } from "../example.ts";
import { byEdit, byMessage, byNotice, takesAway } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** An inner variable has the name of an outer one, which stays as it was. */
export const variableShadowed: Pattern = {
  id: "variable-shadowed",
  name: "A second variable of one name",
  says: "An inner variable has the name of an outer one, which stays as it was.",
  mends: "Give it another name, or do not make a new one.",
  cause: "A declaration inside of a block makes a second variable that ends with the block.",
  avoid: "Declare each name once.",
  fault: true,
  grounds: [
    // Refused where the language allows no second one of the name.
    byMessage("declared twice", { more: 22 }),
    byEdit("declaration", (change, { class: of }) => takesAway(change) && of === "logic", 5),
    byEdit("scope-word", takesAway, 8),
    byEdit("own-object", ({ after }) => after === "this.", 6),
    // What was handed in is given to itself, where the part of the object with the same name was meant.
    byEdit("own-object", ({ lineBefore }) => /^\s*(\w+)\s*=\s*\1\s*;?\s*$/.test(lineBefore), 6),
    byNotice("variable-shadowed", 4),
  ],
  examples: [
    inMain(
      "c",
      `int total = 0;
for (int load = 1; load <= 3; load++) {
    «¦int »total = «total + load¦load»;
}
printf("%d\\n", total);
`,
    ),
    example(
      "java",
      `public class Main {
    static int total = 0;
    static void add(int load) {
        «¦int »total = «total + load¦load»;
    }
    public static void main(String[] args) {
        add(12);
        System.out.println(total);
    }
}
`,
    ),
    example(
      "python",
      `load = 12
def show(load):
    print(load)

for «other¦load» in [1, 2]:
    pass
show(load)
`,
    ),
    example(
      "sketch",
      `int total = 0;
void add(int load) {
    «¦int »total = «total + load¦load»;
}
void setup() {
    add(12);
    println(total);
}
`,
    ),
  ],
};
