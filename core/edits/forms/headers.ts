import { escaped } from "../../source/escaped.ts";
import type { PlacedToken } from "../../syntax/placed.ts";
import { asOne } from "../asOne.ts";
import { change, insert } from "../edit.ts";
import { beginsValue, byBraces, endsValue, type OfLine, parameters, within } from "./form.ts";

// What heads loops, decisions and attempts.

/** `for (int i = 0, i < 3, i++)`: what parts the header of a counted loop. */
const partsOfHeader: OfLine = ({ code }, context) => {
  const at = code.findIndex((token) => token.text === "for");
  if (!byBraces(context) || at < 0 || code[at + 1]?.text !== "(") return [];
  const inside = within(code, at + 1);
  const commas = inside.filter((token) => token.text === ",");
  const ends = inside.filter((token) => token.text === ";").length;
  if (commas.length === 0 || commas.length + ends !== 2) return [];
  return asOne(
    context,
    commas.map(({ from, to }) => ({ from, to, text: ";" })),
    parameters(",", ";"),
    4,
  );
};

/** The sign or word between the name of a loop and what it goes over. */
const goesOver: OfLine = ({ code }, { writing }) => {
  const at = code.findIndex((token) => /^(?:for|foreach)$/.test(token.text));
  const own = writing.forms?.goesOver;
  const header = code[at + 1]?.text === "(" ? within(code, at + 1) : code.slice(at + 1);
  const sign = header.find((token) => /^(?:of|in|:|=)$/.test(token.text));
  if (at < 0 || own === undefined || !sign || sign.text === own || header.some((token) => token.text === ";"))
    return [];
  if (sign.text === ":" && writing.blocks.by === "indentation" && sign === code.at(-1)) return [];
  return [change(sign, own, parameters(sign.text, own), 4)];
};

/** `try:` without anything that handles an error. */
const handlerLeftOut: OfLine = (line, context) => {
  const [first] = line.code;
  const handler = context.writing.forms?.handler;
  if (handler === undefined || first?.text !== handler.tries) return [];
  const below = context.lines.slice(line.number).filter((each) => each.code.length > 0);
  const end = below.findIndex((each) => each.indent.length <= line.indent.length);
  const last = (end < 0 ? below : below.slice(0, end)).at(-1);
  if (!last || handler.words.includes(below[end]?.code[0]?.text ?? "")) return [];
  const unit = last.indent.slice(line.indent.length);
  return (context.writing.errors?.usual ?? [])
    .slice(0, 2)
    .map((error, at) =>
      insert(last.to, `\n${handler.write(error, line.indent, unit)}`, parameters("", handler.words[0] ?? ""), 2 - at),
    );
};

/** `if x >= 3 print("yes")`: the sign between a condition and what stands behind it on its line. */
const colonInside: OfLine = ({ code }, context) => {
  const { blocks } = context.writing;
  if (blocks.by !== "indentation" || !/^(?:if|elif|while|for)$/.test(code[0]?.text ?? "")) return [];
  if (code.some((token) => token.text === ":")) return [];
  return code.flatMap((token, at) => {
    const [next, second] = [code[at + 1], code[at + 2]];
    const isStatement = next?.kind === "name" && /^[(=.[]$|^[-+*/]=$/.test(second?.text ?? "");
    return at > 0 && endsValue(token) && isStatement ? [insert(token.to, ":", parameters("", ":"), 3)] : [];
  });
};

/** `for (i = 0; i < n; i++ {`: the bracket before the brace that opens the block. */
const bracketBeforeBrace: OfLine = ({ code }, context) => {
  const last = code.at(-1);
  const before = code.at(-2);
  const open = code.filter((token) => token.text === "(").length - code.filter((token) => token.text === ")").length;
  if (!byBraces(context) || last?.text !== "{" || !before || open !== 1) return [];
  return [insert(before.to, ")", parameters("", ")"), 3)];
};

/** `3 < x < 20`: two comparisons, each with both of its sides, in languages where one has no more. */
const chainedComparison: OfLine = ({ code }, context) => {
  if (context.writing.blocks.by === "indentation") return [];
  const orders = /^(?:<=?|>=?)$/;
  return code.flatMap((token, at) => {
    const [first, middle, second] = [code[at + 1], code[at + 2], code[at + 3]];
    if (!endsValue(token) || !first || !second || !middle || !orders.test(first.text) || !orders.test(second.text))
      return [];
    if (first.text[0] !== second.text[0] || middle.kind !== "name" || !beginsValue(code[at + 4])) return [];
    return [
      insert(middle.to, ` ${context.writing.and.trim()} ${middle.text}`, parameters("", context.writing.and.trim()), 3),
    ];
  });
};

/** Where a side of a comparison begins that ends at a place: behind an open bracket, a comma, or a word of the language. */
function beginOfSide(code: readonly PlacedToken[], end: number): number {
  let depth = 0;
  for (let at = end; at >= 0; at -= 1) {
    const text = code[at]?.text ?? "";
    if (/^[)\]]$/.test(text)) depth += 1;
    else if (/^[([]$/.test(text)) depth -= 1;
    if (depth < 0 || (depth === 0 && (text === "," || code[at]?.kind === "keyword"))) return at + 1;
  }
  return 0;
}

/** `x > 3 and < 9`: what is compared the second time. */
const operandLeftOut: OfLine = ({ code }, { writing, sourceOf }) => {
  const joins = [writing.and.trim(), writing.or.trim()].map((word) => word.toLowerCase());
  const compares = (token: PlacedToken | undefined) =>
    token !== undefined && (/^(?:[<>]=?|[=!~]=|<>)$/.test(token.text) || token.text === writing.equal);
  return code.flatMap((token, at) => {
    const next = code[at + 1];
    if (!joins.includes(token.text.toLowerCase()) || !next || !compares(next)) return [];
    const compared = code.slice(0, at).findLastIndex(compares);
    const [first, last] = [code[beginOfSide(code, compared - 1)], code[compared - 1]];
    if (compared < 1 || !first || !last) return [];
    const operand = sourceOf({ from: first.from, to: last.to });
    return [insert(next.from, `${operand} `, parameters("", operand), 4)];
  });
};

/** `1..3` where numbers are counted with a colon. */
const countedByPoints: OfLine = (line, { writing }) => {
  if (!writing.forms?.countsByColon || line.code[0]?.text !== "for") return [];
  const found = /(?<=\d)\s*\.\.+\s*(?=\w)/.exec(line.text);
  const from = line.from + (found?.index ?? 0);
  return found ? [change({ from, to: from + found[0].length }, ":", parameters("..", ":"), 4)] : [];
};

/** `if else:`: one word too many. */
const twoHeads: OfLine = ({ code }) => {
  const [first, second] = code;
  const isDoubled = /^(?:if|elif|elseif)$/i.test(first?.text ?? "") && /^else$/i.test(second?.text ?? "");
  return isDoubled && first && second
    ? [change({ from: first.from, to: second.from }, "", parameters(first.text, ""), 3)]
    : [];
};

/** `for key, value in table:`: pairs are asked for, of a table, or of places and elements of a plain list. */
const pairsOver: OfLine = ({ code }, { writing, text }) => {
  const at = code.findIndex((token) => token.text === writing.forms?.goesOver);
  const [walked, colon] = [code[at + 1], code[at + 2]];
  const target = code.slice(1, at);
  if (code[0]?.text !== "for" || at < 0 || !target.some((token) => token.text === ",") || colon?.text !== ":")
    return [];
  const name = walked?.kind === "name" ? escaped(walked.text) : "\\d";
  const made = new RegExp(String.raw`\b${name}\s*=\s*(\{|\[(?!\s*[[(]))`).exec(text)?.[1];
  const form = writing.forms?.pairs?.[made === "{" ? 0 : 1];
  if (!walked || made === undefined || form === undefined) return [];
  return [
    change(
      walked,
      form.replace("_", () => walked.text),
      parameters(walked.text, form),
      3,
    ),
  ];
};

/** `foreach (car in cars)`: the type of the name. */
const typeOfEach: OfLine = ({ code }, { writing }) => {
  const at = code.findIndex((token) => /^(?:for|foreach)$/.test(token.text));
  const [opening, name, sign] = code.slice(at + 1);
  const type = writing.forms?.anyType;
  if (at < 0 || type === undefined || opening?.text !== "(" || name?.kind !== "name") return [];
  return sign?.text === writing.forms?.goesOver ? [insert(name.from, `${type} `, parameters("", type), 4)] : [];
};

/** `for (car in cars):` where a header has no brackets, and `else (a > 1) {` where it asks once more. */
const otherHeads: OfLine = ({ code }, context) => {
  const at = code[0]?.text === "}" ? 1 : 0;
  const [head, opening] = [code[at], code[at + 1]];
  if (!head || opening?.text !== "(") return [];
  if (head.text === "else" && byBraces(context)) return [insert(head.to, " if", parameters("", "if"), 3)];
  const inside = within(code, at + 1);
  const closing = code[at + inside.length + 2];
  const isWalk =
    context.writing.blocks.by === "indentation" && head.text === "for" && inside.some(({ text }) => text === "in");
  if (!isWalk || !closing) return [];
  const walked = context.sourceOf({ from: opening.to, to: closing.from });
  return [change({ from: opening.from, to: closing.to }, walked, parameters("(", ""), 4)];
};

export const headerForms: readonly OfLine[] = [
  ...[partsOfHeader, goesOver, handlerLeftOut, colonInside, bracketBeforeBrace, chainedComparison, operandLeftOut],
  ...[countedByPoints, twoHeads, pairsOver, typeOfEach, otherHeads],
];
