import { parts } from "../../syntax/tree.ts";
import { change, type EditContext, type EditFamily, insert, type Proposal } from "../edit.ts";
import { calledName, ofKind } from "../places.ts";

/** What a line is usually taken apart by. */
const usual = [" ", ",", ";", ":", "-", "/", ", "];
const takesApart = /^(?:split|strsplit|ostrsplit|strtok|useDelimiter)$/i;

/** What a line is taken apart by, another one. */
function others(context: EditContext): Proposal[] {
  return ofKind(context, "call").flatMap(({ node }) => {
    if (!takesApart.test(calledName(node))) return [];
    if (calledName(node) === "split" && context.sourceOf(node).endsWith("()"))
      return usual
        .filter((sign) => sign !== " ")
        .map((sign) =>
          insert(
            node.to - 1,
            `${context.writing.quote}${sign}${context.writing.quote}`,
            { before: "", after: sign },
            context.meantTexts.some((text) => text.includes(sign)) ? 1 : 0.2,
          ),
        );
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

/** No sign at all: a line is taken apart at its blanks. */
function withoutSign(context: EditContext): Proposal[] {
  return ofKind(context, "call").flatMap(({ node }) => {
    const [only, ...others] = parts(node, "argument");
    if (calledName(node) !== "split" || only?.kind !== "text" || others.length > 0) return [];
    return [change(only, "", { before: context.sourceOf(only), after: "" }, 0.5)];
  });
}

/** A line is taken apart by another sign than the one between its parts. */
export const separator: EditFamily = {
  id: "separator",
  says: "the sign that a line is taken apart by",
  weight: 6,
  reads: "tree",
  mends: others,
  plants: (context) => [...others(context), ...withoutSign(context)],
  examples: [
    { language: "python", right: 'parts = line.split(",")\n', faulty: 'parts = line.split(" ")\n' },
    { language: "python", right: 'stops = line.split("-")\n', faulty: "stops = line.split()\n" },
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
