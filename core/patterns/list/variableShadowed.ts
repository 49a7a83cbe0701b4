import { example, inMain } from "../example.ts";
import { byEdit, byNotice, byText, takesAway } from "../grounds.ts";
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
    byEdit("declaration", (change, { class: of }) => takesAway(change) && of === "logic", 5),
    byNotice("variable-shadowed", 4),
    byText(({ lines, class: of, language }) => {
      if (of !== "logic" || language.writing?.variables !== "declared in place") return null;
      const declared = lines.flatMap((line, at) => {
        const [, indent, name] =
          /^(\s*)(?:static\s+|private\s+|public\s+|final\s+)*(?:int|double|float|long|String|string|bool|boolean|char|var)\s+(\w+)\s*(?:=|;)/.exec(
            line,
          ) ?? [];
        return name === undefined ? [] : [{ name, depth: indent?.length ?? 0, line: at + 1 }];
      });
      const inner = declared.find((each) =>
        declared.some(
          (outer) =>
            outer.name === each.name &&
            outer.line < each.line &&
            outer.depth < each.depth &&
            // The outer one is still there: nothing between the two is less indented than it.
            lines.slice(outer.line, each.line).every((text) => text.trim() === "" || text.search(/\S/) >= outer.depth),
        ),
      );
      return inner
        ? { line: inner.line, why: `“${inner.name}” is made a second time here, and the outer one stays as it was.` }
        : null;
    }, 4),
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
