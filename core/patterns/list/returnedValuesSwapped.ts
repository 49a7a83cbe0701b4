import { example } from "../example.ts";
import { byEdit } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** Two results of a function, or of its two ways, are changed for each other. */
export const returnedValuesSwapped: Pattern = {
  id: "returned-values-swapped",
  name: "Results the wrong way round",
  says: "Two results of a function, or of its two ways, are changed for each other.",
  mends: "Change their places.",
  cause: "Both are values of one kind, and the order tells nothing of what they are.",
  avoid: "Give the two results names where they are taken.",
  fault: true,
  grounds: [
    byEdit("swapped", ({ lineBefore, before }) => /\breturn\b/.test(lineBefore) && before.includes(","), 6),
    // Where a call gives two results, the names that take them.
    byEdit(
      "swapped",
      ({ lineBefore, before }) =>
        before.includes(",") &&
        /^\s*\[?[\w\s,]*,[\w\s]*\]?\s*=\s*[\w.]+\s*\(/.test(lineBefore) &&
        !/[()=]/.test(before),
      7,
    ),
  ],
  examples: [
    example(
      "python",
      `def ends(loads):
    return «min(loads), max(loads)¦max(loads), min(loads)»

low, high = ends([12, 7, 20])
print("low", low, "high", high)
`,
    ),
    example(
      "python",
      `def is_full(load):
    if load > 40:
        return «True¦False»
    return «False¦True»

print(is_full(50))
`,
    ),
    example(
      "java",
      `public class Main {
    static boolean isFull(int load) {
        if (load > 40)
            return «true¦false»;
        return «false¦true»;
    }
    public static void main(String[] args) {
        System.out.println(isFull(50));
    }
}
`,
    ),
    example(
      "sketch",
      `boolean isFull(int load) {
    if (load > 40)
        return «true¦false»;
    return «false¦true»;
}
void setup() {
    println(isFull(50));
}
`,
    ),
  ],
};
