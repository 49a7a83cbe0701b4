import type { PlacedToken } from "../syntax/placed.ts";
import { asOne } from "./asOne.ts";
import { change, type EditContext, type EditLine, insert, type Proposal } from "./edit.ts";

// Small forms that a refused program lacks or has from another language, each known by the tokens of a line.

type OfLine = (line: EditLine, context: EditContext) => Proposal[];

const byBraces = ({ writing }: EditContext): boolean => writing.blocks.by === "braces";
const parameters = (before: string, after: string) => ({ before, after });

/** A part of a line's tokens between brackets, without these; empty where they do not stand there. */
function within(code: readonly PlacedToken[], opening: number): PlacedToken[] {
  let depth = 0;
  for (let at = opening; at < code.length; at += 1) {
    if (/^[([]$/.test(code[at]?.text ?? "")) depth += 1;
    if (/^[)\]]$/.test(code[at]?.text ?? "")) depth -= 1;
    if (depth === 0) return code.slice(opening + 1, at);
  }
  return [];
}

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

/** `big ? "a" ; "b"`, and a key without its colon in a table: `{"car" 4}`. */
const colons: OfLine = ({ code }, context) =>
  code.flatMap((token, at) => {
    const next = code[at + 1];
    const asked = code.findIndex((each) => each.text === "?");
    if (token.text === ";" && asked >= 0 && asked < at && next) return [change(token, ":", parameters(";", ":"), 3)];
    const isKey = token.kind === "text" || token.kind === "number";
    const isValue = next !== undefined && next.line === token.line && /^(?:text|number|name)$/.test(next.kind);
    if (context.writing.blocks.by !== "indentation" || !isKey || !isValue) return [];
    return /^[{,]$/.test(code[at - 1]?.text ?? "{") ? [insert(token.to, ":", parameters("", ":"), 2)] : [];
  });

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
  const owner = context.code.filter((_, at) => context.code[at - 1]?.text === "class").map(({ text }) => text);
  const [token, next] = [code[name], code[name + 1]];
  if (!byBraces(context) || name < 1 || token?.kind === "keyword" || next?.text !== "(" || !token) return [];
  if (owner.includes(token.text)) return [];
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
const includeSign: OfLine = ({ code }, { language }) => {
  const [first, next] = code;
  if (language.id !== "c" || !first || !/^(?:include|define)$/i.test(first.text) || !next) return [];
  return [insert(first.from, "#", parameters("", "#"), 4)];
};

/** `string s = "Tern";` where a text is a row of letters; `s = "Tern";` where it is one already. */
const textsAsRows: OfLine = ({ code }, context) => {
  if (context.language.id !== "c") return [];
  const [first, second, third, fourth] = code;
  if (first && second && /^string$/i.test(first.text) && second.kind === "name") {
    const isGiven = third?.text === "=";
    const place = { from: first.from, to: second.to };
    const rows = isGiven ? [`char ${second.text}[]`, `char *${second.text}`] : [`char ${second.text}[100]`];
    return rows.map((row, at) => change(place, row, parameters("string", "char"), at === 0 ? 3 : 1.5));
  }
  const isRow = first?.kind === "name" && new RegExp(String.raw`\bchar\s+${first.text}\s*\[`).test(context.text);
  if (!isRow || !first || second?.text !== "=" || third?.kind !== "text" || fourth?.text !== ";") return [];
  return [
    change({ from: first.from, to: third.to }, `strcpy(${first.text}, ${third.text})`, parameters("=", "strcpy"), 3),
  ];
};

/** The sign or word between the name of a loop and what it goes over. */
const goesOver: OfLine = ({ code }, { language, writing }) => {
  const at = code.findIndex((token) => /^(?:for|foreach)$/.test(token.text));
  const own = { python: "in", csharp: "in", java: ":", octave: "=" }[language.id];
  const header = code[at + 1]?.text === "(" ? within(code, at + 1) : code.slice(at + 1);
  const sign = header.find((token) => /^(?:of|in|:|=)$/.test(token.text));
  if (at < 0 || own === undefined || !sign || sign.text === own || header.some((token) => token.text === ";"))
    return [];
  if (sign.text === ":" && writing.blocks.by === "indentation" && sign === code.at(-1)) return [];
  return [change(sign, own, parameters(sign.text, own), 4)];
};

/** `x[1]` where elements are picked by round brackets, and `length[1 2]` where a row is handed over. */
const roundBrackets: OfLine = ({ code }, context) => {
  if (context.language.id !== "octave") return [];
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

/** A name that is declared once more where it is only to get another value: `int x = x + 1;`. */
const declaredTwice: OfLine = ({ code }, context) => {
  if (!byBraces(context)) return [];
  const [type, name, sign, ...value] = code;
  const readsItself = value.some((token, at) => token.text === name?.text && value[at - 1]?.text !== ".");
  if (!type || name?.kind !== "name" || sign?.text !== "=" || !/^[a-z]\w*$|^String$/i.test(type.text)) return [];
  if (/^(?:return|new|else|throw)$/.test(type.text) || !readsItself) return [];
  return [change({ from: type.from, to: name.from }, "", parameters(type.text, ""), 2)];
};

/** `try:` without anything that handles an error. */
const handlerLeftOut: OfLine = (line, context) => {
  const [first] = line.code;
  if (context.writing.blocks.by !== "indentation" || first?.text !== "try") return [];
  const below = context.lines.slice(line.number).filter((each) => each.code.length > 0);
  const end = below.findIndex((each) => each.indent.length <= line.indent.length);
  const last = (end < 0 ? below : below.slice(0, end)).at(-1);
  if (!last || /^(?:except|finally)$/.test(below[end]?.code[0]?.text ?? "")) return [];
  const unit = last.indent.slice(line.indent.length);
  return (context.writing.errors?.usual ?? [])
    .slice(0, 2)
    .map((error, at) =>
      insert(last.to, `\n${line.indent}except ${error}:\n${line.indent}${unit}pass`, parameters("", "except"), 2 - at),
    );
};

const ofLine: readonly OfLine[] = [
  ...[partsOfHeader, colons, newLeftOut, typeLeftOut, endLeftOut, includeSign, textsAsRows, goesOver, roundBrackets],
  ...[declaredTwice, handlerLeftOut],
];

/** What a line lacks, or has from another language, in the forms above. */
export function smallForms(context: EditContext): Proposal[] {
  return context.lines.flatMap((line) => (line.code.length > 0 ? ofLine.flatMap((form) => form(line, context)) : []));
}
