import { ofKind } from "../../edits/places.ts";
import { part } from "../../syntax/tree.ts";
import type { Mistake } from "./mistake.ts";

/** A counted loop that goes upwards to something smaller than it begins with. */
export const loopCountsAway: Mistake = {
  id: "loop-direction-wrong",
  weight: 95,
  find: (context) =>
    ofKind(context, "for", "foreach").flatMap(({ node }) => {
      const source = part(node, "source");
      const start = part(node, "start");
      const [from, to] =
        source?.sign === ":"
          ? [part(source, "left"), part(source, "right")]
          : [start && part(start, "value"), part(node, "limit")];
      const upwards = source?.sign === ":" || /^to$/i.test(node.sign ?? "");
      const toOne = to?.kind === "number" && Number(to.sign) <= 1 && from?.kind === "name";
      const numbers = from?.kind === "number" && to?.kind === "number" && Number(from.sign) > Number(to.sign);
      return upwards && (toOne || numbers)
        ? [
            {
              line: context.lineOf(node.from),
              why: "The loop counts upwards to something smaller than it begins with.",
            },
          ]
        : [];
    }),
  examples: [
    { language: "pascal", text: "begin\n  for i := laps to 1 do writeln(i);\nend.", line: 2 },
    { language: "octave", text: "for i = 9:1\n  disp(i)\nend\n", line: 1 },
  ],
};
