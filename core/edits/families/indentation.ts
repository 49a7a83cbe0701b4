import { change, type EditContext, type EditFamily, type Proposal } from "../edit.ts";
import { indentUnit, reindent } from "../places.ts";

/** Blanks at the beginning of a line in a language that reads them: as the line before has, one step more or less, as other lines have. */
function mends(context: EditContext): Proposal[] {
  if (context.writing.blocks.by !== "indentation") return [];
  const unit = indentUnit(context);
  const coded = context.lines.filter((line) => line.code.length > 0);
  const found: Proposal[] = [];
  for (const [at, line] of coded.entries()) {
    const before = coded[at - 1];
    const next = coded[at + 1];
    const opens = before?.code.at(-1)?.text === ":";
    const wanted = new Map<string, number>();
    const add = (indent: string | undefined, odds: number) =>
      indent !== undefined && indent !== line.indent && !wanted.has(indent) && wanted.set(indent, odds);
    if (before) add(opens ? before.indent + unit : before.indent, 1.2);
    if (next) add(next.indent, 0.8);
    if (line.indent.length >= unit.length) add(line.indent.slice(0, line.indent.length - unit.length), 0.7);
    add(line.indent + unit, 0.7);
    if (line.indent.length === 0 && !opens) wanted.delete("");
    for (const other of new Set(coded.map((each) => each.indent))) add(other, 0.3);
    for (const [indent, odds] of wanted) {
      found.push(
        change({ from: line.from, to: line.from + line.indent.length }, indent, { line: String(line.number) }, odds),
      );
      // The lines behind it that stand as it does go along.
      const following = coded.slice(at + 1);
      const until = following.findIndex(
        (each) =>
          each.indent.length < line.indent.length || (line.indent === "" && each.indent === "" && indent === ""),
      );
      const same = following.slice(0, until < 0 ? undefined : until);
      const last = same.at(-1);
      if (last && same.length < 30 && indent.length !== line.indent.length) {
        const text = context.text.slice(line.from, last.to);
        found.push(
          change(
            { from: line.from, to: last.to },
            reindent(text, line.indent, indent),
            { line: String(line.number) },
            odds * 0.5,
          ),
        );
      }
    }
  }
  return [...found, ...tabs(context)];
}

/** Tabs and blanks mixed: one kind for all. */
function tabs(context: EditContext): Proposal[] {
  const mixed = context.lines.filter((line) => line.indent.includes("\t"));
  const [first, last] = [mixed[0], mixed.at(-1)];
  if (!first || !last || mixed.length === context.lines.filter((line) => line.indent !== "").length) return [];
  return ["    ", "  ", "        "].map((blanks, at) => {
    const text = context.text
      .slice(first.from, last.to)
      .replace(/^[ \t]+/gm, (indent) => indent.replaceAll("\t", blanks));
    return change({ from: first.from, to: last.to }, text, { line: String(first.number) }, at === 0 ? 1.5 : 0.7);
  });
}

function plants(context: EditContext): Proposal[] {
  if (context.writing.blocks.by !== "indentation") return [];
  const unit = indentUnit(context);
  return context.lines.flatMap((line) => {
    if (line.code.length === 0) return [];
    const place = { from: line.from, to: line.from + line.indent.length };
    const parameters = { line: String(line.number) };
    const less =
      line.indent.length >= unit.length
        ? [change(place, line.indent.slice(0, line.indent.length - unit.length), parameters)]
        : [];
    return [...less, change(place, line.indent + unit, parameters), change(place, `${line.indent} `, parameters)];
  });
}

export const indentationFamily: EditFamily = {
  id: "indentation",
  says: "a line that is indented too far or not far enough",
  weight: 10,
  reads: "both",
  mends,
  plants,
  examples: [
    { language: "python", right: "if load > 3:\n    print(load)\n", faulty: "if load > 3:\nprint(load)\n" },
    { language: "python", right: "a = 1\nb = 2\n", faulty: "a = 1\n b = 2\n" },
    {
      language: "python",
      right: "for x in y:\n    a = x\nprint(a)\n",
      faulty: "for x in y:\n    a = x\n    print(a)\n",
    },
  ],
};
