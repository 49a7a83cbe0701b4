import { crossedArguments } from "../../edits/crossedArguments.ts";
import type { Mistake } from "./mistake.ts";

/** A call that hands over values in another order than the function's own names for them. */
export const argumentsCrossed: Mistake = {
  id: "arguments-swapped",
  weight: 96,
  find: (context) =>
    crossedArguments(context).map(({ call, one, other }) => ({
      line: context.lineOf(call.from),
      names: [one.sign ?? "", other.sign ?? ""],
      why: `“${context.sourceOf(one)}” and “${context.sourceOf(other)}” are handed over in another order than the function has its names.`,
    })),
  examples: [
    { language: "python", text: "def moor(boat, length):\n    return 1\n\nmoor(length, boat)\n", line: 4 },
    {
      language: "csharp",
      text: "class M {\n  static int F(int wind, int wave) { return wind - wave; }\n  static void G(int wind, int wave) {\n    F(wave, wind);\n  }\n}\n",
      line: 4,
    },
    { language: "octave", text: "function r = f(km, fare)\n  r = km * fare;\nend\nx = f(fare, km);\n", line: 4 },
  ],
};
