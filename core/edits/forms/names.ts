import { escaped } from "../../source/escaped.ts";
import { change, insert } from "../edit.ts";
import { type OfLine, parameters, within } from "./form.ts";

// Names without what they belong to.

/** `sqrt(16)` where the library that has it is brought along as a whole: `math.sqrt`. */
const libraryBefore: OfLine = ({ code }, context) => {
  const { brings, picks } = context.writing.forms?.libraries ?? {};
  const called = code.filter((token, at) => {
    if (token.kind !== "name" || code[at + 1]?.text !== "(") return false;
    if (code[at - 1]?.text === "." || code[at - 1]?.text === "def") return false;
    if (context.functions.includes(token.text) || context.names.includes(token.text)) return false;
    return !context.language.ownWords.has(token.text);
  });
  if (called.length === 0) return [];
  const brought = context.lines.flatMap((line) =>
    line.code[0]?.text === brings && line.code[1] ? [line.code.at(-1)?.text ?? ""] : [],
  );
  const given = new Set(
    context.lines.flatMap((line) => (line.code[0]?.text === picks ? line.code.map(({ text }) => text) : [])),
  );
  return called.flatMap((token) => {
    if (given.has(token.text)) return [];
    return brought.map((library) => insert(token.from, `${library}.`, parameters("", library), 3));
  });
};

/** `def init(self, name)`: the name by which an object is made ready. */
const readyName: OfLine = ({ code }, { writing }) => {
  const [first, name, opening] = code;
  const ready = writing.forms?.madeReady;
  if (!ready || !name || first?.text !== ready.head || opening?.text !== "(") return [];
  if (!ready.alike.test(name.text) || name.text === ready.name || within(code, 2).length === 0) return [];
  return [change(name, ready.name, parameters(name.text, ready.name), 4)];
};

/** A file that begins with a function is that function; a value before it makes it a program. */
const programBegins: OfLine = ({ code, number }, { writing, lines }) => {
  const begins = writing.forms?.programBegins;
  const first = lines.find((line) => line.code.length > 0);
  if (begins === undefined || first?.number !== number || code[0]?.text !== "function") return [];
  return [insert(code[0].from, `${begins}\n`, parameters("", begins), 2)];
};

/** `stop` on a line of its own in a loop: the word by which this language leaves one, or goes on. */
const otherLeaving: OfLine = ({ code, number }, { lines, names, functions, language, writing }) => {
  const own = code.filter((token) => token.text !== writing.statementEnd);
  const [word] = own;
  if (own.length !== 1 || word?.kind !== "name" || names.includes(word.text) || functions.includes(word.text))
    return [];
  const inLoop = lines
    .slice(0, number - 1)
    .some((line) => /^(?:while|for|foreach|repeat|do)$/i.test(line.code[0]?.text ?? ""));
  if (!inLoop || !language.keywords?.has("break")) return [];
  return ["break", "continue"].map((own, at) => change(word, own, parameters(word.text, own), 3 - at));
};

/** A value that a function works out on a line of its own, and that nothing takes: it is to be given back. */
const valueLeft: OfLine = ({ code }, { writing, functions }) => {
  const [first] = code;
  const outside = code.filter((_, at) => {
    const before = code.slice(0, at).map(({ text }) => text);
    return before.filter((text) => text === "(").length === before.filter((text) => text === ")").length;
  });
  const isWorkedOut = outside.some((token, at) => at > 0 && /^[-+*/%]$/.test(token.text));
  const isGiven = code.some((token) => /=$|^(?:\+\+|--)$/.test(token.text) || token.kind === "keyword");
  const word = writing.forms?.unusedValue;
  if (word === undefined || first?.kind !== "name" || !isWorkedOut || isGiven || functions.length === 0) return [];
  return [insert(first.from, `${word} `, parameters("", word), 3)];
};

/** `cars[0] = 4` where the list holds nothing yet: it is put at the end. */
const putAtEnd: OfLine = ({ code }, context) => {
  const [name, opening] = code;
  const inside = within(code, 1);
  const [sign, first, last] = [code[inside.length + 3], code[inside.length + 4], code.at(-1)];
  const call = context.writing.ends?.[0]?.last;
  if (name?.kind !== "name" || opening?.text !== "[" || sign?.text !== context.writing.assign || !first || !last)
    return [];
  if (!new RegExp(String.raw`\b${escaped(name.text)}\s*=\s*\[\s*\]`).test(context.text) || call === undefined)
    return [];
  const value = context.sourceOf({ from: first.from, to: last.to });
  return [change({ from: name.from, to: last.to }, `${name.text}.${call}(${value})`, parameters("[", call), 3)];
};

/** `name[0]` where what is picked has no brackets for it: a letter of a text, an element of a list. */
const pickedByCall: OfLine = ({ code }, context) => {
  const calls = context.writing.forms?.picksByCall ?? [];
  return code.flatMap((token, at) => {
    const inside = within(code, at + 1);
    const [opening, closing] = [code[at + 1], code[at + inside.length + 2]];
    if (calls.length === 0 || token.kind !== "name" || opening?.text !== "[" || !closing || inside.length === 0)
      return [];
    const type =
      new RegExp(String.raw`\b([A-Z]\w*)\s*(?:<[^;]*>)?\s+${escaped(token.text)}\s*[=;,)]`).exec(context.text)?.[1] ??
      "";
    const place = context.sourceOf({ from: opening.to, to: closing.from });
    return calls.flatMap(({ types, call }) =>
      types.test(type)
        ? [change({ from: opening.from, to: closing.to }, `.${call}(${place})`, parameters("[", call), 4)]
        : [],
    );
  });
};

/** `names.length` for a list, `loads.size()` for a row: how many there are, as the name's own type says it. */
const sizeByType: OfLine = (line, context) => {
  const sizes = context.writing.forms?.sizes ?? [];
  if (sizes.length === 0) return [];
  return line.code.flatMap((token, at) => {
    const [dot, word, opening, closing] = line.code.slice(at + 1);
    const isAsked = token.kind === "name" && dot?.text === "." && /^(?:length|size|count)$/i.test(word?.text ?? "");
    if (!isAsked || !word) return [];
    const isCalled = opening?.text === "(" && closing?.text === ")" && opening.from === word.to;
    const place = { from: word.from, to: isCalled ? closing.to : word.to };
    const declared = new RegExp(
      String.raw`\b([A-Za-z]\w*)\s*(<[^;=()]*>)?\s*(\[\s*\])?\s+${escaped(token.text)}\s*[=;,)]`,
    );
    const [, type = "", , row = ""] = declared.exec(context.text) ?? [];
    const own = sizes.find(({ types }) => types.test(row === "" ? type : "[]"))?.size;
    const was = context.sourceOf(place);
    return own === undefined || own === was || type === "" ? [] : [change(place, own, parameters(was, own), 4)];
  });
};

/** `heaviest[loads]`: what a function is handed stands in round brackets. */
const calledBySquare: OfLine = ({ code }, context) =>
  code.flatMap((token, at) => {
    const inside = within(code, at + 1);
    const [opening, closing] = [code[at + 1], code[at + inside.length + 2]];
    if (!context.functions.includes(token.text) || opening?.text !== "[" || closing?.text !== "]") return [];
    const text = context.sourceOf({ from: opening.to, to: closing.from });
    return [change({ from: opening.from, to: closing.to }, `(${text})`, parameters("[", "("), 4)];
  });

/** `nextInt()` without what reads. */
const readerLeftOut: OfLine = ({ code }, { writing, text, functions }) => {
  const reader = writing.forms?.reader?.name;
  const name = reader && new RegExp(String.raw`\b${reader}\s+(\w+)\s*=`).exec(text)?.[1];
  return code.flatMap((token, at) => {
    const isOwn = /^(?:next|hasNext)\w*$/.test(token.text) && code[at + 1]?.text === "(" && code[at - 1]?.text !== ".";
    if (!name || !isOwn || functions.includes(token.text)) return [];
    return [insert(token.from, `${name}.`, parameters("", name), 4)];
  });
};

export const nameForms: readonly OfLine[] = [
  ...[sizeByType, calledBySquare, readerLeftOut],
  ...[libraryBefore, readyName, programBegins, otherLeaving, valueLeft, putAtEnd, pickedByCall],
];
