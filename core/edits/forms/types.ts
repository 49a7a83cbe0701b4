import { escaped } from "../../source/escaped.ts";
import { ownOf } from "../../source/ownOf.ts";
import { asOne } from "../asOne.ts";
import { change, insert } from "../edit.ts";
import { byBraces, type OfLine, parameters, within } from "./form.ts";

// Types of names, of what functions give back, and the words that make objects.

/** `= ArrayList<String>()`: an object is made by a word. */
const newLeftOut: OfLine = ({ code }, { language, functions }) =>
  code.flatMap((token, at) => {
    if (!language.keywords?.has("new") || token.kind === "keyword" || !/^[A-Z]\w*$/.test(token.text)) return [];
    if (!/^(?:=|return|\(|,)$/.test(code[at - 1]?.text ?? "") || functions.includes(token.text)) return [];
    const rest = code
      .slice(at + 1)
      .map((each) => each.text)
      .join("");
    return /^(?:<[\w<>,[\]]*>)?\(/.test(rest) ? [insert(token.from, "new ", parameters("", "new"), 3)] : [];
  });

const modifiers = /^(?:public|private|protected|static|final)$/;

/** `static twice(int x) {`: what a function gives back, or that it gives nothing. */
const typeLeftOut: OfLine = ({ code }, context) => {
  const name = code.findIndex((token) => !modifiers.test(token.text));
  const [token, next] = [code[name], code[name + 1]];
  if (!byBraces(context) || name < 1 || token?.kind === "keyword" || next?.text !== "(" || !token) return [];
  if (context.code.some(({ text }, at) => text === token.text && context.code[at - 1]?.text === "class")) return [];
  const text = context.language.keywords?.has("bool") ? ["string", "bool"] : ["String", "boolean"];
  const isMain = /^main$/i.test(token.text);
  return ["void", "int", "double", ...text].map((type) =>
    insert(
      token.from,
      `${type} `,
      parameters("", type),
      isMain ? (type === "void" ? 4 : 0.2) : type === "void" || type === "int" ? 2 : 1.5,
    ),
  );
};

/** A name that is declared once more where it is only to get another value: `int x = x + 1;`. */
const declaredTwice: OfLine = ({ code }, context) => {
  if (!byBraces(context)) return [];
  const [type, name, sign, ...value] = code;
  const readsItself = value.some((token, at) => token.text === name?.text && value[at - 1]?.text !== ".");
  if (!type || name?.kind !== "name" || sign?.text !== "=" || !/^[a-z]\w*$|^String$/i.test(type.text)) return [];
  if (/^(?:return|new|else|throw)$/.test(type.text) || !readsItself) return [];
  return [change({ from: type.from, to: name.from }, "", parameters(type.text, ""), 2)];
};

/** `List<int>`: a list holds objects. */
const heldTypes: OfLine = ({ code }, { writing }) => {
  const held = writing.forms?.heldTypes ?? {};
  return code.flatMap((token, at) => {
    const isHeld = /^[<,]$/.test(code[at - 1]?.text ?? "") && /^[>,]/.test(code[at + 1]?.text ?? "");
    const text = ownOf(held, token.text);
    return isHeld && text ? [change(token, text, parameters("", text), 3)] : [];
  });
};

/** `new Scanner()`: where it is to read. */
const readsWhere: OfLine = ({ code }, { writing }) =>
  code.flatMap((token, at) => {
    const reader = writing.forms?.reader;
    const [opening, closing] = [code[at + 1], code[at + 2]];
    if (!reader || token.text !== reader.name || opening?.text !== "(" || closing?.text !== ")") return [];
    return [insert(opening.to, reader.handed, parameters("", reader.handed), 4)];
  });

/** `main(String args)`: what a program is started with is a row. */
const startedWith: OfLine = ({ code }) =>
  code.flatMap((token, at) => {
    const [opening, type, name] = [code[at + 1], code[at + 2], code[at + 3]];
    const isMain = /^main$/i.test(token.text) && opening?.text === "(" && /^string$/i.test(type?.text ?? "");
    return isMain && type && name?.kind === "name" ? [insert(type.to, "[]", parameters("", "[]"), 4)] : [];
  });

/** `static int twice(x) {`: the types of parameters. */
const parameterTypes: OfLine = ({ code }, context) => {
  const at = code.findIndex((token) => token.text === "(");
  const [type, name] = [code[at - 2], code[at - 1]];
  if (!byBraces(context) || at < 2 || code.at(-1)?.text !== "{" || name?.kind !== "name" || !type) return [];
  const inside = within(code, at);
  const bare = inside.filter(
    (token, place) =>
      token.kind === "name" &&
      /^[,]?$/.test(inside[place - 1]?.text ?? "") &&
      /^[,]?$/.test(inside[place + 1]?.text ?? ""),
  );
  if (bare.length === 0 || !/^[a-z]\w*$|^String$|^>$|^\]$/i.test(type.text) || /^(?:else|new|return)$/.test(type.text))
    return [];
  const text = context.language.keywords?.has("bool") ? "string" : "String";
  return ["int", "double", text].flatMap((each, place) =>
    asOne(
      context,
      bare.map(({ from }) => ({ from, to: from, text: `${each} ` })),
      parameters("", each),
      2.5 - place / 2,
    ),
  );
};

/** `static int heaviest(int loads) {` where elements of it are looked at: a row is handed over. */
const rowParameters: OfLine = ({ code }, context) => {
  const at = code.findIndex((token) => token.text === "(");
  if (!byBraces(context) || at < 2 || code.at(-1)?.text !== "{" || code[at - 1]?.kind !== "name") return [];
  const inside = within(code, at);
  return inside.flatMap((token, place) => {
    const [type, next] = [inside[place - 1], inside[place + 1]];
    const name = escaped(token.text);
    const walked = String.raw`\b${name}\s*\[|(?::|\bin)\s*${name}\s*\)|\b${name}\.[lL]ength\b(?!\()`;
    const isOne = token.kind === "name" && (next === undefined || next.text === ",");
    if (!isOne || !new RegExp(walked).test(context.text)) return [];
    if (context.writing.forms?.textsAsRows)
      return type && type.text !== "," ? [insert(token.to, "[]", parameters("", "[]"), 3)] : [];
    if (type === undefined || type.text === ",") return [insert(token.from, "int[] ", parameters("", "int[]"), 2)];
    return /^(?:int|double|char|string|boolean|bool)$/i.test(type.text)
      ? [insert(type.to, "[]", parameters("", "[]"), 3)]
      : [];
  });
};

/** `Boat b` for a record that is called by two words. */
const recordWord: OfLine = ({ code }, { writing, text }) => {
  const [first, second] = code;
  const word = writing.forms?.recordWord;
  const isMade = second?.kind === "name" || second?.text === "*";
  if (word === undefined || first?.kind !== "name" || !isMade) return [];
  const isRecord = new RegExp(String.raw`\b${word}\s+${escaped(first.text)}\s*\{`).test(text);
  return isRecord ? [insert(first.from, `${word} `, parameters("", word), 4)] : [];
};

/** `function twice(x: integer);`: the type of what it gives back. */
const resultLeftOut: OfLine = ({ code }, { writing }) => {
  const [closing, end] = [code.at(-2), code.at(-1)];
  if (!writing.resultByName || !/^function$/i.test(code[0]?.text ?? "")) return [];
  if (closing?.text !== ")" || end?.text !== ";") return [];
  return (writing.forms?.results ?? []).map((type, at) =>
    insert(closing.to, `: ${type}`, parameters("", type), 3 - at / 2),
  );
};

/** `int x = 3` where names come to be by their first value. */
const typeTooMany: OfLine = ({ code }, { writing }) => {
  const [type, name, sign] = code;
  const isType = /^(?:int|float|double|str|string|bool|boolean|char|var|let|const|auto)$/i.test(type?.text ?? "");
  if (writing.variables !== "by assignment" || !isType || !type) return [];
  if (name?.kind !== "name" || sign?.text !== writing.assign) return [];
  return [change({ from: type.from, to: name.from }, "", parameters(type.text, ""), 4)];
};

/** A word that keeps a name from getting another value, or from being used elsewhere, before one that does. */
const keptTooMuch: OfLine = ({ code }, { writing, code: all }) =>
  code.flatMap((token, at) => {
    const next = code[at + 1];
    const isFixed = writing.fixed?.words?.includes(token.text) === true;
    if (!next || !(isFixed || token.text === writing.forms?.hides)) return [];
    const name = code
      .slice(at + 1)
      .find((each, place) => each.kind === "name" && /^[=;(]$/.test(code[at + place + 2]?.text ?? ""));
    const isGivenAgain = all.some(
      (each, place) =>
        each !== name && each.text === name?.text && /^(?:[-+*/]?=|\+\+|--)$/.test(all[place + 1]?.text ?? ""),
    );
    const isAsked = all.some(
      (each, place) => each !== name && each.text === name?.text && all[place - 1]?.text === ".",
    );
    if (!name || !(isFixed ? isGivenAgain : isAsked)) return [];
    return [change({ from: token.from, to: next.from }, "", parameters(token.text, ""), 3)];
  });

/** A whole number that is too large for the usual kind. */
const largeNumbers: OfLine = ({ code }, { writing }) => {
  const sign = writing.forms?.largeNumber;
  if (sign === undefined) return [];
  return code.flatMap((token) => {
    const isLarge = token.kind === "number" && /^\d{10,}$/.test(token.text) && Number(token.text) > 2 ** 31 - 1;
    return isLarge ? [insert(token.to, sign, parameters("", sign), 4)] : [];
  });
};

export const typeForms: readonly OfLine[] = [
  ...[
    newLeftOut,
    typeLeftOut,
    declaredTwice,
    heldTypes,
    readsWhere,
    startedWith,
    parameterTypes,
    rowParameters,
    recordWord,
  ],
  ...[resultLeftOut, largeNumbers, typeTooMany, keptTooMuch],
];
