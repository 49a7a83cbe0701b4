import { example, inMain } from "../example.ts";
import { byEdit, byMessage, sure } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";
import { hasSimilar, isMade } from "../shape.ts";

/** A name, or the library it comes from, is used and made known nowhere. */
export const nameNeverDefined: Pattern = {
  id: "name-never-defined",
  name: "A name that nobody made",
  says: "A name, or the library it comes from, is used and made known nowhere.",
  mends: "Define or import it, or use the one that is meant.",
  cause: "The line that would make it was never written, or lies in another program.",
  avoid: "Write the function before the line that calls it, and import what comes from a library.",
  fault: true,
  grounds: [
    byEdit("inclusion"),
    byMessage("unknown name"),
    byMessage(["unknown name", "not linked"], {
      more: sure,
      test: (evidence) =>
        !hasSimilar(evidence) &&
        !isMade(evidence) &&
        evidence.changes.every(
          ({ family }) => family !== "name" && family !== "declaration" && family !== "first-value",
        ),
    }),
    byMessage("not linked"),
  ],
  examples: [
    example(
      "python",
      `«def half(load):
    return load // 2

¦»print(half(12))
`,
    ),
    example(
      "python",
      `«import math
¦»print(math.floor(3.7))
`,
    ),
    example(
      "java",
      `public class Main {
«    static int half(int load) {
        return load / 2;
    }
¦»    public static void main(String[] args) {
        System.out.println(half(12));
    }
}
`,
    ),
    example(
      "c",
      `#include <stdio.h>
«int half(int load) { return load / 2; }
¦»int main(void) {
    printf("%d\\n", half(12));
    return 0;
}
`,
    ),
    example(
      "octave",
      `«half = @(n) n / 2;
¦»printf("%d\\n", half(12));
`,
    ),
    example(
      "pascal",
      `«function half(load: integer): integer;
begin
  half := load div 2;
end;
¦»begin
  writeln(half(12));
end.
`,
    ),
    example(
      "pseudocode",
      `«half <- 6
¦»OUTPUT half + 1
`,
    ),
    example(
      "sketch",
      `«    static int half(int load) {
    return load / 2;
}
¦»    void setup() {
    println(half(12));
}
`,
    ),
    inMain(
      "basic-forms",
      `«Dim fare As Integer = 12
¦»Console.WriteLine(fare * 3)
`,
    ),
  ],
};
