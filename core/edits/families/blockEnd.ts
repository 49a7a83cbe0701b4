import { change, type EditContext, type EditFamily, type EditLine, insert, type Proposal } from "../edit.ts";
import { lineEndOf } from "../places.ts";

const opensBlock = /^(if|while|for|switch|function|try|begin|repeat|case|do|unwind_protect|record|class)$/i;
const headers = /^(if|while|for|switch|function|try|do)$/i;

/** The word that is to close what a line heads; null where it heads nothing. */
function closingWord(context: EditContext, line: EditLine): string | null {
  const { blocks } = context.writing;
  if (blocks.by !== "two words" && blocks.by !== "end word") return null;
  if (blocks.by === "end word" && blocks.closeOf) {
    const first = line.code[0]?.text.toLowerCase() ?? "";
    return context.language.blockWords?.opens.has(first) ? blocks.closeOf(line.code) : null;
  }
  // Words at both ends stand in the middle of statements that are parted by a sign.
  const heads = blocks.by === "two words" ? opensBlock : headers;
  return line.code.some((token) => heads.test(token.text)) ? blocks.close : null;
}

/** True if all that stands on a line closes a block: `end;`, `END IF`, `NEXT trip`. */
function closesBlock(context: EditContext, line: EditLine): boolean {
  const [first, second] = line.code;
  if (!first) return false;
  const plain = line.code.every((token, at) => at === 0 || token.text === ";");
  if (/^end\w*$/i.test(first.text) && plain) return true;
  if (context.language.blockWords?.closes.has(first.text.toLowerCase()) !== true || line.code.length > 2) return false;
  return second === undefined ? !/^until$/i.test(first.text) : /^next$/i.test(first.text) && second.kind === "name";
}

/** True for a line that begins another branch of what a header begins: an `else` right below it. */
const goesOnIn = (line: EditLine, header: EditLine) =>
  line.indent === header.indent &&
  /^(?:else\w*|elsif|otherwise|case|default|catch|finally)$/i.test(line.code[0]?.text ?? "");

/** The word that ends a block: put in where the lines come back, or one too many taken out. */
function mends(context: EditContext): Proposal[] {
  const { blocks } = context.writing;
  if (blocks.by !== "two words" && blocks.by !== "end word") return [];
  const paired = blocks.by === "two words";
  const ending = lineEndOf(context);
  const found: Proposal[] = [];
  for (const [at, line] of context.lines.entries()) {
    const word = closingWord(context, line);
    if (word === null) continue;
    const close = paired ? `${word};` : word;
    let before = line;
    // A word that ends a block and stands where this header stands is its end already.
    const closed = context.lines
      .slice(at + 1)
      .find((each) => each.code.length > 0 && each.indent.length <= line.indent.length && !goesOnIn(each, line));
    const ended =
      closed !== undefined &&
      closed.indent === line.indent &&
      /^(end\w*|until|next)$/i.test(closed.code[0]?.text ?? "");
    const odds = ended ? 0.4 : 1.2;
    for (const later of context.lines.slice(at + 1)) {
      if (later.code.length === 0 || (!paired && goesOnIn(later, line))) continue;
      if (later.indent.length <= line.indent.length) {
        // Nothing may part a branch from its `else`.
        const closing = paired && goesOnIn(later, line) ? word : close;
        found.push(insert(later.from, `${line.indent}${closing}${ending}`, { word }, odds));
        const last = before.code.at(-1);
        if (last && paired && before !== line) found.push(insert(last.to, ` ${close}`, { word }, odds * 0.4));
        break;
      }
      before = later;
    }
    if (before === context.lines.findLast((each) => each.code.length > 0))
      found.push(
        insert(
          context.text.length,
          `${/[\r\n]$/.test(context.text) ? "" : ending}${line.indent}${close}${ending}`,
          { word },
          1,
        ),
      );
  }
  for (const token of context.code) {
    if (!/^(end\w*|until|begin)$/i.test(token.text)) continue;
    const line = context.lines[token.line - 1];
    const next = context.lines[token.line];
    const alone =
      line && next && (line.code.every((each) => each === token || each.text === ";") || closesBlock(context, line));
    found.push(
      alone
        ? change({ from: line.from, to: next.from }, "", { word: token.text }, 0.7)
        : change(token, "", { word: token.text }, 0.4),
    );
    // The program ends with a full stop, a block with a semicolon.
    const after = context.code[context.code.indexOf(token) + 1];
    if (paired && /^end$/i.test(token.text)) {
      if (after?.text === ";" || after?.text === ".")
        found.push(change(after, after.text === ";" ? "." : ";", { word: "end" }, 0.6));
      else found.push(insert(token.to, after ? ";" : ".", { word: "end" }, after ? 0.5 : 1.5));
    }
  }
  return found;
}

function plants(context: EditContext): Proposal[] {
  const { by } = context.writing.blocks;
  if (by !== "two words" && by !== "end word") return [];
  return context.lines.flatMap((line) => {
    const next = context.lines[line.number];
    return closesBlock(context, line)
      ? [
          change({ from: line.from, to: next ? next.from : context.text.length }, "", {
            word: line.code[0]?.text ?? "",
          }),
        ]
      : [];
  });
}

export const blockEnd: EditFamily = {
  id: "block-end",
  says: "the word that ends a block",
  weight: 11,
  reads: "text",
  mends,
  plants,
  examples: [
    { language: "octave", right: "if a\n  b = 1;\nend\n", faulty: "if a\n  b = 1;\n" },
    { language: "pseudocode", right: "IF a = 1 THEN\n  b <- 1\nENDIF\n", faulty: "IF a = 1 THEN\n  b <- 1\n" },
    {
      language: "pseudocode",
      right: "FOR i <- 1 TO 3\n  OUTPUT i\nNEXT i\nOUTPUT 4\n",
      faulty: "FOR i <- 1 TO 3\n  OUTPUT i\nOUTPUT 4\n",
    },
    {
      language: "pascal",
      right: "begin\n  if a then\n  begin\n    b := 1;\n  end\n  else\n    b := 2;\nend.",
      faulty: "begin\n  if a then\n  begin\n    b := 1;\n  else\n    b := 2;\nend.",
    },
    {
      language: "pascal",
      right: "begin\n  while a do\n  begin\n    b := 1;\n  end;\n  c := 2;\nend.",
      faulty: "begin\n  while a do\n  begin\n    b := 1;\n  c := 2;\nend.",
    },
  ],
};
