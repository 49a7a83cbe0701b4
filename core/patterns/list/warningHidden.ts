import { example } from "../example.ts";
import { byText } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";
import { lineWith } from "../shape.ts";

/** How warnings are switched off in one of our languages. */
const hides =
  /@SuppressWarnings|#pragma\s+(?:GCC\s+diagnostic\s+ignored|warning\s+disable)|\{\$(?:W-|WARN\w*\s+OFF|HINTS\s+OFF)|filterwarnings\(\s*["']ignore|\bwarning\s*\(?\s*["']off/i;

/** A warning is switched off, so that it cannot say what it saw. That is no fault by itself. */
export const warningHidden: Pattern = {
  id: "warning-hidden",
  name: "A warning that is hidden",
  says: "A warning is switched off, so that it cannot say what it saw. That is no fault by itself.",
  mends: "Switch it on again.",
  cause: "It was in the way and was switched off.",
  avoid: "Read it first.",
  fault: false,
  grounds: [
    byText(
      ({ lines }) => lineWith(lines, hides, "What the translator would say of this program is switched off here."),
      // No fault: whatever else there is comes before it.
      -25,
    ),
  ],
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
