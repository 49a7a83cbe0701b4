import { stalePositions } from "../../edits/stalePositions.ts";
import type { Mistake } from "./mistake.ts";

/** A place in a text is worked out, the text is cut, and the place is used as if it still held. */
export const positionStale: Mistake = {
  id: "stored-position-stale",
  weight: 92,
  find: (context) =>
    stalePositions(context).map(({ name, made, cut, used }) => ({
      line: context.lineOf(cut.from),
      names: [name],
      why: `“${name}” was worked out at line ${context.lineOf(made.from)}, before this line changed what it is a place of; line ${context.lineOf(used.from)} uses it.`,
    })),
  examples: [
    {
      language: "pascal",
      text: "begin\n  p := Pos('-', line);\n  first := Copy(line, 1, p - 1);\n  Delete(line, 1, p);\n  if p > 0 then\n    rest := Copy(line, 1, p - 1);\nend.\n",
      line: 4,
    },
    {
      language: "python",
      text: 'at = line.find(";")\nline = line[3:]\nprint(line[:at])\n',
      line: 2,
    },
  ],
};
