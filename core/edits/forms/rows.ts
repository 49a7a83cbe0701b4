import { asOne } from "../asOne.ts";
import { change, insert } from "../edit.ts";
import { byBraces, type OfLine, parameters, within } from "./form.ts";

// Rows of values, their brackets and their places, as other languages write them.

/** `int[] cars = [1, 2];` where a row stands between braces. */
const bracesForRow: OfLine = ({ code }, context) => {
  const at = code.findIndex((token, place) => token.text === "[" && code[place - 1]?.text === "=");
  const inside = within(code, at);
  const [opening, closing] = [code[at], code[at + inside.length + 1]];
  if (!byBraces(context) || at < 2 || !opening || closing?.text !== "]" || code[0]?.kind === "name") return [];
  const places = [
    { from: opening.from, to: opening.to, text: "{" },
    { from: closing.from, to: closing.to, text: "}" },
  ];
  return asOne(context, places, parameters("[", "{"), 4);
};

/** `int cars[3] = {...};` and `int[] cars`: the brackets of a row stand behind its type, or behind its name. */
const bracketsOfRow: OfLine = ({ code }, context) => {
  const [type, second, third, fourth] = code;
  if (!byBraces(context) || !type || !/^[a-z]\w*$|^String$/.test(type.text) || !second || !third) return [];
  const isBehindName = second.kind === "name" && third.text === "[";
  const inside = isBehindName ? within(code, 2) : [];
  const closing = code[inside.length + 3];
  if (isBehindName && closing?.text === "]" && context.language.keywords?.has("new"))
    return [change({ from: type.to, to: closing.to }, `[] ${second.text}`, parameters("[]", "[]"), 3)];
  const isBehindType = second.text === "[" && third.text === "]" && fourth?.kind === "name";
  if (!isBehindType || !fourth || !context.writing.forms?.textsAsRows) return [];
  return [change({ from: type.to, to: fourth.to }, ` ${fourth.text}[]`, parameters("[]", "[]"), 4)];
};

/** `new int(3)`: how many there are stands in square brackets. */
const sizeOfRow: OfLine = ({ code }, context) =>
  code.flatMap((token, at) => {
    const inside = within(code, at + 2);
    const [type, opening, closing] = [code[at + 1], code[at + 2], code[at + inside.length + 3]];
    const isPlain = /^(?:int|double|long|char|boolean|bool|float|string)$/.test(type?.text ?? "");
    if (token.text !== "new" || !isPlain || opening?.text !== "(" || closing?.text !== ")") return [];
    const size = context.sourceOf({ from: opening.to, to: closing.from });
    return [change({ from: opening.from, to: closing.to }, `[${size}]`, parameters("(", "["), 4)];
  });

/** `x = (1, 2, 3);` where round brackets hold one value. */
const roundRow: OfLine = ({ code }, context) => {
  const [name, sign, opening] = code;
  const inside = within(code, 2);
  const closing = code[inside.length + 3];
  const isRound = context.writing.forms?.picksRound && context.writing.forms.goesOver === "=";
  if (!isRound || name?.kind !== "name" || sign?.text !== "=" || opening?.text !== "(") return [];
  if (!closing || !inside.some((token) => token.text === ",")) return [];
  const text = context.sourceOf({ from: opening.to, to: closing.from });
  return [change({ from: opening.from, to: closing.to }, `[${text}]`, parameters("(", "["), 4)];
};

/** `var cars integer;`, `var cars = integer;`, `array(1..3)`: how names are declared in a part of their own. */
const declaredApart: OfLine = ({ code }, { writing }) => {
  if (writing.variables !== "declared apart" || writing.blocks.by !== "two words") return [];
  const type = code.findIndex((token) => /^(?:integer|real|string|char|boolean|array)$/i.test(token.text));
  const [before, token, opening] = [code[type - 1], code[type], code[type + 1]];
  if (!token || !before || code.some(({ text }) => text === ":" || text === ":=")) {
    const inside = within(code, type + 1);
    const closing = code[type + inside.length + 2];
    const isRound = /^array$/i.test(token?.text ?? "") && opening?.text === "(" && closing?.text === ")";
    if (!isRound || !closing || !opening) return [];
    const bounds = inside.map(({ text }) => text).join("");
    return [change({ from: opening.from, to: closing.to }, `[${bounds}]`, parameters("(", "["), 4)];
  }
  if (before.text === "=") return [change(before, ":", parameters("=", ":"), 4)];
  return before.kind === "name" ? [insert(before.to, ":", parameters("", ":"), 4)] : [];
};

export const rowForms: readonly OfLine[] = [bracesForRow, bracketsOfRow, sizeOfRow, roundRow, declaredApart];
