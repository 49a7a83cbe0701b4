import { countersRead } from "../../edits/exchanged.ts";
import type { Mistake } from "./mistake.ts";

/** What a loop counts by is read behind the loop, in a language in which it has no value there. */
export const counterBehindLoop: Mistake = {
  id: "counter-behind-loop",
  weight: 96,
  find: (context) =>
    context.writing.variables === "declared apart" && context.writing.blocks.by === "two words"
      ? countersRead(context).map(({ name, place }) => ({
          line: context.lineOf(place.from),
          names: [name],
          why: `“${name}” counts the loop above; behind it, it has no value that can be relied on.`,
        }))
      : [],
  examples: [
    {
      language: "pascal",
      text: "function Lowest: integer;\nvar\n  d, best: integer;\nbegin\n  best := 1;\n  for d := 2 to 3 do\n    if decks[d] < decks[best] then\n      best := d;\n  Lowest := d;\nend;\nbegin\nend.\n",
      line: 9,
    },
  ],
};
