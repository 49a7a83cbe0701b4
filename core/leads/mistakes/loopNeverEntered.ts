import { neverEntered } from "../../edits/neverEntered.ts";
import type { Mistake } from "./mistake.ts";

/** A loop that is never gone through, since the value right before it makes its condition false. */
export const loopNeverEntered: Mistake = {
  id: "loop-never-entered",
  weight: 94,
  find: (context) =>
    neverEntered(context).flatMap(({ loop, name, place }) => [
      {
        line: context.lineOf(place.from),
        names: [name],
        why: `With this value of “${name}” the loop at line ${context.lineOf(loop.from)} is not gone through once.`,
      },
      {
        line: context.lineOf(loop.from),
        names: [name],
        why: `This loop is not gone through once: “${name}” has the value of line ${context.lineOf(place.from)}.`,
      },
    ]),
  examples: [
    { language: "pascal", text: "begin\n  ready := true;\n  while not ready do\n    step;\nend.\n", line: 2 },
    { language: "python", text: "tide = 0\nwhile tide > 3:\n    tide = tide - 1\n", line: 1 },
    { language: "c", text: "void f(void) {\n  int n = 9;\n  while (n < 5)\n    n++;\n}\n", line: 2 },
    { language: "octave", text: "n = 9;\nwhile n < 5\n  n = n + 1;\nend\n", line: 1 },
  ],
};
