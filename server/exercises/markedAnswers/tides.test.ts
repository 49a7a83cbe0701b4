import { type MarkedExercise, mend, put, reason } from "./marked.ts";
import { testMarked } from "./testMarked.ts";

const tidesFaulty = `public class Tides {
    public static void main(String[] args) {
        int[] tides = {2, 5, 3};
        int highest = 0;
        for (int i = 0; i <= tides.length; i++) {
            if (tides[i] > highest) {
                highest = tides[i];
            }
        }
        System.out.println("Highest " + highest);
    }
}
`;
const tidesRight = tidesFaulty.replace("i <= tides.length", "i < tides.length");

/** The same kind of fault in Java. */
const tides: MarkedExercise = {
  ...{ name: "tides", language: "java", fileName: "Tides.java", program: tidesFaulty, mended: tidesRight },
  checks: [{ input: "", expected: "Highest 5\n" }],
  marks: { mend: 2, classify: 2, trace: 6 },
  answers: [
    mend("the key", { text: tidesRight }, 2, "M1"),
    mend(
      "an empty catch",
      put(tidesFaulty, [
        "            if (tides[i] > highest) {\n                highest = tides[i];\n            }\n",
        "            try {\n                if (tides[i] > highest) {\n                    highest = tides[i];\n                }\n            } catch (Exception e) {\n            }\n",
      ]),
      0,
      "M2",
      "hides",
    ),
    mend(
      "printed",
      put(tidesFaulty, ['"Highest " + highest', '"Highest 5"'], ["i <= tides.length", "i < 0"]),
      0,
      "M2",
      "hides",
    ),
    mend("a value more", put(tidesFaulty, ["{2, 5, 3}", "{2, 5, 3, 0}"]), 0, "M2", "hides"),
    mend("not equal", put(tidesFaulty, ["i <= tides.length", "i != tides.length"]), 2, "M3", "unusual"),
    mend("one less", put(tidesFaulty, ["i <= tides.length", "i <= tides.length - 1"]), 2, "M3", "unusual"),
    mend("three", put(tidesFaulty, ["i <= tides.length", "i < 3"]), 2, "M3", "unusual"),
    mend("braces laid out otherwise", { text: tidesRight.replaceAll(" {\n", "\n{\n") }, 2, "M4", "unusual"),
    mend(
      "for each",
      put(tidesFaulty, [
        "for (int i = 0; i <= tides.length; i++) {\n            if (tides[i] > highest) {\n                highest = tides[i];",
        "for (int tide : tides) {\n            if (tide > highest) {\n                highest = tide;",
      ]),
      2,
      "M5",
      "unusual",
    ),
    reason("runtime", "tides has no element 3, so it stops there", 2, "R2"),
  ],
};

testMarked(tides);
