import { change, insert } from "../edit.ts";
import { type OfLine, parameters, within } from "./form.ts";

// Names without what they belong to.

/** `sqrt(16)` where the library that has it is brought along as a whole: `math.sqrt`. */
const libraryBefore: OfLine = ({ code }, context) => {
  if (context.writing.blocks.by !== "indentation") return [];
  const brought = context.lines.flatMap((line) =>
    line.code[0]?.text === "import" && line.code[1] ? [line.code.at(-1)?.text ?? ""] : [],
  );
  const given = new Set(
    context.lines.flatMap((line) => (line.code[0]?.text === "from" ? line.code.map(({ text }) => text) : [])),
  );
  return code.flatMap((token, at) => {
    const isCalled =
      token.kind === "name" && code[at + 1]?.text === "(" && code[at - 1]?.text !== "." && code[at - 1]?.text !== "def";
    if (!isCalled || context.functions.includes(token.text) || given.has(token.text)) return [];
    if (context.names.includes(token.text) || context.language.ownWords.has(token.text)) return [];
    return brought.map((library) => insert(token.from, `${library}.`, parameters("", library), 3));
  });
};

/** `name = name` in a function of an object: the object's own part is meant. */
const ownPart: OfLine = ({ code }, { writing }) => {
  const [target, sign, value] = code;
  const word = writing.ownObject?.word;
  if (
    !writing.ownObject?.isHanded ||
    !word ||
    !target ||
    target.kind !== "name" ||
    sign?.text !== writing.assign ||
    value?.text !== target.text
  )
    return [];
  return code.length <= 4 ? [insert(target.from, `${word}${writing.members[0] ?? "."}`, parameters("", word), 4)] : [];
};

/** `def init(self, name)`: the name by which an object is made ready. */
const readyName: OfLine = ({ code }, { writing }) => {
  const [first, name, opening] = code;
  const isFirst = writing.ownObject?.isHanded && first?.text === "def" && opening?.text === "(";
  if (!isFirst || !name || !/^_{0,2}init_{0,2}$/i.test(name.text) || name.text === "__init__") return [];
  return within(code, 2).length > 0 ? [change(name, "__init__", parameters(name.text, "__init__"), 4)] : [];
};

/** A file that begins with a function is that function; a value before it makes it a program. */
const programBegins: OfLine = ({ code, number }, { writing, lines }) => {
  const begins = writing.forms?.programBegins;
  const first = lines.find((line) => line.code.length > 0);
  if (begins === undefined || first?.number !== number || code[0]?.text !== "function") return [];
  return [insert(code[0].from, `${begins}\n`, parameters("", begins), 2)];
};

export const nameForms: readonly OfLine[] = [libraryBefore, ownPart, readyName, programBegins];
