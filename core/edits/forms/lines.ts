import { asOne, type Small } from "../asOne.ts";
import { change, type EditContext, type EditLine, type Proposal } from "../edit.ts";
import { parameters } from "./form.ts";

// Whole lines as other languages write them, by the language's own table.

/** A line without needless blanks and case, and with one sign for what gives a value: two that are equal so say the same. */
const plain = (text: string): string =>
  text
    .toLowerCase()
    .replace(/\s+/g, " ")
    .replace(/←|<-|:=/g, "=")
    .replace(/ ?([^\w\s]) ?/g, "$1");

/** No line of a beginner's is longer, and what is hostile may not keep an expression busy: characters. */
const longest = 200;

/** What of a line may be replaced: all up to its comment, and all of it where a sign of another language begins one. */
function partsOf(line: EditLine): Array<{ from: number; to: number }> {
  const [first, last] = [line.code[0], line.code.at(-1)];
  if (!first || !last || line.text.length > longest) return [];
  const whole = { from: first.from, to: line.from + line.text.trimEnd().length };
  return last.to === whole.to ? [whole] : [{ from: first.from, to: last.to }, whole];
}

type Rewritten = Small & { odds: number };

/** What a line becomes by each row of the table that reads it. */
function rewritten(line: EditLine, context: EditContext): Rewritten[] {
  const table = context.writing.linesElsewhere ?? [];
  return partsOf(line).flatMap((place) => {
    const text = context.sourceOf(place);
    return table.flatMap(({ read, write, odds }) => {
      const own = text.replace(read, write);
      return own === text || plain(own) === plain(text) ? [] : [{ ...place, text: own, odds: odds ?? 4 }];
    });
  });
}

/** Each such line for itself, and all of them: who writes one line so writes others. */
export function linesElsewhere(context: EditContext): Proposal[] {
  const all = context.lines.map((line) => rewritten(line, context));
  const firsts = all.flatMap((each) => each[0] ?? []);
  return [
    ...all.flat().map((each) => change(each, each.text, parameters(context.sourceOf(each), each.text), each.odds)),
    ...(firsts.length > 1 ? asOne(context, firsts, parameters("", firsts[0]?.text ?? ""), 4) : []),
  ];
}
