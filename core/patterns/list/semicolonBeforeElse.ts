import { change } from "../../edits/edit.ts";
import { example } from "../example.ts";
import { byEdit, takesAway } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A sign that ends the decision stands before its else. */
export const semicolonBeforeElse: Pattern = {
  id: "semicolon-before-else",
  name: "A sign before else",
  says: "A sign that ends the decision stands before its else.",
  mends: "Take it away.",
  cause: "The sign ends the whole decision, so the else has none to belong to.",
  avoid: "Read if, then and else as one sentence.",
  fault: true,
  grounds: [
    byEdit(
      "terminator",
      (change, { lines }) =>
        takesAway(change) &&
        (/;\s*else\b/i.test(change.lineBefore) || /^\s*\}?\s*else\b/i.test(lines.slice(change.line).join("\n"))),
      4,
    ),
  ],
  examples: [
    example(
      "pascal",
      `var load: integer;
begin
  load := 12;
  if load > 40 then
    writeln('heavy')«¦;»
  else
    writeln('light');
end.
`,
    ),
  ],
  plants: ({ code, writing }) =>
    code.flatMap((token, at) => {
      const before = code[at - 1];
      return writing.blocks.by === "two words" && token.text.toLowerCase() === "else" && before && before.text !== ";"
        ? [change({ from: before.to, to: before.to }, ";")]
        : [];
    }),
};
