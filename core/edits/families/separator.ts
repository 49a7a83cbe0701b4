import { parts } from "../../syntax/tree.ts";
import { change, type EditContext, type EditFamily, type Proposal } from "../edit.ts";
import { calledName, ofKind } from "../places.ts";

/** What a line is usually taken apart by. */
const usual = [" ", ",", ";", ":", "-", "/", ", "];
const takesApart = /^(?:split|strsplit|ostrsplit|strtok|useDelimiter)$/i;

/** What a line is taken apart by, another one. */
function others(context: EditContext): Proposal[] {
  return ofKind(context, "call").flatMap(({ node }) => {
    if (!takesApart.test(calledName(node))) return [];
    return parts(node, "argument").flatMap((each) => {
      const text = context.sourceOf(each);
      const [open, close] = [text.at(0) ?? "", text.at(-1) ?? ""];
      const inner = text.slice(1, -1);
      if (!/^["']$/.test(open) || open !== close || text.length < 3 || inner.length > 2) return [];
      // Where a sign alone stands in such quotes, no longer text can.
      const may = usual.filter((other) => other !== inner && (inner.length > 1 || other.length === 1));
      return may.map((other, at) =>
        change(each, open + other + close, { before: inner, after: other }, at < 3 ? 1 : 0.4),
      );
    });
  });
}

/** A line is taken apart by another sign than the one between its parts. */
export const separator: EditFamily = {
  id: "separator",
  says: "the sign that a line is taken apart by",
  weight: 6,
  reads: "tree",
  mends: others,
  plants: others,
  examples: [
    { language: "python", right: 'parts = line.split(",")\n', faulty: 'parts = line.split(" ")\n' },
    {
      language: "java",
      right: 'class Main { String[] f(String line) { return line.split(";"); } }',
      faulty: 'class Main { String[] f(String line) { return line.split(","); } }',
    },
    {
      language: "csharp",
      right: "class P { string[] F(string line) { return line.Split(' '); } }",
      faulty: "class P { string[] F(string line) { return line.Split(','); } }",
    },
    { language: "octave", right: 'parts = strsplit(line, ",");\n', faulty: 'parts = strsplit(line, " ");\n' },
  ],
};
