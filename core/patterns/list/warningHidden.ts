import { example } from "../example.ts";
import type { Pattern } from "../pattern.ts";

/** A warning is switched off, so that it cannot say what it saw. That is no fault by itself. */
export const warningHidden: Pattern = {
  id: "warning-hidden",
  name: "A warning that is hidden",
  says: "A warning is switched off, so that it cannot say what it saw. That is no fault by itself.",
  mends: "Switch it on again.",
  cause: "It was in the way and was switched off.",
  avoid: "Read it first.",
  fault: false,
  grounds: [],
  examples: [
    example(
      "java",
      `public class Main {
«¦    @SuppressWarnings("unused")
»    public static void main(String[] args) {
        int load = 12;
        System.out.println(load);
    }
}
`,
    ),
    example(
      "sketch",
      `«¦    @SuppressWarnings("unused")
»    void setup() {
    int load = 12;
    println(load);
}
`,
    ),
  ],
};
