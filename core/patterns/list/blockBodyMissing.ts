import { change } from "../../edits/edit.ts";
import { example } from "../example.ts";
import { byMessage, sure } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A header is followed by nothing that it could head. */
export const blockBodyMissing: Pattern = {
  id: "block-body-missing",
  name: "A header without a body",
  says: "A header is followed by nothing that it could head.",
  mends: "Write the body, or say that it is empty.",
  cause: "A header needs at least one line that belongs to it.",
  avoid: "Write a first line below each header at once, if only one that does nothing.",
  fault: true,
  grounds: [byMessage("indentation", { words: /expected an indented block/i, more: sure })],
  examples: [
    example(
      "python",
      `load = 12
if load > 10:
«    ¦»print("heavy")
`,
    ),
    example(
      "octave",
      `load_now = 12;
if load_now > 10
  printf("heavy\\n");
«end¦»
`,
    ),
  ],
  plants: ({ lines, writing }) =>
    lines.flatMap((line, at) => {
      const [above, below] = [lines[at - 1], lines[at + 1]];
      const opens = above?.text.trimEnd().endsWith(":") && line.indent.length > above.indent.length;
      const alone = !below || below.text.trim() === "" || below.indent.length < line.indent.length;
      return writing.blocks.by === "indentation" && opens && alone
        ? [change({ from: line.from, to: line.from + line.indent.length }, above?.indent ?? "")]
        : [];
    }),
};
