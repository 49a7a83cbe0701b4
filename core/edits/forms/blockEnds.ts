import type { Token } from "../../languages/token.ts";
import { change, type EditContext, type EditLine, insert, type Proposal } from "../edit.ts";
import { lineEndOf } from "../places.ts";
import { parameters } from "./form.ts";

// Words that end blocks, where each kind of block has its own.

/** A block that is open, and what is to close it. */
type Open = { line: EditLine; close: string };

/** How many first words of a line only say who may use what it heads. */
const modifiers = /^(?:public|private|protected|friend|shared|static|overridable|overrides)$/i;

/** What ends a block in some language. */
const ends = /^(?:end\w*|next|loop|wend|until|fi|od|esac|done|\})$/i;

/** An end as it is compared: without blanks and case. */
const bare = (text: string) => text.toLowerCase().replace(/\s+/g, "");
/** The same, with a loop's end by whichever of its two words. */
const plain = (text: string) => bare(text).replace(/^endfor/, "next");

function opened(line: EditLine, context: EditContext, closeOf: (line: readonly Token[]) => string): Open | null {
  const head = line.code.find((token) => !modifiers.test(token.text))?.text.toLowerCase() ?? "";
  const last = line.code.at(-1)?.text.toLowerCase() ?? "";
  // What a decision on one line asks for stands behind its word; nothing closes it.
  const isBlock = head !== "if" || last === "then" || !line.code.some((token) => /^then$/i.test(token.text));
  // A decision, and what holds routines, are left to the reader's eye by the language's own words.
  const opens = context.language.blockWords?.opens.has(head) || /^(?:if|class|structure|try|enum)$/.test(head);
  return opens && isBlock ? { line, close: closeOf(line.code) } : null;
}

/** True if a line's end closes what is open, by any of the ways in which that may be written. */
function closes(text: string, { line, close }: Open, context: EditContext): boolean {
  // Where a counted loop may be closed by either of two words.
  const either = context.language.blockWords?.closes.has("endfor") ? plain : bare;
  const [own, wanted] = [either(text), either(close)];
  // After the word of a counted loop its name may stand, or not; a condition follows that of one that asks at its end.
  const counted = ["next", ...line.code.slice(1, 3).map((token) => `next${plain(token.text)}`)];
  const [word] = /^(?:next|until|loop)/.exec(wanted) ?? [];
  return own === wanted || (word === "next" ? counted.includes(own) : word !== undefined && own.startsWith(word));
}

/** An end of another block, or of another language, becomes the end of what is open; ends that are missing before it are put in. */
export function blockEnds(context: EditContext): Proposal[] {
  const { blocks } = context.writing;
  if (blocks.by !== "end word" || blocks.closeOf === undefined) return [];
  const open: Open[] = [];
  const found: Proposal[] = [];
  for (const line of context.lines) {
    const [first, last] = [line.code[0], line.code.at(-1)];
    if (!first || !last) continue;
    const isEnd = ends.test(first.text) && (line.code.length <= 3 || /^(?:until|loop)$/i.test(first.text));
    if (!isEnd) {
      const next = opened(line, context, blocks.closeOf);
      if (next) open.push(next);
      continue;
    }
    const text = context.sourceOf({ from: first.from, to: last.to });
    const inner = open.at(-1);
    if (!inner) continue;
    open.pop();
    if (closes(text, inner, context)) continue;
    const further = open.findLastIndex((each) => closes(text, each, context));
    if (further >= 0) {
      // What was opened within it has no end: one for each, from the inside out.
      const left = [...open.splice(further), inner].slice(1).reverse();
      const put = left.map((each) => `${each.line.indent}${each.close}${lineEndOf(context)}`).join("");
      found.push(insert(line.from, put, parameters("", inner.close), 4));
    }
    if (!/^until/i.test(inner.close)) {
      found.push(
        change({ from: first.from, to: last.to }, inner.close, parameters(text, inner.close), further < 0 ? 4 : 3),
      );
    }
  }
  return found;
}
