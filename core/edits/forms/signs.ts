import { escaped } from "../../source/escaped.ts";
import { change, type EditContext, insert } from "../edit.ts";
import { byBraces, endsValue, type OfLine, parameters, within } from "./form.ts";

// Signs between and behind values, and brackets.

/** `big ? "a" ; "b"`, and a key without its colon in a table: `{"car" 4}`. */
const colons: OfLine = ({ code }, context) =>
  code.flatMap((token, at) => {
    const next = code[at + 1];
    const asked = code.findIndex((each) => each.text === "?");
    if (token.text === ";" && asked >= 0 && asked < at && next) return [change(token, ":", parameters(";", ":"), 3)];
    const isKey = token.kind === "text" || token.kind === "number";
    const isValue = next !== undefined && next.line === token.line && /^(?:text|number|name)$/.test(next.kind);
    if (!context.writing.forms?.tables || !isKey || !isValue) return [];
    return /^[{,]$/.test(code[at - 1]?.text ?? "{") ? [insert(token.to, ":", parameters("", ":"), 2)] : [];
  });

/** The end of a statement between two on one line: `print("a") print("b")`. */
const endLeftOut: OfLine = ({ code }, context) => {
  const end = context.writing.statementEnd === "" ? ";" : context.writing.statementEnd;
  if (!byBraces(context) && context.writing.blocks.by !== "indentation") return [];
  return code.flatMap((token, at) => {
    const next = code[at + 1];
    const isEnd = token.text === ")" || token.kind === "number" || token.kind === "name";
    if (!next || !isEnd || next.kind !== "name" || /^(?:if|while|for|switch|foreach)$/.test(code[0]?.text ?? ""))
      return [];
    const assigned = /^(?:=|\(|\.)$/.test(code[at + 2]?.text ?? "");
    return assigned && (token.text === ")" || at > 1) ? [insert(token.to, end, parameters("", end), 2)] : [];
  });
};

/** `include <stdio.h>`: the sign before it. */
const includeSign: OfLine = ({ code }, { writing }) => {
  const instruction = writing.forms?.instruction;
  const [first, next] = code;
  if (!instruction?.words.includes(first?.text.toLowerCase() ?? "") || !first || !next) return [];
  return [insert(first.from, instruction.sign, parameters("", instruction.sign), 4)];
};

/** `string s = "Tern";` where a text is a row of letters; `s = "Tern";` where it is one already. */
const textsAsRows: OfLine = ({ code }, context) => {
  if (!context.writing.forms?.textsAsRows) return [];
  const [first, second, third, fourth] = code;
  if (first && second && /^string$/i.test(first.text) && second.kind === "name") {
    const isGiven = third?.text === "=";
    const place = { from: first.from, to: second.to };
    const rows = isGiven ? [`char ${second.text}[]`, `char *${second.text}`] : [`char ${second.text}[100]`];
    return rows.map((row, at) => change(place, row, parameters("string", "char"), at === 0 ? 3 : 1.5));
  }
  const isRow =
    first?.kind === "name" && new RegExp(String.raw`\bchar\s+${escaped(first.text)}\s*\[`).test(context.text);
  if (!isRow || !first || second?.text !== "=" || third?.kind !== "text" || fourth?.text !== ";") return [];
  return [
    change({ from: first.from, to: third.to }, `strcpy(${first.text}, ${third.text})`, parameters("=", "strcpy"), 3),
  ];
};

/** `x[1]` where elements are picked by round brackets, and `length[1 2]` where a row is handed over. */
const roundBrackets: OfLine = ({ code }, context) => {
  if (!context.writing.forms?.picksRound) return [];
  return code.flatMap((token, at) => {
    const [opening, inside] = [code[at + 1], within(code, at + 1)];
    const closing = code[at + inside.length + 2];
    if (token.kind !== "name" || opening?.text !== "[" || opening.from !== token.to || closing?.text !== "]") return [];
    const text = context.sourceOf({ from: opening.to, to: closing.from });
    const place = { from: opening.from, to: closing.to };
    const picks = context.names.includes(token.text);
    return [
      change(place, `(${text})`, parameters("[", "("), picks ? 4 : 2),
      change(place, `([${text}])`, parameters("[", "(["), picks ? 0.5 : 4),
    ];
  });
};

/** `1,5`: a number with a comma. */
const decimalComma: OfLine = ({ code }) =>
  code.flatMap((token, at) => {
    const [comma, second] = [code[at + 1], code[at + 2]];
    const isOne =
      token.kind === "number" && comma?.text === "," && second?.kind === "number" && /^\d+$/.test(token.text);
    if (!isOne || comma.from !== token.to || second.from !== comma.to) return [];
    return [change(comma, ".", parameters(",", "."), 1.5)];
  });

/** True for a name that holds something, or is declared as a row where the program cannot be read as a whole. */
const isRow = ({ names, text }: EditContext, name: string): boolean =>
  names.includes(name) || new RegExp(String.raw`\b${escaped(name)}\b[\s\w,]*:\s*array\b`, "i").test(text);

/** `a(1)` for an element, where elements are picked by square brackets. */
const squareBrackets: OfLine = ({ code }, context) => {
  if (context.writing.forms?.picksRound) return [];
  return code.flatMap((token, at) => {
    const inside = within(code, at + 1);
    const [opening, closing] = [code[at + 1], code[at + inside.length + 2]];
    if (token.kind !== "name" || opening?.text !== "(" || closing?.text !== ")" || inside.length === 0) return [];
    if (!isRow(context, token.text) || context.functions.includes(token.text) || code[at - 1]?.text === ".") return [];
    const text = context.sourceOf({ from: opening.to, to: closing.from });
    return [change({ from: opening.from, to: closing.to }, `[${text}]`, parameters("(", "["), 3)];
  });
};

/** `a = {1, 2}` where a row is made by a word, other than where it is declared. */
const rowMadeLater: OfLine = ({ code }, context) => {
  const [name, sign, opening] = code;
  if (!context.language.keywords?.has("new") || name?.kind !== "name" || sign?.text !== "=" || opening?.text !== "{")
    return [];
  const type = new RegExp(String.raw`(\w+)\s*\[\s*\]\s*${escaped(name.text)}\b`).exec(context.text)?.[1];
  return type ? [insert(opening.from, `new ${type}[] `, parameters("", "new"), 4)] : [];
};

/** A sign that ends a statement and is another one: `f():`; and what parts what is printed by its places. */
const otherEnds: OfLine = ({ code }, context) => {
  const [last, before] = [code.at(-1), code.at(-2)];
  const ends =
    byBraces(context) && last?.text === ":" && before?.text === ")" && !/^(?:case|default)$/.test(code[0]?.text ?? "");
  const parted = code.flatMap((token, at) => {
    const sign = code[at + 1];
    const isPlaced = token.kind === "text" && /\{0/.test(token.text) && sign?.text === "+";
    return isPlaced ? [change({ from: token.to, to: sign.to }, ",", parameters("+", ","), 3)] : [];
  });
  return [...(ends && last ? [change(last, ";", parameters(":", ";"), 4)] : []), ...parted];
};

/** A statement whose value is shown, since nothing ends it. */
const shownValues: OfLine = ({ code, indent }, { writing }) => {
  const last = code.at(-1);
  const [first, second] = code;
  if (!writing.forms?.showsValues || !first || !last || !endsValue(last)) return [];
  if (first.kind !== "name" || !(second?.text === "=" || /^[-+*/]=$/.test(second?.text ?? ""))) return [];
  return [insert(last.to, writing.statementEnd || ";", parameters("", ";"), indent === "" ? 1.5 : 3)];
};

/** `printf('a')`, `name == 'y'`: a text in the signs of a letter. */
const lettersForTexts: OfLine = ({ code }, { writing }) =>
  code.flatMap((token, at) => {
    const before = code[at - 1]?.text ?? "";
    const isPrinted = before === "(" && writing.library.prints(code[at - 2]?.text ?? "");
    const isCompared = !writing.equalTexts && (before === writing.equal || before === writing.unequal);
    if (!writing.letterQuote || !(isPrinted || isCompared) || !/^'.*'$/.test(token.text)) return [];
    return [change(token, `"${token.text.slice(1, -1)}"`, parameters("'", '"'), isPrinted ? 2 : 1)];
  });

/** `print("Sail);"`: the end of a text behind what it is to stand before. */
const quoteTooLate: OfLine = (line, { writing }) => {
  const quote = writing.quote;
  const found = new RegExp(String.raw`\)(;?)${quote}(;?)\s*$`).exec(line.text);
  const open = line.text.split("(").length - line.text.split(")").length;
  if (!found || line.text.split(quote).length % 2 === 0 || open !== 0) return [];
  const from = line.from + found.index;
  const text = `${quote})${found[1] || found[2] || ""}`;
  return [change({ from, to: from + found[0].trimEnd().length }, text, parameters(quote, quote), 4)];
};

export const signForms: readonly OfLine[] = [
  ...[
    colons,
    endLeftOut,
    includeSign,
    textsAsRows,
    roundBrackets,
    decimalComma,
    squareBrackets,
    rowMadeLater,
    otherEnds,
  ],
  ...[shownValues, lettersForTexts, quoteTooLate],
];
