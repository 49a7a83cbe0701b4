import { change } from "../../edits/edit.ts";
import { example } from "../example.ts";
import { byEdit } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** The fault lies in the line before: it left the block too early, so the reported one fits nowhere. */
export const lineAboveOutdented: Pattern = {
  id: "line-above-outdented",
  name: "The line above is outdented",
  says: "The fault lies in the line before: it left the block too early, so the reported one fits nowhere.",
  mends: "Indent the line above.",
  cause: "The line that is named fits; the one above left the block too early.",
  avoid: "Look at the line above as well whenever the indentation is named.",
  fault: true,
  grounds: [
    byEdit("indentation", ({ line }, { class: of, message }) => of === "syntax" && message?.line === line + 1, 3),
  ],
  examples: [
    example(
      "python",
      `load = 12
if load > 10:
    print("heavy")
«    ¦»print("wait")
else:
    print("light")
`,
    ),
  ],
  plants: ({ lines, writing }) =>
    lines.flatMap((line, at) => {
      const [above, below] = [lines[at - 1], lines[at + 1]];
      const isInside = line.indent.length > 0 && below?.indent === line.indent && above?.indent === line.indent;
      return writing.blocks.by === "indentation" && isInside && below?.text.trim() !== "" && line.text.trim() !== ""
        ? [change({ from: line.from, to: line.from + line.indent.length }, line.indent.slice(0, -4))]
        : [];
    }),
};
