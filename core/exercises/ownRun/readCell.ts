import { workOut } from "../../expressions/evaluate.ts";
import { isUnknown, type Known, unknown } from "../../expressions/known.ts";
import type { Answer } from "../../expressions/rules.ts";
import type { Language } from "../../languages/language.ts";

/**
 * A cell's text as a value of the language, of the kind that the column has (`like`) where it can be read so: texts with or
 * without quotes, truths in any case, lists with or without brackets. Unknown for what is no value.
 */
export function readCell(language: Language, written: string, like?: Answer): Answer {
  const text = written.trim();
  if (text === "") return unknown("Nothing is written there.");
  const kind = like && !isUnknown(like) ? like.kind : null;
  if (like?.kind === "text" && !/^["']/.test(text)) return { ...like, value: text };
  if (like?.kind === "letter" && !/^'/.test(text) && [...text].length === 1)
    return { ...like, value: text.codePointAt(0) ?? 0 };
  if (kind === "truth" && /^(?:true|false)$/i.test(text))
    return { ...(like as Known), value: /^t/i.test(text) } as Known;
  if (like?.kind === "many") {
    const inner = text.replace(/^[[({]/, "").replace(/[\])}]$/, "");
    if (/[[\](){}]/.test(inner)) return unknown("This list is not read here.");
    const pieces = inner.trim() === "" ? [] : inner.split(/,|(?<=\S)\s+(?=\S)/).filter((piece) => piece.trim() !== "");
    const items = pieces.map((piece, index) => readCell(language, piece, like.items[index] ?? like.items[0]));
    return items.some(isUnknown) ? unknown("") : { ...like, items: items as Known[] };
  }
  const read = literal(language, text);
  if (isUnknown(read) && !like && /^[[({].*[\])}]$/s.test(text) && !/[[\](){}]/.test(text.slice(1, -1))) {
    const items = text
      .slice(1, -1)
      .split(",")
      .filter((piece) => piece.trim() !== "")
      .map((piece) => readCell(language, piece));
    return items.some(isUnknown) ? read : { kind: "many", type: "list", items: items as Known[] };
  }
  if (!like || isUnknown(like) || isUnknown(read)) return read;
  if (like.kind === "real" && read.kind === "whole") return { ...like, value: Number(read.value) };
  if (like.kind === "whole" && read.kind === "real" && Number.isInteger(read.value))
    return { ...like, value: BigInt(read.value) };
  return read.kind === like.kind ? ({ ...read, type: like.type } as Known) : read;
}

/** A text that is a literal of the language, with its sign. */
function literal(language: Language, text: string): Answer {
  const worked = workOut(language, text, { value: () => null, call: () => null });
  return worked?.value ?? unknown("This is no value.");
}
